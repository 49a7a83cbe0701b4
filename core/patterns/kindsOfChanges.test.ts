import { expect, test } from "vitest";
import type { ExerciseFault } from "../exercises/exercise.ts";
import { findHunks } from "../fixes/hunks.ts";
import { patternOfFault } from "./patternOfFault.ts";

/** The kind of mistake of a program by its mended form, and by what its tool said. */
function kindOf(
  language: string,
  program: string,
  mended: string,
  told: Partial<Pick<ExerciseFault, "class" | "message" | "reportedLine">> = {},
): string | null {
  const hunks = findHunks(program, mended);
  const faultyLines = hunks.map(({ start }) => start);
  const fault: ExerciseFault = {
    ...{ class: "logic", symptom: "", message: "", reportedLine: null, faultyLines, hunks },
    ...told,
  };
  return patternOfFault({ language, program }, fault)?.id ?? null;
}

const digits =
  "digits = 0\nfor sign in code:\n    if '0' <= sign <= '9':\n        digits += 1\nif digits > 2:\n    print(code)\n";
const equal = 'int f(char *name) {\n  return strcmp(name, "Tern") == 1;\n}\n';
const sorted = "loads.sort()\nfor load in loads:\n    print(load)\n";
const full =
  "int f(int a[4]) {\n  int full = 1;\n  for (int i = 0; i < 4; i++)\n    if (a[i])\n      full++;\n  return full;\n}\n";
const place = "int f(int a[4]) {\n  int at = 1;\n  while (a[at])\n    at++;\n  return 4;\n}\n";
const best = "best = 0\nfor load in loads:\n    best = min(best, load)\nprint(best)\n";
const pair = "def ends(loads):\n    return min(loads), max(loads)\n\n\nhigh, low = ends([4, 9])\nprint(low, high)\n";
const clock = 'class A {\n  static String f(int m) {\n    return m / 60 + ":" + m / 60;\n  }\n}\n';
const row = "line = ['.'] * 3\nfor k in range(2):\n    deck.append(line)\ndeck[0][1] = 'X'\nprint(deck)\n";
const pointer = "void add(int *total, int load) {\n  total = total + load;\n}\n";
const address = "void add(int *n) { *n += 1; }\nint main(void) {\n  int n = 0;\n  add(n);\n  return n;\n}\n";
const list = "void f(Car *car) {\n  while (car != NULL) {\n    car = car->next;\n  }\n  car->load = 1;\n}\n";
const split = 'parts = input().split(",")\nprint(parts[0])\n';
const turn = "turn = 0\nfor day in days:\n    print(names[turn])\n    turn = turn + 1\n";
const both = "def f(load):\n    return load > 3 and load is not None\n\n\nprint(f(4))\n";

const scale = "function d = depth(h)\n  d = sum(h, 2);\nend\n";
const cut = 'code = input("", "s");\nprintf("%s\\n", code(2:end));\n';
const calls = 'function n = tries(left)\n  n = left - 1;\nend\nprintf("%d\\n", tires(3));\n';
const written = "var n: integer;\nbegin\n  if n > 1 then\n    writeln(n)\n  else\n    writln(0);\nend.\n";
const reads = 'name = input()\nwhile name != "":\n    queue.append(name)\nprint(queue)\n';
const exact = "need = 0.5 * 3\nif height == need:\n    print(height)\n";
const ends = "queue = []\nfor name in names:\n    queue.append(name)\nprint(queue)\n";

const seat = "class A {\n  static boolean f(int n) {\n    return n < 0 || n > 9 && n == 5 || n > 20;\n  }\n}\n";
const one = "class A {\n  static boolean f(int n) {\n    return n < 0 && n > 9;\n  }\n}\n";
const shows = "void show(int time);\n{\n  time = 3;\n}\n";
const sorts =
  "class A {\n  static void f(int[] a) {\n    for (int end = 9; end > 0; end++) {\n      a[end] = 1;\n    }\n  }\n}\n";
const rows = "total = 0\nfor row in rows:\n    for load in row:\n        total += load\n    print(total)\n";
const unbegun = rows.replace("total = 0\n", "");

