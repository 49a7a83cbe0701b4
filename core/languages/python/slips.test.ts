import { slipsOf } from "../../edits/slipsOf.ts";

// Each was found and proved by a search in real runs before it was written down.
slipsOf("python", [
  ["refused", "bracket", `print "Sail"`, 'print "Sail"', 'print("Sail")'],
  [
    "refused",
    "sign",
    `x = 3
x++
print(x)`,
    "x++",
    "x += 1",
  ],
  [
    "refused",
    "sign",
    `x = 3
if x = 3:
    print("three")`,
    "if x = 3:",
    "if x == 3:",
  ],
  [
    "refused",
    "word",
    `x = 4
if x > 9:
    print("a")
elseif x > 3:
    print("b")`,
    "elseif x > 3:",
    "elif x > 3:",
  ],
  [
    "starts",
    "conversion",
    `n = input()
print(n + 1)`,
    "n = input()",
    "n = int(input())",
  ],
  [
    "refused",
    "indentation",
    `def f(x):
    y = x + 1
return y
print(f(2))`,
    "return y",
    "    return y",
  ],
  [
    "starts",
    "conversion",
    `for i in 3:
    print(i)`,
    "for i in 3:",
    "for i in range(3):",
  ],
  [
    "starts",
    "other-forms",
    `cars = [1, 2]
cars.add(4)
print(cars)`,
    "cars.add(4)",
    "cars.append(4)",
  ],
  [
    "starts",
    "other-forms",
    `name = 'Tern'
print(name.length)`,
    "print(name.length)",
    "print(len(name))",
  ],
  [
    "starts",
    "call-brackets",
    `name = 'tern'
print(name.upper)`,
    "print(name.upper)",
    "print(name.upper())",
  ],
  [
    "starts",
    "filled-in",
    `x = 3
print('{x} cars')`,
    "print('{x} cars')",
    "print(f'{x} cars')",
  ],
  [
    "starts",
    "name",
    `full = true
print(full)`,
    "full = true",
    "full = True",
  ],
  [
    "refused",
    "indentation",
    `def f(x):
return x + 1
print(f(2))`,
    "return x + 1",
    "    return x + 1",
  ],
  [
    "refused",
    "other-forms",
    `x = 5
if x > 3 and < 9:
    print('in')`,
    "if x > 3 and < 9:",
    "if x > 3 and x < 9:",
  ],
  [
    "refused",
    "bracket",
    `x = [1, 2, 3
print(len(x))`,
    "x = [1, 2, 3",
    "x = [1, 2, 3]",
  ],
  [
    "refused",
    "other-forms",
    `class = 4
print(class)`,
    `class = 4
print(class)`,
    `class_ = 4
print(class_)`,
  ],
  [
    "refused",
    "indentation",
    `x = 3
 if x > 2:
    print('a')`,
    " if x > 2:",
    "if x > 2:",
  ],
  [
    "refused",
    "colon",
    `x = 3;
if (x > 2)
    print('a');`,
    "if (x > 2)",
    "if (x > 2):",
  ],
  [
    "starts",
    "equality-sign",
    `x == 3
print(x)`,
    "x == 3",
    "x = 3",
  ],
  [
    "refused",
    "other-forms",
    `int x = 3
print(x)`,
    "int x = 3",
    "x = 3",
  ],
  [
    "refused",
    "indentation",
    `x = 3
if x > 2:
    print('a')
  else:
    print('b')`,
    "  else:",
    "else:",
  ],
  [
    "refused",
    "sign",
    `x = 3
print('x is' x)`,
    "print('x is' x)",
    "print('x is', x)",
  ],
  [
    "refused",
    "other-forms",
    `fares = {'car' 4, 'bike': 2}
print(fares['car'])`,
    "fares = {'car' 4, 'bike': 2}",
    "fares = {'car': 4, 'bike': 2}",
  ],
  [
    "refused",
    "colon",
    `x = 10
while x > 8
    print(x)
    x -= 1`,
    "while x > 8",
    "while x > 8:",
  ],
  [
    "starts",
    "conversion",
    `x = '12'
if x > 10:
    print('big')`,
    "if x > 10:",
    "if int(x) > 10:",
  ],
  [
    "starts",
    "inclusion",
    `import random
print(math.floor(2.5))`,
    "import random",
    `import math
import random`,
  ],
  [
    "refused",
    "call-brackets",
    `def f(x):
    return x * 2
print(f 3)`,
    "print(f 3)",
    "print(f(3))",
  ],
  [
    "refused",
    "other-forms",
    `x = 3
if x >= 3 print('yes')`,
    "if x >= 3 print('yes')",
    "if x >= 3: print('yes')",
  ],
  [
    "refused",
    "indentation",
    `for i in range(3):
print(i)`,
    "print(i)",
    "    print(i)",
  ],
  [
    "refused",
    "word",
    `x = 5
if x > 3:
    print('a')
else if x > 1:
    print('b')
else:
    print('c')`,
    "else if x > 1:",
    "elif x > 1:",
  ],
  [
    "refused",
    "quote",
    `name = input('Name? )
print(name)`,
    "name = input('Name? )",
    "name = input('Name? ')",
  ],
  [
    "refused",
    "colon",
    `x = [1, 2, 3]
for i in x
    print(i)`,
    "for i in x",
    "for i in x:",
  ],
  [
    "refused",
    "colon",
    `def f(x, y)
    return x + y
print(f(1, 2))`,
    "def f(x, y)",
    "def f(x, y):",
  ],
  [
    "refused",
    "bracket",
    `x = 3
print(x))`,
    "print(x))",
    "print(x)",
  ],
  [
    "starts",
    "conversion",
    `x = 3
print("x" + x)`,
    'print("x" + x)',
    'print("x" + str(x))',
  ],
  [
    "starts",
    "accumulation",
    `x = 3
while (x > 0):
    print(x)
    x =- 1`,
    "x =- 1",
    "x -= 1",
  ],
  [
    "starts",
    "returned",
    `def f(x):
    print(x * 2)
y = f(3)
print(y + 1)`,
    "print(x * 2)",
    "return x * 2",
  ],
  [
    "starts",
    "result-thrown-away",
    `cars = [3, 1, 2]
print(cars.sort())`,
    "print(cars.sort())",
    "print(sorted(cars))",
  ],
  [
    "starts",
    "index-left-out",
    `d = {'a': 1}
print(d.a)`,
    "print(d.a)",
    'print(d["a"])',
  ],
  [
    "starts",
    "conversion",
    `for i in range(len(3)):
    print(i)`,
    "for i in range(len(3)):",
    "for i in range(int(3)):",
  ],
  [
    "refused",
    "other-forms",
    `x = 10
if x > 5 or < 3:
    print('a')`,
    "if x > 5 or < 3:",
    "if x > 5 or x < 3:",
  ],
  [
    "refused",
    "colon",
    `x = 10
if not x > 20
    print('a')`,
    "if not x > 20",
    "if not x > 20:",
  ],
  [
    "starts",
    "other-forms",
    `import math
print(sqrt(16))`,
    "print(sqrt(16))",
    "print(math.sqrt(16))",
  ],
  [
    "starts",
    "inclusion",
    `from math import sqrt
print(math.sqrt(16))`,
    "from math import sqrt",
    `import math
from math import sqrt`,
  ],
  [
    "refused",
    "bracket",
    `print(round(2.567, 2)
print('end')`,
    "print(round(2.567, 2)",
    "print(round(2.567, 2))",
  ],
  [
    "refused",
    "indentation",
    `x = 3
if x == 3:
print('a')
print('b')`,
    "print('a')",
    "    print('a')",
  ],
  [
    "starts",
    "accumulation",
    `total = 0
for i in range(1, 4):
    total =+ i
print(total)`,
    "total =+ i",
    "total += i",
  ],
  [
    "starts",
    "other-forms",
    `x = 1,5
print(x * 2)`,
    "x = 1,5",
    "x = 1.5",
  ],
  [
    "refused",
    "bracket",
    `n = int(input()
print(n)`,
    "n = int(input()",
    "n = int(input())",
  ],
  [
    "starts",
    "factor-left-out",
    `def f(n):
    if n == 0:
        return 1
    return n * f(n)
print(f(3))`,
    "return n * f(n)",
    "return n * f(n - 1)",
  ],
  [
    "starts",
    "own-object",
    `class Boat:
    def __init__(self, name):
        name = name
b = Boat('Tern')
print(b.name)`,
    "name = name",
    "self.name = name",
  ],
  [
    "starts",
    "other-forms",
    `class Boat:
    def init(self, name):
        self.name = name
b = Boat('Tern')
print(b.name)`,
    "def init(self, name):",
    "def __init__(self, name):",
  ],
  [
    "starts",
    "other-forms",
    `x = 4
print(x ** 0,5)`,
    "print(x ** 0,5)",
    "print(x ** 0.5)",
  ],
  [
    "refused",
    "sign",
    `x = int(input('n '))
if x % 2 = 0:
    print('even')`,
    "if x % 2 = 0:",
    "if x % 2 == 0:",
  ],
  [
    "refused",
    "colon",
    `scores = [3, 5]
for s in scores
    print(s)`,
    "for s in scores",
    "for s in scores:",
  ],
  [
    "starts",
    "name",
    `def f(x):
    return x + 1

print(F(2))`,
    "print(F(2))",
    "print(f(2))",
  ],
  [
    "refused",
    "indentation",
    `for i in range(3):
    print(i)
     print('x')`,
    " print('x')",
    "print('x')",
  ],
  [
    "starts",
    "other-forms",
    `total = 0
while True:
    n = int(input())
    if n == 0:
        stop
    total += n
print(total)`,
    "stop",
    "break",
  ],
  [
    "refused",
    "other-forms",
    `x = 7
if x > 5:
    print('a')
if else:
    print('b')`,
    "if else:",
    "else:",
  ],
  [
    "starts",
    "returned",
    `def area(w, h):
    a = w * h
print(area(2, 3))`,
    "print(area(2, 3))",
    `    return a
print(area(2, 3))`,
  ],
  [
    "starts",
    "other-forms",
    `cars = []
cars[0] = 4
print(cars)`,
    "cars[0] = 4",
    "cars.append(4)",
  ],
  [
    "starts",
    "by-one",
    `s = 'abc'
for i in range(len(s) + 1):
    print(s[i])`,
    "for i in range(len(s) + 1):",
    "for i in range(len(s)):",
  ],
  [
    "refused",
    "sign",
    `n = 0
for c in 'catamaran':
    if c = 'a':
        n += 1
print(n)`,
    "if c = 'a':",
    "if c == 'a':",
  ],
  ["refused", "bracket", `print('Total: ' + str(3)))`, "print('Total: ' + str(3)))", "print('Total: ' + str(3))"],
  [
    "starts",
    "other-forms",
    `d = {'a': 1, 'b': 2}
for k, v in d:
    print(k, v)`,
    "for k, v in d:",
    "for k, v in d.items():",
  ],
  [
    "starts",
    "other-forms",
    `def f(n):
    if n <= 1:
        return 1
    else:
        n * f(n - 1)
print(f(3))`,
    "n * f(n - 1)",
    "return n * f(n - 1)",
  ],
  [
    "starts",
    "scope-word",
    `x = 3
def show():
    x += 1
    print(x)
show()`,
    "x += 1",
    `global x
    x += 1`,
  ],
  [
    "refused",
    "indentation",
    `i = 0
while i < 3:
print(i)
i += 1`,
    `print(i)
i += 1`,
    `    print(i)
    i += 1`,
  ],
]);
