import { expect, test } from "vitest";
import { editContext } from "../edits/context.ts";
import { editFamilies } from "../edits/families.ts";
import { familyOf } from "../edits/familyOf.ts";
import { findHunks } from "../fixes/hunks.ts";
import type { Language } from "../languages/language.ts";
import { findLanguage } from "../languages/languages.ts";
import { foundMistakes } from "../leads/mistakes/found.ts";
import { type Example, example, inMain } from "./example.ts";
import { patternOfFault } from "./patternOfFault.ts";

/** The language of an example. */
function languageOf({ language }: Example): Language {
  const found = findLanguage(language);
  if (!found) throw new Error(`no language ${language}`);
  return found;
}

/** The kind of mistake that is named for an example whose mending and message are known. */
function kindOf(slip: Example, of: "syntax" | "runtime" | "logic" = "logic", message = ""): string | null {
  const hunks = findHunks(slip.faulty, slip.right);
  const faultyLines = hunks.map(({ start }) => start);
  const fault = { ...{ class: of, message, symptom: "" }, reportedLine: faultyLines[0] ?? null, faultyLines, hunks };
  return patternOfFault({ language: slip.language, program: slip.faulty }, fault)?.id ?? null;
}

/** The proposals for a program, likeliest first by the odds of their own family: the text of the change, and its odds. */
function proposedBy(id: string, slip: Example): Array<{ text: string; odds: number }> {
  const context = editContext(languageOf(slip), slip.faulty);
  const family = editFamilies.find((each) => each.id === id);
  if (!context || !family) throw new Error(`no family ${id}`);
  return family
    .mends(context)
    .map((each) => ({
      text: `${slip.faulty.slice(0, each.from)}${each.text}${slip.faulty.slice(each.to)}`,
      odds: each.odds ?? 1,
    }))
    .toSorted((one, other) => other.odds - one.odds);
}

test.each([
  [
    "a quotient asked for 0 is to be what is left over",
    "pascal",
    "program P;\nvar n: integer;\nbegin\n  readln(n);\n  if n «mod¦div» 2 = 0 then\n    writeln('even');\nend.\n",
  ],
  ["the same in brackets", "python", 'crew = int(input())\nif (crew «%¦/» 2) == 0:\n    print("pairs")\n'],
  [
    "the same of a number compared from the left",
    "c",
    "int f(int crew) {\n  if (0 == crew «%¦/» 3) return 1;\n  return 0;\n}\n",
  ],
])("%s", (_, language, text) => {
  const slip = example(language, text);
  expect(familyOf(languageOf(slip), slip.faulty, slip.right)).toBe("arithmetic");
  const [best] = proposedBy("arithmetic", slip);
  expect(best?.text).toBe(slip.right);
  expect(best?.odds).toBeGreaterThan(1);
  expect(kindOf(slip)).toBe("arithmetic-operator-wrong");
});

test("a quotient that is used as one is no likelier to be what is left over", () => {
  const slip = example("python", "hours = minutes «//¦%» 60\nif hours == 0:\n    print(minutes)\n");
  expect(proposedBy("arithmetic", slip).every(({ odds }) => odds <= 1)).toBe(true);
});

test.each([
  [
    "is not one or not another: nearly all meet it",
    "python",
    'if day != "Sat" «and¦or» day != "Sun":\n    print("work")\n',
  ],
  [
    "in brackets of Pascal",
    "pascal",
    "begin\n  if (y mod 4 = 0) «and¦or» (y mod 100 <> 0) then\n    writeln('leap');\nend.\n",
  ],
  ["is one and is another: none meets it", "java", "class M { boolean f(int d) { return d == 6 «||¦&&» d == 7; } }\n"],
])("a joined condition that %s is the likeliest to have the other word", (_, language, text) => {
  const slip = example(language, text);
  const [best] = proposedBy("logic-word", slip);
  expect(best?.text).toBe(slip.right);
  expect(best?.odds).toBeGreaterThan(1);
  expect(kindOf(slip)).toBe("and-or-mixed-up");
});

test.each([
  "if low == tide and tide == high:\n    sail()\n",
  "if day == 6 and hour == 7:\n    sail()\n",
  'if day != "Sat" or boat != "Tern":\n    sail()\n',
])("two questions about different things are meant: %s", (text) => {
  const [best] = proposedBy("logic-word", { ...example("python", text), faulty: text });
  expect(best?.odds).toBe(1);
});

test("a range that is asked for is as likely as others", () => {
  const slip = example("python", 'if low <= tide «and¦or» tide <= high:\n    print("sail")\n');
  expect(proposedBy("logic-word", slip)[0]).toEqual({ text: slip.right, odds: 1 });
});

