def load(cars):
    weight = cars * 2
    return weight

def total(first, second):
    both = load(first) + load(second)
    return both

result = total(3, 4)
print(result)
