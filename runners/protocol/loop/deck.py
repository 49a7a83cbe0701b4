cars = 0
weight = 1
while cars < 4:
    cars = cars + 1
    if cars % 2 == 0:
        weight = weight * cars
print(cars, weight)
