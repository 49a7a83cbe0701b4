total = 0  #> total=0
for car in [2, 9, 4, 1]:  #> car=2 ; car=9 ; car=4
    if car == 9:  #> - ; - ; -
        continue  #> -
    total += car  #> total=2 ; total=6
    if total > 5:  #> - ; -
        break  #> -
else:
    total = 0
print(total)  #> out=6\n
