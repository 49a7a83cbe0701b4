import { slipsIn, slipsOf } from "../../edits/slipsOf.ts";

const deck = `class Boat:
    def __init__(self, name, cars):
        self.name = name
        self.cars = cars

    def full(self):
        return self.cars >= 4


def heaviest(loads):
    most = loads[0]
    for load in loads:
        if load > most:
            most = load
    return most


loads = [4, 9, 2]
fares = {"child": 3, "adult": 7}
turns = int(input())
while turns > 0:
    turns -= 1
tern = Boat("Tern", 4)
for place in range(len(loads)):
    loads[place] = loads[place] * 2
if tern.full() and "child" in fares:
    print("Heaviest", heaviest(loads))
elif turns == 0 or not fares:
    print(fares["adult"] % 2)
else:
    print("none")
`;

// As beginners write them who know another language, or none yet.
slipsOf("python", [
  ...slipsIn(deck, [
    ["refused", "colon", "class Boat:", "class Boat"],
    ["refused", "other-blocks", "class Boat:", "class Boat {"],
    ["refused", "word", "class Boat:", "Class Boat:"],
    ["refused", "own-object", "def __init__(self, name, cars):", "def __init__(name, cars):"],
    ["refused", "other-forms", "def __init__(self, name, cars):", "def init(self, name, cars):"],
    ["refused", "colon", "def __init__(self, name, cars):", "def __init__(self, name, cars)"],
    ["refused", "other-forms", "def __init__(self, name, cars):", "def _init_(self, name, cars):"],
    ["refused", "sign", "def __init__(self, name, cars):", "def __init__(self; name, cars):"],
    ["refused", "own-object", "self.name = name", "name = name"],
    ["refused", "equality-sign", "self.name = name", "self.name == name"],
    ["refused", "name", "self.name = name", "self.name = nane"],
    ["refused", "name", "self.cars = cars", "self.cars = car"],
    ["refused", "own-object", "def full(self):", "def full():"],
    ["refused", "own-object", "return self.cars >= 4", "return cars >= 4"],
    ["refused", "sign", "return self.cars >= 4", "return self.cars => 4"],
    ["refused", "comparison", "return self.cars >= 4", "return self.cars > 4"],
    ["refused", "returned", "return self.cars >= 4", "self.cars >= 4"],
    ["refused", "returned", "return self.cars >= 4", "print(self.cars >= 4)"],
    ["refused", "word", "def heaviest(loads):", "define heaviest(loads):"],
    ["refused", "word", "def heaviest(loads):", "function heaviest(loads):"],
    ["refused", "other-blocks", "def heaviest(loads):", "def heaviest(loads) {"],
    ["refused", "other-forms", "most = loads[0]", "most = loads(0)"],
    ["refused", "constant", "most = loads[0]", "most = loads[1]"],
    ["refused", "equality-sign", "most = loads[0]", "most == loads[0]"],
    ["refused", "other-forms", "most = loads[0]", "int most = loads[0]"],
    ["refused", "other-forms", "for load in loads:", "for load of loads:"],
    ["refused", "word", "for load in loads:", "foreach load in loads:"],
    ["refused", "colon", "for load in loads:", "for load in loads"],
    ["refused", "other-forms", "for load in loads:", "for (load in loads):"],
    ["refused", "name", "for load in loads:", "for load in load:"],
    ["refused", "other-blocks", "if load > most:", "if load > most then:"],
    ["refused", "colon", "if load > most:", "if load > most"],
    ["refused", "comparison", "if load > most:", "if load < most:"],
    ["refused", "swapped", "most = load\n", "load = most\n"],
    ["refused", "other-name", "return most", "return load"],
    ["refused", "word", "return most", "Return most"],
    ["refused", "returned", "return most", "print(most)"],
    ["refused", "sign", "loads = [4, 9, 2]", "loads = [4 9, 2]"],
    ["refused", "other-forms", "loads = [4, 9, 2]", "loads = {4, 9, 2}"],
    ["refused", "bracket", "loads = [4, 9, 2]", "loads = [4, 9, 2"],
    ["refused", "other-forms", "loads = [4, 9, 2]", "loads[] = [4, 9, 2]"],
    ["refused", "other-forms", 'fares = {"child": 3, "adult": 7}', 'fares = {"child" = 3, "adult": 7}'],
    ["refused", "other-forms", 'fares = {"child": 3, "adult": 7}', 'fares = ["child": 3, "adult": 7]'],
    ["refused", "sign", 'fares = {"child": 3, "adult": 7}', 'fares = {"child": 3 "adult": 7}'],
    ["refused", "text-or-number", 'fares = {"child": 3, "adult": 7}', 'fares = {child: 3, "adult": 7}'],
    ["refused", "conversion", "int(input())", "input()"],
    ["refused", "bracket", "int(input())", "int(input()"],
    ["refused", "other-forms", "int(input())", "int.parse(input())"],
    ["refused", "name", "int(input())", "int(imput())"],
    ["refused", "colon", "while turns > 0:", "while turns > 0"],
    ["refused", "other-blocks", "while turns > 0:", "while turns > 0 do:"],
    ["refused", "comparison", "while turns > 0:", "while turns < 0:"],
    ["refused", "sign", "turns -= 1", "turns--"],
    ["refused", "accumulation", "turns -= 1", "turns =- 1"],
    ["refused", "sign", "turns -= 1", "turns - 1"],
    ["refused", "accumulation", "turns -= 1", "turns += 1"],
    ["refused", "other-forms", 'tern = Boat("Tern", 4)', 'tern = new Boat("Tern", 4)'],
    ["refused", "text-or-number", 'tern = Boat("Tern", 4)', "tern = Boat(Tern, 4)"],
    ["refused", "other-forms", 'tern = Boat("Tern", 4)', 'Boat tern = Boat("Tern", 4)'],
    ["refused", "conversion", "range(len(loads))", "len(loads)"],
    ["refused", "conversion", "range(len(loads))", "range(loads)"],
    ["refused", "other-forms", "range(len(loads))", "range(loads.length)"],
    ["refused", "by-one", "range(len(loads))", "range(1, len(loads))"],
    ["refused", "equality-sign", "loads[place] = loads[place] * 2", "loads[place] == loads[place] * 2"],
    ["refused", "other-forms", "loads[place] = loads[place] * 2", "loads[place] * 2"],
    ["refused", "other-forms", "loads[place] = loads[place] * 2", "loads(place) = loads[place] * 2"],
    ["refused", "other-forms", "tern.full() and", "tern.full() && "],
    ["refused", "call-brackets", "tern.full() and", "tern.full and"],
    ["refused", "text-or-number", '"child" in fares', "child in fares"],
    ["refused", "other-forms", '"child" in fares', '"child" is fares'],
    ["refused", "sign", 'print("Heaviest", heaviest(loads))', 'print("Heaviest" heaviest(loads))'],
    ["refused", "bracket", 'print("Heaviest", heaviest(loads))', 'print "Heaviest", heaviest(loads)'],
    ["refused", "other-forms", 'print("Heaviest", heaviest(loads))', 'println("Heaviest", heaviest(loads))'],
    ["refused", "other-forms", 'print("Heaviest", heaviest(loads))', 'print("Heaviest", heaviest[loads])'],
    ["refused", "name", 'print("Heaviest", heaviest(loads))', 'print("Heaviest", heavest(loads))'],
    ["refused", "quote", 'print("Heaviest", heaviest(loads))', 'print("Heaviest, heaviest(loads))'],
    ["refused", "word", "elif turns == 0 or not fares:", "else if turns == 0 or not fares:"],
    ["refused", "word", "elif turns == 0 or not fares:", "elseif turns == 0 or not fares:"],
    ["refused", "sign", "elif turns == 0 or not fares:", "elif turns = 0 or not fares:"],
    ["refused", "other-forms", "elif turns == 0 or not fares:", "elif turns == 0 || not fares:"],
    ["refused", "word", "elif turns == 0 or not fares:", "elif turns == 0 or !fares:"],
    ["refused", "sign", "elif turns == 0 or not fares:", "elif turns === 0 or not fares:"],
    ["refused", "index-left-out", 'fares["adult"]', "fares.adult"],
    ["refused", "text-or-number", 'fares["adult"]', "fares[adult]"],
    ["refused", "text-literal", 'fares["adult"]', 'fares["adults"]'],
    ["refused", "colon", "else:\n", "else\n"],
    ["refused", "word", "else:\n", "Else:\n"],
  ]),
]);
