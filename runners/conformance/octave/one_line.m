k = 3;  %> k=3
while k > 1 k--; end  %> k=2 ; k=1 ; -
if k == 1 k = 5; end  %> k=5
if 3 > 2 disp(1), end  %> out=1\n
for i = 1:3 k = k + i; end  %> i=1 & k=6 ; i=2 & k=8 ; i=3 & k=11
low = 1; high = 2; low = high;  %> low=2 & high=2
do k = k - 9; until k < 0  %> k=2 ; - ; k=-7 ; -
