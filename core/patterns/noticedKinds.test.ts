import { expect, test } from "vitest";
import { findLanguage } from "../languages/languages.ts";
import type { Diagnostic } from "../outcome/outcome.ts";
import { evidenceOf } from "./evidence.ts";
import { suggestPatterns } from "./suggest.ts";

type Case = {
  says: string;
  language: string;
  program: string;
  of: "syntax" | "runtime" | "logic";
  leads: readonly number[];
  /** What the tool said, and its name of the error. */
  message?: readonly [name: string, text: string, line: number];
  first: string | undefined;
};

const cases: readonly Case[] = [
  {
    says: "a part of the object given to itself",
    language: "java",
    program: "class Car {\n  int load;\n  Car(int load) {\n    load = load;\n  }\n}\n",
    ...{ of: "logic", leads: [4], first: "variable-shadowed" },
  },
  {
    says: "a part that is set by the constructor is no mark that was forgotten",
    language: "java",
    program:
      "class Car {\n  boolean booked;\n  Car(boolean booked) {\n    this.booked = booked;\n  }\n  int f() {\n    return booked ? 1 : 2;\n  }\n}\n",
    ...{ of: "logic", leads: [7], first: undefined },
  },
  {
    says: "a mark that becomes nothing but false, and is printed",
    language: "python",
    program: "heavy = False\nfor load in [12, 50]:\n    if load > 40:\n        heavy = False\nprint(heavy)\n",
    ...{ of: "logic", leads: [5], first: "flag-not-set" },
  },
  {
    says: "one that is worked out",
    language: "python",
    program: "heavy = False\nfor load in [12, 50]:\n    heavy = load > 60\nprint(heavy)\n",
    ...{ of: "logic", leads: [4], first: undefined },
  },
  {
    says: "a misspelt name is a new empty one, and what it should have been is read nowhere",
    language: "basic-macro",
    program:
      "Sub CountCars\n  Dim total As Integer\n  For row = 1 To 3\n    total = total + row\n  Next row\n  MsgBox totl\nEnd Sub\n",
    ...{ of: "logic", leads: [6, 4, 3], first: "misspelt-name-is-new" },
  },
  {
    says: "a character is equal by what it is",
    language: "c",
    program: "int f(char c) {\n  return c == 'a';\n}\n",
    ...{ of: "logic", leads: [2], first: undefined },
  },
  {
    says: "a text is not",
    language: "c",
    program: 'int f(char *c) {\n  return c == "a";\n}\n',
    ...{ of: "logic", leads: [2], first: "text-compared-by-identity" },
  },
  {
    says: "an array of a record has an address",
    language: "c",
    program:
      'struct car { char plate[8]; int load; };\nvoid f(struct car *c) {\n  scanf("%s %d", c->plate, &c->load);\n}\n',
    ...{ of: "logic", leads: [3], first: undefined },
  },
  {
    says: "the name that a function gives back is no copy",
    language: "octave",
    program: "1;\nfunction c = crossings(v)\n  c = 0;\n  c = c + numel(v);\nend\nprintf('%d', crossings([1 2]));\n",
    ...{ of: "logic", leads: [4], first: undefined },
  },
  {
    says: "a table that is handed over as a copy",
    language: "pascal",
    program: "type T = array[1..2] of integer;\nprocedure add(t: T);\nbegin\n  t[1] := 5;\nend;\nbegin\nend.\n",
    ...{ of: "logic", leads: [4], first: "value-parameter-changed" },
  },
  {
    says: "shapes that do not fit, whatever a change would make of it",
    language: "octave",
    program: "a = [1 2 3] * [1 2 3];\n",
    message: ["", "operator *: nonconformant arguments (op1 is 1x3, op2 is 1x3)", 1],
    ...{ of: "runtime", leads: [1], first: "shapes-do-not-fit" },
  },
  {
    says: "a header that ends before its block, in a program that is refused for another line",
    language: "java",
    program:
      "class M {\n  int f(int[] a) {\n    int s = 0;\n    for (int x : a);\n    {\n      s += x;\n    }\n    return s;\n  }\n}\n",
    message: ["", "cannot find symbol\n  symbol:   variable x", 6],
    ...{ of: "syntax", leads: [4, 6], first: "semicolon-after-header" },
  },
  {
    says: "places in a text without values",
    language: "csharp",
    program: 'class P {\n  static void Main() {\n    System.Console.WriteLine("{0}: {1}", 3);\n  }\n}\n',
    message: [
      "System.FormatException",
      "Index (zero based) must be greater than or equal to zero and less than the size of the argument list.",
      3,
    ],
    ...{ of: "runtime", leads: [3], first: "argument-count-wrong" },
  },
  {
    says: "a word between two comparisons without brackets, where it binds more than they do",
    language: "pascal",
    program: "var a, b: integer;\nbegin\n  if a = 0 or b = 3 then\n    a := 1;\nend.\n",
    message: ["", 'Operator is not overloaded: "ShortInt" or "SmallInt"', 3],
    ...{ of: "syntax", leads: [3], first: "and-or-without-brackets" },
  },
  {
    says: "what stands behind the end of a function",
    language: "python",
    program: "def board(cars, car):\n    return True\n    cars.append(car)\nboard([], 1)\n",
    ...{ of: "logic", leads: [3, 2], first: "steps-in-wrong-order" },
  },
  {
    says: "a best one that is compared as a value and kept as a place",
    language: "java",
    program:
      "class M {\n  int best(int[] a) {\n    int best = 0;\n    for (int i = 0; i < a.length; i++)\n      if (a[i] > best)\n        best = i;\n    return best;\n  }\n}\n",
    ...{ of: "logic", leads: [6, 5], first: "stored-position-stale" },
  },
  {
    says: "a branch that an earlier one takes everything from",
    language: "csharp",
    program:
      "class P {\n  static int F(int wind) {\n    if (wind >= 6) {\n      return 1;\n    } else if (wind >= 10) {\n      return 2;\n    }\n    return 0;\n  }\n}\n",
    ...{ of: "logic", leads: [3], first: "steps-in-wrong-order" },
  },
  {
    says: "else if in two words, where the second begins a decision of its own",
    language: "octave",
    program: "a = 10;\nif a < 6\n  b = 0;\nelse if a < 16\n  b = 2;\nend\nend\ndisp(b)\n",
    ...{ of: "logic", leads: [4], first: "other-language-word" },
  },
  {
    says: "a misspelt word that a switch takes for a place to jump to",
    language: "c",
    program:
      "int f(int zone) {\n  switch (zone) {\n  case 1:\n    return 4;\n  defualt:\n    return 10;\n  }\n  return 0;\n}\n",
    ...{ of: "logic", leads: [5, 4], first: "keyword-misspelt" },
  },
  {
    says: "what the loop waits for moves away, until its type's range is left",
    language: "java",
    program:
      "class M {\n  int f(int water) {\n    int hours = 0;\n    while (water > 0) {\n      water = water + 15;\n      hours++;\n    }\n    return hours;\n  }\n}\n",
    ...{ of: "logic", leads: [5], first: "loop-moves-away" },
  },
  {
    says: "a loop that is never entered by the mark before it",
    language: "pascal",
    program: "begin\n  ready := true;\n  while not ready do\n    step;\nend.\n",
    ...{ of: "logic", leads: [2, 3], first: "flag-not-set" },
  },
  {
    says: "a loop that is never entered by the number before it",
    language: "python",
    program: "tide = 2\nwhile tide > 3:\n    tide = tide - 1\nprint(tide)\n",
    ...{ of: "logic", leads: [1, 2], first: "loop-start-wrong" },
  },
  {
    says: "the same element by two lines below each other",
    language: "python",
    program: 'parts = input().split(":")\nhour = int(parts[0])\nminute = int(parts[0])\nprint(hour, minute)\n',
    ...{ of: "logic", leads: [3], first: "copied-line-not-adapted" },
  },
  {
    says: "arguments with the names of each other's places",
    language: "python",
    program: "def moor(boat, length):\n    return length + 1\n\n\nprint(moor(length, boat))\n",
    message: ["TypeError", 'can only concatenate str (not "int") to str', 2],
    ...{ of: "runtime", leads: [5, 2], first: "arguments-swapped" },
  },
  {
    says: "an object that is linked to itself",
    language: "java",
    program: "class M {\n  void add(Boat made) {\n    first = made;\n    made.next = first;\n  }\n}\n",
    ...{ of: "logic", leads: [3, 4], first: "steps-in-wrong-order" },
  },
  {
    says: "what a loop waits for, moved on in one branch alone",
    language: "python",
    program:
      'line = input()\nwhile line != "end":\n    if line:\n        waiting.append(line)\n        line = input()\nprint(waiting)\n',
    ...{ of: "logic", leads: [5], first: "statement-wrongly-inside-block" },
  },
  {
    says: "a place that was worked out before its text was cut",
    language: "pascal",
    program:
      "begin\n  p := Pos('-', line);\n  Delete(line, 1, p);\n  rest := Copy(line, 1, p - 1);\n  writeln(rest);\nend.\n",
    ...{ of: "logic", leads: [3, 2], first: "stored-position-stale" },
  },
  {
    says: "decimals that are asked whether they are the same",
    language: "python",
    program: "need = 0.1 + 0.2\nif height == need:\n    print(height)\n",
    ...{ of: "logic", leads: [2], first: "decimal-compared-exactly" },
  },
  {
    says: "the name of a variable printed behind a text",
    language: "c",
    program: 'int main(void) {\n  int boats = 3;\n  printf("%s\\n", "boats");\n  return 0;\n}\n',
    ...{ of: "logic", leads: [3], first: "name-printed-as-text" },
  },
  {
    says: "a word that is printed alone may be meant",
    language: "c",
    program: 'int main(void) {\n  int late = 3;\n  puts("late");\n  return late;\n}\n',
    ...{ of: "logic", leads: [3], first: undefined },
  },
  {
    says: "a product that begins with nothing",
    language: "octave",
    program: "ways = 0;\nfor n = 1:4\n  ways *= n;\nend\ndisp(ways)\n",
    ...{ of: "logic", leads: [1], first: "accumulator-start-wrong" },
  },
  {
    says: "a crash of a function that calls itself whatever it was given",
    language: "c",
    program: 'int down(int n) {\n  printf("%d ", n);\n  return 1 + down(n - 15);\n}\n',
    message: ["", "SIGSEGV", 2],
    ...{ of: "runtime", leads: [3, 1], first: "recursion-without-end" },
  },
  {
    says: "a second variable where the language allows none",
    language: "csharp",
    program:
      'class P {\n  void F() {\n    string name = "a";\n    while (name != "") {\n      string name = G();\n    }\n  }\n}\n',
    message: [
      "CS0136",
      "A local variable named `name' cannot be declared in this scope because it would give a different meaning",
      5,
    ],
    ...{ of: "syntax", leads: [5], first: "variable-shadowed" },
  },
  {
    says: "a decimal that a whole number cannot hold",
    language: "csharp",
    program: "class P {\n  void F(double pay) {\n    int total = 0;\n    total += pay;\n  }\n}\n",
    message: ["CS0266", "Cannot implicitly convert type `double' to `int'. An explicit conversion exists", 4],
    ...{ of: "syntax", leads: [4, 3], first: "fraction-into-whole-number" },
  },
  {
    says: "a line that breaks off behind an operator",
    language: "java",
    program: "class M {\n  void f() {\n    int count = in.nextInt()+\n    in.nextLine();\n  }\n}\n",
    message: ["", "incompatible types: String cannot be converted to int", 3],
    ...{ of: "syntax", leads: [3], first: "operator-at-line-end" },
  },
  {
    says: "an expression that goes on in the next line, which is indented further",
    language: "java",
    program: "class M {\n  void f() {\n    int count = 3 +\n        in.nextLine();\n  }\n}\n",
    message: ["", "incompatible types: String cannot be converted to int", 3],
    ...{ of: "syntax", leads: [3], first: "text-and-number-mixed" },
  },
  {
    says: "two operators behind a text, and nothing behind them",
    language: "java",
    program: 'class M {\n  void f() {\n    System.out.println("Grams " + + );\n  }\n}\n',
    message: ["", "illegal start of expression", 3],
    ...{ of: "syntax", leads: [3], first: "operand-missing" },
  },
  {
    says: "an error of the program's own words, whatever it is called",
    language: "java",
    program:
      'class M {\n  void pay(int price, int given) {\n    if (given < price) {\n      throw new IllegalArgumentException("too little");\n    }\n  }\n}\n',
    message: ["IllegalArgumentException", "too little", 4],
    ...{ of: "runtime", leads: [4], first: "stops-on-purpose" },
  },
  {
    says: "a call of an object without its brackets",
    language: "java",
    program: "class M {\n  void f() {\n    String month = in.next;\n  }\n}\n",
    message: ["", "cannot find symbol\nsymbol:   variable next\nlocation: variable in of type Scanner", 3],
    ...{ of: "syntax", leads: [3], first: "call-brackets-missing" },
  },
  {
    says: "a function of C that works something out and gives nothing back",
    language: "c",
    program: "int seats(int rows) {\n  rows * 4;\n}\nint main(void) {\n  int all = seats(3);\n  return all;\n}\n",
    ...{ of: "logic", leads: [2, 5], first: "return-missing" },
  },
  {
    says: "what a handler for every error says in the place of a result",
    language: "python",
    program: 'loads = {"tern": 12}\ntry:\n    print(load["tern"])\nexcept Exception:\n    print("no such ferry")\n',
    ...{ of: "logic", leads: [5, 3], first: "handler-catches-too-much" },
  },
  {
    says: "a quotient of whole numbers that is compared with a half",
    language: "csharp",
    program: "class P {\n  bool F(int safe, int days) {\n    return safe / days >= 0.5;\n  }\n}\n",
    ...{ of: "logic", leads: [3], first: "whole-number-division" },
  },
  {
    says: "a decision of its own behind an and is compared with something",
    language: "java",
    program: "class M {\n  boolean f(int load, int day) {\n    return load >= 50 && (day == 1 || day == 2);\n  }\n}\n",
    ...{ of: "logic", leads: [3], first: undefined },
  },
];