test.each([
  ["the other direction of a sum", "octave", scale, scale.replace("h, 2", "h, 1"), "dimension-wrong"],
  ["the beginning of a piece in round brackets", "octave", cut, cut.replace("2:end", "3:end"), "slice-off-by-one"],
  [
    "a read that moves on what the loop waits for",
    ...["python", reads, reads.replace("(name)\n", "(name)\n    name = input()\n"), "loop-variable-never-changes"],
  ],
  [
    "decimals by how far they are apart",
    ...["python", exact, exact.replace("height == need", "abs(height - need) < 0.001"), "decimal-compared-exactly"],
  ],
  ["the other end of a list", "python", ends, ends.replace("append(", "insert(0, "), "steps-in-wrong-order"],
  ["an or of an and where no and is left", "java", one, one.replace("&&", "||"), "and-or-mixed-up"],
  [
    "an and among ors that stay with one",
    "java",
    seat,
    seat.replace("n == 5 ||", "n == 5 &&"),
    "and-or-without-brackets",
  ],
  [
    "a count that goes on and on over rows",
    "python",
    rows,
    rows.replace("    for load", "    total = 0\n    for load"),
    "restart-missing",
  ],
  [
    "a sum that nothing begins, though it is printed in each row",
    "python",
    unbegun,
    unbegun.replace("    for load", "    total = 0\n    for load"),
    "read-before-set",
  ],
  ["a count of digits that is too small", "python", digits, digits.replace("> 2", ">= 2"), "limit-off-by-one"],
  [
    "an answer for another number than that of equal texts",
    "c",
    equal,
    equal.replace("== 1", "== 0"),
    "base-value-wrong",
  ],
  ["an order from the least up", "python", sorted, sorted.replace("sort()", "sort(reverse=True)"), "sorted-wrong-way"],
  ["a count that begins with one", "c", full, full.replace("= 1", "= 0"), "accumulator-start-wrong"],
  ["a first place that is wrong", "c", place, place.replace("= 1", "= 0"), "base-value-wrong"],
  ["the least for the greatest", "python", best, best.replace("min", "max"), "comparison-turned"],
  ["names that take two results", "python", pair, pair.replace("high, low", "low, high"), "returned-values-swapped"],
  ["the quotient for the rest", "java", clock, clock.replace("m / 60;", "m % 60;"), "arithmetic-operator-wrong"],
  [
    "one list put in again and again",
    "python",
    row,
    row.replace("line = ['.'] * 3\nfor k in range(2):\n", "for k in range(2):\n    line = ['.'] * 3\n"),
    "list-shared-by-alias",
  ],
  [
    "a pointer for what it points at",
    "c",
    pointer,
    pointer.replace("total = total", "*total = *total"),
    "value-parameter-changed",
  ],
  ["no address for what takes one", "c", address, address.replace("add(n);", "add(&n);"), "address-sign-missing"],
  ["the end for the last one", "c", list, list.replace("car != NULL", "car->next != NULL"), "empty-reference-used"],
  ["another sign between parts", "python", split, split.replace('","', '" "'), "text-misspelt"],
  [
    "a place that does not begin anew",
    "python",
    turn,
    turn.replace("turn + 1", "(turn + 1) % len(names)"),
    "step-missing",
  ],
  [
    "a test behind what it allows",
    "python",
    both,
    both.replace("load > 3 and load is not None", "load is not None and load > 3"),
    "steps-in-wrong-order",
  ],
] as const)("%s is told by what mends it (%s)", (_, language, program, mended, kind) => {
  expect(kindOf(language, program, mended)).toBe(kind);
});

test("a result that is given back in another block is left in the first pass only where there is a loop", () => {
  const loop =
    "def f(loads):\n    for load in loads:\n        if load > 3:\n            return False\n        return True\n";
  expect(kindOf("python", loop, loop.replace("        return True", "    return True"))).toBe("return-inside-loop");
  const plain = "def f(deck):\n    if deck > 3:\n        deck = 3\n    return True\n    return False\n";
  const mended = plain.replace("    return True", "        return True");
  expect(kindOf("python", plain, mended)).not.toBe("return-inside-loop");
});

test("a decimal for a variable of whole numbers, and a call with too few values, are told by their messages", () => {
  const pascal = "program p;\nvar\n  mean: integer;\nbegin\n  mean := 7 / 2;\nend.\n";
  expect(
    kindOf("pascal", pascal, pascal, {
      ...{ class: "syntax", reportedLine: 5 },
      message: 'p.pas(5,13) Error: Incompatible types: got "Real" expected "SmallInt"\n',
    }),
  ).toBe("fraction-into-whole-number");
  const csharp =
    "class Deck { public Deck(int rows) { } }\nclass P {\n  static void Main() {\n    new Deck();\n  }\n}\n";
  expect(
    kindOf("csharp", csharp, csharp, {
      ...{ class: "syntax", reportedLine: 4 },
      message: "P.cs(4,5): error CS1729: The type `Deck' does not contain a constructor that takes `0' arguments\n",
    }),
  ).toBe("argument-count-wrong");
});

test("a sign behind the head of a function, whose body follows it", () => {
  const told = {
    class: "syntax" as const,
    message: "deck.c:2:1: error: expected identifier or '(' before '{' token\n",
  };
  expect(kindOf("c", shows, shows.replace(";\n{", "\n{"), told)).toBe("semicolon-after-header");
});

test("a head that counts up from where it is to go down moves away, also where the run is stopped by it", () => {
  const told = {
    class: "runtime" as const,
    message: "java.lang.ArrayIndexOutOfBoundsException: Index 10 out of bounds for length 10\n\tat A.f(A.java:4)\n",
    reportedLine: 4,
  };
  expect(kindOf("java", sorts, sorts.replace("end++", "end--"), told)).toBe("loop-moves-away");
});

test("a misspelt name is the program's own where the program makes it, and the library's where it only uses it", () => {
  const undefinedName = { class: "runtime", message: "error: 'tires' undefined", reportedLine: 4 } as const;
  expect(kindOf("octave", calls, calls.replace("tires", "tries"), undefinedName)).toBe("own-name-misspelt");
  const unknown = { class: "syntax", message: 'Identifier not found "writln"', reportedLine: 6 } as const;
  expect(kindOf("pascal", written, written.replace("writln", "writeln"), unknown)).toBe("library-name-misspelt");
});
