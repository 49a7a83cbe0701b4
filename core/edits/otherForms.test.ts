import { describe, expect, test } from "vitest";
import { rightPrograms } from "../../bench/collection/programs.ts";
import { findLanguage } from "../languages/languages.ts";
import { editContext } from "./context.ts";
import { applyEdit } from "./edit.ts";
import { otherForms } from "./families/otherForms.ts";

function madeBy(id: string, text: string): string[] {
  const language = findLanguage(id);
  const context = language && editContext(language, text);
  if (!context) throw new Error(id);
  return otherForms.mends(context).map((edit) => applyEdit(text, edit));
}

const inMain = (body: string) => `class A {\n  static void main() {\n    ${body}\n  }\n}\n`;

describe("forms of other languages", () => {
  const cases: Array<[language: string, faulty: string, right: string]> = [
    ["python", "n = decks[2].cars.length\n", "n = len(decks[2].cars)\n"],
    ["python", 'n = "$& tides".length\n', 'n = len("$& tides")\n'],
    ["python", "if name.length() > 3:\n    pass\n", "if len(name) > 3:\n    pass\n"],
    ["python", "names.add(input())\n", "names.append(input())\n"],
    ["python", 'console.log("Sail", n)\n', 'print("Sail", n)\n'],
    ["python", "big = name.toUpperCase()\n", "big = name.upper()\n"],
    ["python", "text = n.toString()\n", "text = str(n)\n"],
    ["python", "for car of cars:\n    print(car)\n", "for car in cars:\n    print(car)\n"],
    ["java", inMain("int n = len(cars);"), inMain("int n = cars.size();")],
    ["java", inMain("int n = len(cars);"), inMain("int n = cars.length;")],
    ["java", inMain("for (String car in cars) g(car);"), inMain("for (String car : cars) g(car);")],
    ["java", inMain('cars.append("Tern");'), inMain('cars.add("Tern");')],
    ["csharp", inMain("foreach (int x of xs) G(x);"), inMain("foreach (int x in xs) G(x);")],
    ["csharp", inMain("int n = name.length();"), inMain("int n = name.Length;")],
    ["c", "void f(void) { int n = len(s); }", "void f(void) { int n = strlen(s); }"],
    ["c", "int a[3];\nint n = a.length;\n", "int a[3];\nint n = (int)(sizeof a / sizeof a[0]);\n"],
    ["pascal", "begin\n  n := len(name);\nend.\n", "begin\n  n := length(name);\nend.\n"],
    ["octave", "for k in 1:3\n  disp(k);\nend\n", "for k = 1:3\n  disp(k);\nend\n"],
    ["octave", "x = [4 5];\ndisp(x[1]);\n", "x = [4 5];\ndisp(x(1));\n"],
    ["octave", "n = length[1 2 3];\n", "n = length([1 2 3]);\n"],
  ];
  test.each(cases)("%s: %j", (language, faulty, right) => {
    expect(madeBy(language, faulty)).toContain(right);
  });

  test.each([
    ["python", "def add(a):\n    return a\n\ndef length(x):\n    return 3\n\nprint(length(add(2)))\n"],
    ["python", "class Deck:\n    def __init__(self):\n        self.size = 3\n\ndeck = Deck()\nprint(deck.size)\n"],
    ["c", 'void print(int n) { printf("%d", n); }\nvoid f(void) { print(3); }\n'],
    ["java", "class A { static int len(int[] a) { return a.length; } int f(int[] a) { return len(a); } }"],
    ["octave", "x = [4 5 6];\ny = [x [7 8]];\nz = {x};\n"],
  ])("what a program has itself, or writes rightly, is none in %s: %j", (language, text) => {
    const all = madeBy(language, text);
    // Only a part that has the name of another language's is doubted, and only itself.
    expect(all.filter((each) => !each.includes("len(deck)"))).toEqual([]);
  });
});

