import type { RightProgram } from "./program.ts";

/** Right programs in Python. */
export const pythonPrograms: readonly RightProgram[] = [
  {
    name: "fares",
    language: "python",
    text: `def fare(age, distance):
    price = 4.0 + distance * 0.25
    if age < 6:
        price = 0.0
    elif age < 16:
        price = price / 2
    return round(price, 2)

people = int(input("People: "))
distance = int(input("Miles: "))
total = 0
for person in range(people):
    age = int(input("Age: "))
    total = total + fare(age, distance)
print("Total fare:", total)
if total > 40:
    print("Group rate applies")
else:
    print("Single tickets")
`,
    inputs: ["2\n8\n30\n12\n", "3\n12\n5\n6\n16\n", "6\n20\n40\n41\n15\n3\n70\n18\n", "0\n5\n"],
  },
  {
    name: "tides",
    language: "python",
    text: `heights = []
line = input("Height (stop ends): ")
while line != "stop":
    heights.append(float(line))
    line = input("Height (stop ends): ")
if len(heights) == 0:
    print("No tides")
else:
    highest = heights[0]
    lowest = heights[0]
    for height in heights:
        if height > highest:
            highest = height
        if height < lowest:
            lowest = height
    print("High water", highest)
    print("Low water", lowest)
    print("Range", round(highest - lowest, 1))
rising = 0
for place in range(len(heights) - 1):
    if heights[place + 1] > heights[place]:
        rising += 1
print("Rising", rising, "times")
`,
    inputs: ["1.2\n3.4\n2.2\nstop\n", "5\n4\n3\nstop\n", "stop\n", "-1\n-2\n-0.5\n4\nstop\n"],
  },
  {
    name: "deck",
    language: "python",
    text: `limit = int(input("Limit: "))
names = []
load = 0
refused = 0
while True:
    name = input("Vehicle: ")
    if name == "":
        break
    weight = int(input("Weight: "))
    if load + weight <= limit:
        names.append(name)
        load += weight
    else:
        refused += 1
        print(name, "must wait")
print("On deck:", ", ".join(names))
print("Load", load, "of", limit)
percent = load * 100 // limit
print("Full by", percent, "percent")
if refused > 0 and percent < 90:
    print("Try a smaller vehicle")
`,
    inputs: [
      "20\nvan\n8\nbus\n14\ncar\n3\n\n",
      "10\ncar\n4\ncar2\n6\n\n",
      "15\ntruck\n16\n\n",
      "9\nbike\n1\nvan\n8\nbike2\n1\n\n",
    ],
  },
  {
    name: "timetable",
    language: "python",
    text: `def minutes(text):
    parts = text.split(":")
    return int(parts[0]) * 60 + int(parts[1])

def clock(value):
    value = value % 1440
    return str(value // 60) + ":" + str(value % 60).zfill(2)

start = minutes(input("First boat: "))
last = minutes(input("Last boat: "))
every = int(input("Every: "))
count = 0
now = start
while now <= last:
    print(clock(now))
    count += 1
    now += every
print(count, "crossings")
longest = (last - start) / 60
print("Hours:", longest)
`,
    inputs: ["8:00\n10:00\n30\n", "9:15\n9:20\n45\n", "22:50\n24:30\n50\n"],
  },
  {
    name: "passengers",
    language: "python",
    text: `counts = {}
lines = int(input())
for number in range(lines):
    port = input().strip().lower()
    if port in counts:
        counts[port] += 1
    else:
        counts[port] = 1
best = ""
most = 0
for port in sorted(counts):
    print(port, counts[port])
    if counts[port] > most:
        most = counts[port]
        best = port
print("Busiest:", best)
single = []
for port in counts:
    if counts[port] == 1:
        single.append(port)
print("Once:", len(single))
`,
    inputs: ["4\nSkua\nskua\nGull\nTern\n", "1\nGull\n", "6\nA\nB\nb\na\nB\nc \n"],
  },
  {
    name: "search",
    language: "python",
    text: `def find(boats, wanted):
    for place in range(len(boats)):
        if boats[place] == wanted:
            return place
    return -1

def reverse(text):
    result = ""
    for sign in text:
        result = sign + result
    return result

boats = ["Skua", "Gull", "Tern", "Razorbill"]
wanted = input("Boat: ")
place = find(boats, wanted)
if place >= 0:
    print("Found at", place + 1)
    print("After it come", len(boats) - place - 1)
else:
    print("Not found")
print(reverse(wanted))
vowels = 0
for sign in wanted.lower():
    if sign in "aeiou":
        vowels += 1
print("Vowels:", vowels)
`,
    inputs: ["Gull\n", "Razorbill\n", "gull\n", "Skua\n"],
  },
  {
    name: "crew",
    language: "python",
    text: `class Boat:
    def __init__(self, name, seats):
        self.name = name
        self.seats = seats
        self.taken = 0

    def board(self, people):
        if self.taken + people > self.seats:
            return False
        self.taken += people
        return True

    def free(self):
        return self.seats - self.taken

boat = Boat("Kittiwake", int(input("Seats: ")))
groups = input("Groups: ").split()
left = 0
for group in groups:
    if not boat.board(int(group)):
        left += int(group)
print(boat.name, "has", boat.free(), "free")
print("Left behind:", left)
if boat.free() == 0 or left == 0:
    print("Sails")
`,
    inputs: ["10\n4 3 5 2\n", "6\n6\n", "8\n9 3\n", "5\n\n"],
  },
  {
    name: "grid",
    language: "python",
    text: `rows = int(input("Rows: "))
seats = int(input("Seats: "))
plan = []
for row in range(rows):
    line = []
    for seat in range(seats):
        line.append((row + 1) * (seat + 1))
    plan.append(line)
total = 0
for line in plan:
    for value in line:
        total += value
    print(*line)
print("Sum", total)
diagonal = 0
for place in range(min(rows, seats)):
    diagonal += plan[place][place]
print("Diagonal", diagonal)
`,
    inputs: ["2\n3\n", "3\n3\n", "1\n4\n"],
  },
  {
    name: "loads",
    language: "python",
    text: `loads = [4, 9, 2, 7, 5]
total = 0
for load in loads:
    total += load
mean = total / len(loads)
above = 0
for load in loads:
    if load > mean:
        above += 1
print("Total", total)
print("Mean", mean)
print("Above", above)
order = sorted(loads)
print("Middle", order[len(order) // 2])
heavy = [load for load in loads if load >= 5]
print("Heavy", heavy)
`,
    inputs: [""],
  },
  {
    name: "countdown",
    language: "python",
    text: `def steps(n):
    if n <= 1:
        return 1
    return n * steps(n - 1)

start = int(input("Start: "))
for number in range(start, 0, -1):
    print(number)
print("Cast off")
print("Orders:", steps(start))
even = 0
number = 1
while number <= start:
    if number % 2 == 0:
        even += number
    number += 1
print("Even sum:", even)
`,
    inputs: ["3\n", "5\n", "1\n", "6\n"],
  },
];
