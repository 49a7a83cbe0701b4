total = 0  #> total=0
for car in range(3): total += car  #> car=0 ; car=1 & total=1 ; car=2 & total=3 ; -
low = 1; high = 2; low = high  #> low=2 & high=2
while total > 1: total -= 1  #> total=2 ; total=1
if total == 1: total = 9  #> total=9
both = first, second = 4, 5  #> both=(4, 5) & first=4 & second=5
