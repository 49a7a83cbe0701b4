total = 0;  %> total=0
for car = 1:9  %> car=1 ; car=2 ; car=3
  if car == 1  %> - ; - ; -
    continue;  %> -
  end
  total = total + car;  %> total=2 ; total=5
  if total > 3  %> - ; -
    break;  %> -
  end
end
