import { type Neutral, neutral } from "./neutral.ts";

export const pythonNeutral: readonly Neutral[] = [
  neutral(
    1,
    "Bill of a crossing",
    `
    fare = int(input("Fare of a car? "))
    cars = int(input("Cars? "))
    bill = fare * cars
    print("Bill:", bill)
  `,
  ),
  neutral(
    1,
    "Crossing time",
    `
    minutes = int(input("Minutes? "))
    hours = minutes // 60
    rest = minutes % 60
    print(hours, "hours and", rest, "minutes")
  `,
  ),
  neutral(
    2,
    "Room on the deck",
    `
    places = 40
    booked = int(input("Booked cars? "))
    free = places - booked
    if free > 0:
        print("Free places:", free)
    else:
        print("The deck is full")
  `,
  ),
  neutral(
    2,
    "Fare by age",
    `
    age = int(input("Age? "))
    if age < 4:
        fare = 0
    elif age < 15:
        fare = 3
    elif age >= 65:
        fare = 5
    else:
        fare = 8
    print("Fare:", fare)
  `,
  ),
  neutral(
    2,
    "Before the ramp closes",
    `
    left = int(input("Minutes until departure? "))
    while left > 0:
        print("Closes in", left)
        left = left - 5
    print("The ramp is closed")
  `,
  ),
  neutral(
    3,
    "Loads of a day",
    `
    loads = [12, 30, 7, 25]
    total = 0
    largest = loads[0]
    for load in loads:
        total = total + load
        if load > largest:
            largest = load
    print("Total", total)
    print("Largest", largest)
  `,
  ),
  neutral(
    3,
    "Crossings that were full",
    `
    limit = int(input("Limit? "))
    booked = [38, 40, 22, 41, 40]
    full = 0
    for number in booked:
        if number >= limit:
            full = full + 1
    print(full, "of", len(booked), "were full")
  `,
  ),
  neutral(
    3,
    "Tide by the hour",
    `
    height = int(input("Height at noon? "))
    for hour in range(1, 7):
        if hour <= 3:
            height = height + 2
        else:
            height = height - 1
        print("Hour", hour, "height", height)
  `,
  ),
  neutral(
    4,
    "Bills of a family",
    `
    def fare_for(age, has_card):
        fare = 8
        if age < 15:
            fare = 3
        if has_card == "yes":
            fare = fare - 1
        return fare


    people = int(input("People? "))
    total = 0
    for person in range(people):
        age = int(input("Age? "))
        card = input("Card? ")
        total = total + fare_for(age, card)
    print("Total:", total)
  `,
    ["3 14 yes 15 no 40 yes", "0", "1 15 yes", "2 14 no 3 yes"],
  ),
  neutral(
    4,
    "On the passenger list",
    `
    names = ["Tern", "Skua", "Gull", "Auk"]
    wanted = input("Boat? ")
    place = 0
    found = False
    while place < len(names) and not found:
        if names[place] == wanted:
            found = True
        else:
            place = place + 1
    if found:
        print(wanted, "is number", place + 1)
    else:
        print(wanted, "is not on the list")
  `,
    ["Gull", "Tern", "Auk", "Puffin"],
  ),
  neutral(
    5,
    "Lanes of the deck",
    `
    lanes = int(input("Lanes? "))
    rows = int(input("Rows? "))
    free = 0
    for lane in range(lanes):
        for row in range(rows):
            taken = (lane + row) % 3 == 0 or row > lane
            if not taken:
                free = free + 1
                print("Lane", lane, "row", row, "is free")
    print("Free:", free)
  `,
  ),
  neutral(
    5,
    "Waiting times in order",
    `
    waits = [14, 3, 27, 9]
    late = int(input("Late from? "))
    for last in range(len(waits) - 1, 0, -1):
        for place in range(last):
            if waits[place] > waits[place + 1]:
                waits[place], waits[place + 1] = waits[place + 1], waits[place]
    count = 0
    for wait in waits:
        print(wait)
        if wait >= late:
            count = count + 1
    print("Late:", count)
  `,
  ),
];