test.each([
  ["python", "queue", 'queue = ["van", "bus"]\nwhile len(queue) > 0:\n    print(queue«.pop(0)¦[0]»)\n'],
  ["python", "the last of a stack", "stack = [3, 5]\nwhile stack:\n    print(stack«.pop()¦[-1]»)\n"],
  [
    "java",
    "a list",
    "class M { void f(java.util.List<String> cars) {\n  while (!cars.isEmpty()) {\n    board(cars.«remove(0)¦get(0)»);\n  }\n} }\n",
  ],
  [
    "java",
    "a queue",
    "class M { void f(java.util.Queue<String> cars) {\n  while (cars.size() > 0) {\n    board(cars.«remove¦peek»());\n  }\n} }\n",
  ],
  [
    "csharp",
    "a queue",
    "class P { void F(Queue<string> cars) {\n  while (cars.Count > 0) {\n    Board(cars.«Dequeue¦Peek»());\n  }\n} }\n",
  ],
  [
    "csharp",
    "a list",
    "class P { void F(List<string> cars) {\n  while (cars.Count > 0) {\n    Board(cars[0]);\n«    cars.RemoveAt(0);\n¦»  }\n} }\n",
  ],
])("an element that a loop of %s looks at and waits for is taken out: %s", (language, _, text) => {
  const slip = example(language, text);
  expect(proposedBy("step-left-out", slip).map((each) => each.text)).toContain(slip.right);
});

