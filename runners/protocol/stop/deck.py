def share(weight, boats):
    part = weight // boats
    return part

first = share(8, 2)
print(first)
second = share(8, 0)
print(second)