test.each(cases)("$says ($language)", ({ language: id, program, of, leads, message, first }) => {
  const language = findLanguage(id);
  if (!language) throw new Error(id);
  const diagnostic: Diagnostic | null = message
    ? {
        severity: "error",
        stage: of === "syntax" ? "translation" : "run",
        ...(message[0] ? { errorName: message[0] } : {}),
        message: message[1],
        line: message[2],
        primary: true,
        frames: [],
      }
    : null;
  const judged = { class: of, diagnostic, leads: leads.map((line) => ({ line })) };
  const suggested = suggestPatterns(evidenceOf(language, program, judged, []));
  expect(suggested[0]?.id, JSON.stringify(suggested)).toBe(first);
});

/** The kinds of a program in which no fault is shown. */
function kindsOfRight(id: string, program: string): string[] {
  const language = findLanguage(id);
  if (!language) throw new Error(id);
  return suggestPatterns(evidenceOf(language, program, { class: null, diagnostic: null, leads: [] }, [])).map(
    (each) => each.id,
  );
}

test("what is no fault is remarked where nothing else is", () => {
  expect(kindsOfRight("python", "load = int(int(input()))\nprint(load)\n")).toEqual(["converted-twice"]);
  expect(kindsOfRight("java", "class M {\n  double f(int n) {\n    return (double) (double) n;\n  }\n}\n")).toEqual([
    "converted-twice",
  ]);
  expect(kindsOfRight("java", '@SuppressWarnings("unchecked")\nclass M {\n}\n')).toEqual(["warning-hidden"]);
  expect(kindsOfRight("octave", 'warning("off", "all");\nx = 1;\n')).toEqual(["warning-hidden"]);
});

test.each([
  ["python", "load = int(float(input()))\nprint(str(load))\n"],
  ["python", "print(round(abs(round_trip)))\n"],
  ["java", "class M {\n  double f(int n) {\n    return (double) (int) n;\n  }\n}\n"],
  ["octave", 'warning("late");\nx = 1;\n'],
])("of a program in %s that is right nothing is said", (id, program) => {
  expect(kindsOfRight(id, program)).toEqual([]);
});