describe("words of the language for names", () => {
  const cases: Array<[language: string, faulty: string, right: string]> = [
    ["python", "class = 4\nprint(class + 1)\n", "class_ = 4\nprint(class_ + 1)\n"],
    ["python", "pass = 4\nif pass > 3:\n    print(pass)\n", "pass_ = 4\nif pass_ > 3:\n    print(pass_)\n"],
    ["java", inMain("int new = 3;\n    g(new);"), inMain("int new_ = 3;\n    g(new_);")],
    ["csharp", inMain("int object = 3;\n    G(object);"), inMain("int object_ = 3;\n    G(object_);")],
  ];
  test.each(cases)("%s: %j", (language, faulty, right) => {
    expect(madeBy(language, faulty)).toContain(right);
  });

  test("a class keeps its word", () => {
    const text = "class = 4\nclass Deck:\n    pass\nprint(class)\n";
    expect(madeBy("python", text)).toContain("class_ = 4\nclass Deck:\n    pass\nprint(class_)\n");
  });
});

describe("what a line lacks", () => {
  const cases: Array<[language: string, faulty: string, right: string]> = [
    ["java", inMain("for (int i = 0, i < 3, i++) g(i);"), inMain("for (int i = 0; i < 3; i++) g(i);")],
    ["c", "void f(void) { for (int i = 0, i < 3; i++) g(i); }", "void f(void) { for (int i = 0; i < 3; i++) g(i); }"],
    ["java", inMain('String s = x > 5 ? "a" ; "b";'), inMain('String s = x > 5 ? "a" : "b";')],
    ["python", "fares = {'car' 4, 'bike': 2}\n", "fares = {'car': 4, 'bike': 2}\n"],
    ["python", "fares = {'car': 4, 'bike' 2}\n", "fares = {'car': 4, 'bike': 2}\n"],
    ["java", inMain("List<String> q = ArrayList<>();"), inMain("List<String> q = new ArrayList<>();")],
    ["csharp", inMain("var r = Random();"), inMain("var r = new Random();")],
    [
      "java",
      "class A {\n  static twice(int x) {\n    return 2 * x;\n  }\n}\n",
      "class A {\n  static int twice(int x) {\n    return 2 * x;\n  }\n}\n",
    ],
    [
      "java",
      "class A {\n  public static main(String[] a) {\n  }\n}\n",
      "class A {\n  public static void main(String[] a) {\n  }\n}\n",
    ],
    ["java", inMain('g("a") h("b");'), inMain('g("a"); h("b");')],
    ["python", "print(1) print(2)\n", "print(1); print(2)\n"],
    ["c", "include <stdio.h>\n", "#include <stdio.h>\n"],
    ["c", 'string s = "Tern";\n', 'char s[] = "Tern";\n'],
    ["c", 'char s[10];\nvoid f(void) {\n  s = "Tern";\n}\n', 'char s[10];\nvoid f(void) {\n  strcpy(s, "Tern");\n}\n'],
    ["java", inMain("int x = 3;\n    int x = x + 1;"), inMain("int x = 3;\n    x = x + 1;")],
    [
      "python",
      "try:\n    n = int(input())\nprint(n)\n",
      "try:\n    n = int(input())\nexcept ValueError:\n    pass\nprint(n)\n",
    ],
  ];
  test.each(cases)("%s: %j", (language, faulty, right) => {
    expect(madeBy(language, faulty)).toContain(right);
  });

  const more: Array<[language: string, faulty: string, right: string]> = [
    ["python", "if x >= 3 print('yes')\n", "if x >= 3: print('yes')\n"],
    ["python", "for car in cars load = car\n", "for car in cars: load = car\n"],
    ["python", "import math\nprint(sqrt(16))\n", "import math\nprint(math.sqrt(16))\n"],
    ["python", "import numbers as n\nprint(add(1))\n", "import numbers as n\nprint(n.add(1))\n"],
    ["python", "tide = 1,5\n", "tide = 1.5\n"],
    [
      "python",
      "class Boat:\n    def _init_(self, name):\n        self.name = name\n",
      "class Boat:\n    def __init__(self, name):\n        self.name = name\n",
    ],
    [
      "java",
      inMain("for (int i = 0; i < n; i++ {\n      g(i);\n    }"),
      inMain("for (int i = 0; i < n; i++) {\n      g(i);\n    }"),
    ],
    [
      "java",
      inMain("int[] a = new int[2];\n    a = {1, 2};"),
      inMain("int[] a = new int[2];\n    a = new int[] {1, 2};"),
    ],
    ["java", "class A {\n  static int f(x, y) {\n  }\n}\n", "class A {\n  static int f(int x, int y) {\n  }\n}\n"],
    ["csharp", "class A {\n  static int F(x) {\n  }\n}\n", "class A {\n  static int F(string x) {\n  }\n}\n"],
    ["java", inMain("long x = 3000000000;"), inMain("long x = 3000000000L;")],
    ["java", inMain("List<int> xs = f();"), inMain("List<Integer> xs = f();")],
    ["java", inMain("Scanner in = new Scanner();"), inMain("Scanner in = new Scanner(System.in);")],
    ["java", "class A { static void main(String args) { } }", "class A { static void main(String[] args) { } }"],
    ["java", inMain("if (3 < x < n) g();"), inMain("if (3 < x && x < n) g();")],
    ["pascal", "begin\n  if 3 <= x < 9 then\n    f;\nend.\n", "begin\n  if 3 <= x and x < 9 then\n    f;\nend.\n"],
    [
      "c",
      "struct Boat { int cars; };\nvoid f(void) {\n  Boat b;\n}\n",
      "struct Boat { int cars; };\nvoid f(void) {\n  struct Boat b;\n}\n",
    ],
    ["c", "void f(void) { printf('a'); }", 'void f(void) { printf("a"); }'],
    ["csharp", inMain('Console.WriteLine("x is {0}" + 3);'), inMain('Console.WriteLine("x is {0}", 3);')],
    ["csharp", inMain("G(3):"), inMain("G(3);")],
    [
      "pascal",
      "function twice(x: integer);\nbegin\n  twice := 2 * x;\nend;\nbegin\nend.\n",
      "function twice(x: integer): real;\nbegin\n  twice := 2 * x;\nend;\nbegin\nend.\n",
    ],
    [
      "pascal",
      "var a: array[1..3] of integer;\nbegin\n  a(1) := 4;\nend.\n",
      "var a: array[1..3] of integer;\nbegin\n  a[1] := 4;\nend.\n",
    ],
    ["python", "cars = [1, 2]\nprint(cars(0))\n", "cars = [1, 2]\nprint(cars[0])\n"],
    [
      "python",
      "fares = {1: 2}\nfor k, v in fares:\n    g(k)\n",
      "fares = {1: 2}\nfor k, v in fares.items():\n    g(k)\n",
    ],
    ["python", "cars = [4]\nfor i, car in cars:\n    g(i)\n", "cars = [4]\nfor i, car in enumerate(cars):\n    g(i)\n"],
    ["python", "decks = [(1, 2)]\nfor a, b in decks:\n    g(a\n", ""],
    ["python", "if a:\n    b = 1\nif else:\n    b = 2\n", "if a:\n    b = 1\nelse:\n    b = 2\n"],
    ["python", "while True:\n    if a:\n        stop\n", "while True:\n    if a:\n        break\n"],
    [
      "python",
      "def f(n):\n    if n < 2:\n        return 1\n    n * f(n - 1)\n",
      "def f(n):\n    if n < 2:\n        return 1\n    return n * f(n - 1)\n",
    ],
    ["python", "cars = []\ncars[0] = 4 + 1\n", "cars = []\ncars.append(4 + 1)\n"],
    ["python", 'print("Sail)"\n', 'print("Sail")\n'],
    ["csharp", inMain('Console.WriteLine("a);";'), inMain('Console.WriteLine("a");')],
    ["csharp", inMain("if (answer == 'y') G();"), inMain('if (answer == "y") G();')],
    ["csharp", inMain("foreach (car in cars) G(car);"), inMain("foreach (var car in cars) G(car);")],
    ["java", inMain("for (car : cars) g(car);"), inMain("for (var car : cars) g(car);")],
    ["java", inMain('String s = "a";\n    g(s[i]);'), inMain('String s = "a";\n    g(s.charAt(i));')],
    ["java", inMain("List<Integer> xs = f();\n    g(xs[0]);"), inMain("List<Integer> xs = f();\n    g(xs.get(0));")],
    ["java", inMain("int[] a = [1, 2];"), inMain("int[] a = {1, 2};")],
    ["csharp", inMain("int a[] = {1, 2};"), inMain("int[] a = {1, 2};")],
    ["java", inMain("int a[2] = {1, 2};"), inMain("int[] a = {1, 2};")],
    ["c", "void f(void) {\n  int[] a = {1, 2};\n}\n", "void f(void) {\n  int a[] = {1, 2};\n}\n"],
    ["c", "void f(void) {\n  int a[2] = [1, 2];\n}\n", "void f(void) {\n  int a[2] = {1, 2};\n}\n"],
    ["java", inMain("int[] a = new int(3);"), inMain("int[] a = new int[3];")],
    ["octave", "x = (1, 2, 3);\n", "x = [1, 2, 3];\n"],
    ["pascal", "var x integer;\nbegin\nend.\n", "var x: integer;\nbegin\nend.\n"],
    ["pascal", "var x = integer;\nbegin\nend.\n", "var x : integer;\nbegin\nend.\n"],
    ["pascal", "var a: array(1..3) of real;\nbegin\nend.\n", "var a: array[1..3] of real;\nbegin\nend.\n"],
    ["python", "for (i in range(3)):\n    g(i)\n", "for i in range(3):\n    g(i)\n"],
    ["java", inMain("if (a) {\n    } else (b) {\n    }"), inMain("if (a) {\n    } else if (b) {\n    }")],
    ["python", "if x > 3 and < 9:\n    pass\n", "if x > 3 and x < 9:\n    pass\n"],
    ["python", "while not (len(a) > 3 or == 0):\n    pass\n", "while not (len(a) > 3 or len(a) == 0):\n    pass\n"],
    ["c", "void f(int x) { if (x + 1 >= 3 && <= 9) g(); }", "void f(int x) { if (x + 1 >= 3 && x + 1 <= 9) g(); }"],
    ["octave", "if x > 3 && < 9\n  f;\nend\n", "if x > 3 && x < 9\n  f;\nend\n"],
    ["pascal", "begin\n  if x = 3 or = 9 then\n    f;\nend.\n", "begin\n  if x = 3 or x = 9 then\n    f;\nend.\n"],
    ["python", "int cars = 3\nprint(cars)\n", "cars = 3\nprint(cars)\n"],
    ["java", inMain("final int x = 3;\n    x = x + 1;"), inMain("int x = 3;\n    x = x + 1;")],
    [
      "java",
      'class Boat {\n  private String name = "a";\n}\nclass A { void f(Boat b) { g(b.name); } }\n',
      'class Boat {\n  String name = "a";\n}\nclass A { void f(Boat b) { g(b.name); } }\n',
    ],
    ["octave", "for k = 1..3\n  disp(k);\nend\n", "for k = 1:3\n  disp(k);\nend\n"],
    ["octave", "for k = 1:3\n  n += k\nend\n", "for k = 1:3\n  n += k;\nend\n"],
    ["octave", "function f(x)\n  disp(x);\nend\nf(3);\n", "1;\nfunction f(x)\n  disp(x);\nend\nf(3);\n"],
  ];
  test.each(more)("%s: %j", (language, faulty, right) => {
    if (right) expect(madeBy(language, faulty)).toContain(right);
    else expect(madeBy(language, faulty)).toEqual([]);
  });

  test.each([
    ["python", "print(max(1, 5))\npair = (1, 5)\n"],
    ["python", "if 1 < x < 9:\n    print(x)\n"],
    ["python", "from math import sqrt\nprint(sqrt(4))\n"],
    ["java", inMain("switch (x) {\n      case 4:\n      default:\n    }")],
    ["java", inMain("g(a < b, c > d);")],
    ["c", "struct Boat { int cars; };\nstruct Boat b;\n"],
    ["octave", "x = 3\n"],
    ["c", "void f(void) {\n  int a[3] = {1, 2, 3};\n}\n"],
    ["pascal", "var x, y: integer;\n  a: array[1..3] of real;\nbegin\nend.\n"],
  ])("not in %s: %j", (language, text) => {
    // A value that is shown may be meant so.
    expect(madeBy(language, text).filter((each) => each !== `${text.trimEnd()};\n`)).toEqual([]);
  });

  test("a constructor needs no type, and a handled attempt no handler", () => {
    expect(madeBy("java", "class Deck {\n  public Deck(int n) {\n  }\n}\n")).toEqual([]);
    expect(madeBy("python", "try:\n    n = 1\nexcept ValueError:\n    n = 2\n")).toEqual([]);
    expect(madeBy("python", "try:\n    n = 1\nfinally:\n    n = 2\n")).toEqual([]);
  });
});

test("hardly anything is proposed in programs that are right", () => {
  const doubted = rightPrograms.filter(({ language, text }) => {
    const found = findLanguage(language);
    return found?.syntax && found.writing && madeBy(language, text).length > 0;
  });
  expect(doubted.map(({ language, name }) => `${language} ${name}`)).toEqual([]);
});