test.each([
  ["something else takes them out", "python", "while queue:\n    print(queue[0])\n    queue.pop(0)\n"],
  ["the loop waits for something else", "python", "while tide > 0:\n    print(queue[0])\n    tide -= 1\n"],
  ["the list gets another value", "python", "while queue:\n    print(queue[0])\n    queue = queue[1:]\n"],
  ["no element is looked at", "python", "while len(queue) > 2:\n    print(queue)\n"],
])("nothing is taken out where %s", (_, language, faulty) => {
  const slip = { ...example(language, faulty), faulty };
  const taken = (text: string) => text.match(/\.pop\(/g)?.length ?? 0;
  expect(proposedBy("step-left-out", slip).filter(({ text }) => taken(text) > taken(faulty))).toEqual([]);
});

test("a loop's name is never to become the list that it goes over", () => {
  const slip = example("python", 'rooms = ["Gull", "Tern"]\nfor room in rooms:\n    print(«room¦rooms» + "?")\n');
  const proposed = proposedBy("name", slip).map(({ text }) => text);
  expect(proposed).toContain(slip.right);
  expect(proposed.some((text) => text.includes("for rooms in rooms"))).toBe(false);
});

test("what is gathered in is hardly one more in every pass", () => {
  const slip = example(
    "java",
    "class M { int f() {\n  int sum = 0;\n  for (int i = 1; i < 5; i++) {\n    sum = sum + i;\n  }\n  return sum;\n} }\n",
  );
  const proposed = proposedBy("by-one", { ...slip, faulty: slip.right });
  const oddsOf = (form: RegExp) => Math.max(...proposed.filter(({ text }) => form.test(text)).map(({ odds }) => odds));
  expect(oddsOf(/sum = sum \+ i [-+] 1/)).toBeLessThan(0.1);
});

test("what a function is tried with is less likely to be wrong than what it is made of", () => {
  const text = "def fare(zone):\n    return 40 + 12 * zone\n\nprint(fare(7))\nprint(fare(3))\n";
  const proposed = proposedBy("constant", { ...example("python", text), faulty: text });
  const oddsOf = (line: string) => proposed.find((each) => each.text.includes(line))?.odds ?? 0;
  expect(oddsOf("fare(8)")).toBeLessThan(oddsOf("13 * zone") / 3);
  // Handed on inside of a function it is part of what is made.
  const inside =
    "def fare(zone):\n    return 40 + zone\n\ndef both():\n    return fare(7) + fare(9)\n\nprint(both())\n";
  const handed = proposedBy("constant", { ...example("python", inside), faulty: inside });
  expect(handed.find((each) => each.text.includes("fare(8)"))?.odds).toBeGreaterThan(0.5);
});

test.each([
  [
    "before else, on its line",
    "c",
    "int f(int a) {\n    if (a > 1) {\n        a = 2;\n    «} ¦»else {\n        a = 3;\n    }\n    return a;\n}\n",
  ],
  [
    "before catch",
    "java",
    "class M { void f() {\n    try {\n        sail();\n    «} ¦»catch (Exception e) {\n        stay();\n    }\n} }\n",
  ],
])("a brace left out %s stands there again", (_, language, text) => {
  const slip = example(language, text);
  const [best] = proposedBy("bracket", slip);
  expect(best?.text).toBe(slip.right);
  expect(kindOf(slip, "syntax", "error: expected expression before 'else'")).toBe("brace-missing-or-surplus");
});

test("where a program writes braces on lines of their own before else, a line is put in", () => {
  const branch = (sign: string) =>
    `    if (a > ${sign}) {\n        a = ${sign};\n    }\n    else {\n        a = 3;\n    }\n`;
  const right = `int f(int a) {\n${branch("1")}${branch("2")}    return a;\n}\n`;
  const faulty = right.replace("        a = 2;\n    }\n", "        a = 2;\n");
  const slip = { ...example("c", right), right, faulty };
  const places = proposedBy("bracket", slip).map(({ text }) => text);
  expect(places.indexOf(right)).toBeGreaterThanOrEqual(0);
  const onItsLine = faulty.replace("        a = 2;\n    else", "        a = 2;\n    } else");
  expect(places.indexOf(right)).toBeLessThan(places.indexOf(onItsLine));
});

test("a block of Pascal that ends before else ends without a semicolon", () => {
  const slip = example(
    "pascal",
    "begin\n  if tide > 3 then\n  begin\n    writeln('high');\n«  end\n¦»  else\n    writeln('low');\nend.\n",
  );
  expect(familyOf(languageOf(slip), slip.faulty, slip.right)).toBe("block-end");
  expect(kindOf(slip, "syntax", 'Fatal: Syntax error, ";" expected but "ELSE" found')).toBe("brace-missing-or-surplus");
});

test.each([
  [
    "a part of the object that is given to itself",
    "python",
    "class Buoy:\n    def __init__(self, depth):\n        «self.¦»depth = depth\n\n    def shown(self):\n        return str(self.depth)\n",
    "variable-shadowed",
    "runtime",
    "AttributeError: 'Buoy' object has no attribute 'depth'",
  ],
  [
    "a text that grows at its other end",
    "python",
    'code = ""\nfor sign in "tern":\n    code = «sign + code¦code + sign»\nprint(code)\n',
    "steps-in-wrong-order",
    "logic",
    "",
  ],
  [
    "a decision that was to be asked only where the first fails",
    "csharp",
    'class P { static void F(int age) {\n  if (age < 3) Say("free");\n  «else ¦»if (age < 15) Say("half");\n  else Say("full");\n} }\n',
    "later-if-overrides",
    "logic",
    "",
  ],
  [
    "a comparison whose signs are in another order",
    "python",
    "if tide «>=¦=>» 3:\n    print(tide)\n",
    "comparison-operator-wrong",
    "syntax",
    "SyntaxError: invalid syntax",
  ],
  [
    "a word of another language for a function",
    "python",
    "«def¦define» fare(zone):\n    return zone * 12\nprint(fare(2))\n",
    "keyword-misspelt",
    "syntax",
    "SyntaxError: invalid syntax",
  ],
  [
    "a fraction made a decimal when it is lost",
    "c",
    'void f(int sum) {\n  printf("%f", (double) «sum / 5¦(sum / 5)»);\n}\n',
    "whole-number-division",
    "logic",
    "",
  ],
  [
    "a condition without its brackets",
    "c",
    "void f(int n) {\n  while «(n > 0)¦n > 0» {\n    n--;\n  }\n}\n",
    "bracket-not-closed",
    "syntax",
    "error: expected '(' before 'n'",
  ],
] as const)("%s is named", (_, language, text, kind, of, message) => {
  expect(kindOf(example(language, text), of, message)).toBe(kind);
});

test("a decimal in a variable for whole numbers is named by what the tool says", () => {
  const slip = inMain(
    "java",
    "double share = 0.75;\nint percent = «(int) ¦»(share * 100);\nSystem.out.println(percent);\n",
  );
  const message = "error: incompatible types: possible lossy conversion from double to int";
  expect(kindOf(slip, "syntax", message)).toBe("fraction-into-whole-number");
});

test.each([
  ["python", "fares = [10, 20]\nfor fare in fares:\n    fare = fare + 5\nprint(fares)\n", 3],
  ["java", "class M { void f(int[] fares) {\n  for (int fare : fares) {\n    fare += 5;\n  }\n} }\n", 3],
])("a copy of an element that is changed in %s is noticed", (language, text, line) => {
  const context = editContext(languageOf(example(language, text)), text);
  const found = context ? foundMistakes(context).filter(({ id }) => id === "value-parameter-changed") : [];
  expect(found.map((each) => each.line)).toEqual([line]);
});

test.each([
  ["the element is used behind that", "for name in names:\n    name = name.strip()\n    print(name)\n"],
  ["the loop counts", "for i in range(3):\n    i = i + 1\n"],
  ["the element is a list, and stays the same one", "for row in rows:\n    row += [0]\n"],
  ["another list gets it", "done = []\nfor name in names:\n    name = name.strip()\n    done.append(name)\n"],
])("no copy is noticed where %s", (_, text) => {
  const context = editContext(languageOf(example("python", text)), text);
  expect(context && foundMistakes(context).some(({ id }) => id === "value-parameter-changed")).toBe(false);
});
