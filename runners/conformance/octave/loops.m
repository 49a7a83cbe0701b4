total = 0;  %> total=0
for car = [4 9]  %> car=4 ; car=9
  total += car;  %> total=4 ; total=13
end
while total > 12  %> - ; -
  total = total - 5;  %> total=8
end
do
  total--;  %> total=7 ; total=6
until total < 7  %> - ; -
