cars = int(input("Cars? "))
weight = cars * 2
print("Load", weight)
