name = input("Ship? ")  #> name='Tern' & in=Tern & out=Ship?\s
cars = int(input())  #> cars=4 & in=4
while cars > 3:  #> - ; -
    cars = int(input("Less: "))  #> cars=2 & in=2 & out=Less:\s
print(name, cars)  #> out=Tern 2\n
