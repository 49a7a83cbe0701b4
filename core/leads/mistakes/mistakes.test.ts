import { describe, expect, test } from "vitest";
import { editContext } from "../../edits/context.ts";
import { neutralOf } from "../../exercises/planting/neutral/neutralPrograms.ts";
import { findLanguage } from "../../languages/languages.ts";
import { answerOfTexts } from "./answerOfTexts.ts";
import { behindTheEnd } from "./behindTheEnd.ts";
import { bestMixed } from "./bestMixed.ts";
import { copyChanged } from "./copyChanged.ts";
import { counterBehindLoop } from "./counterBehindLoop.ts";
import { countNeverMoves } from "./countNeverMoves.ts";
import { elementForPlace } from "./elementForPlace.ts";
import { exchangeLost } from "./exchangeLost.ts";
import { fieldLeft } from "./fieldLeft.ts";
import { givenToItself } from "./givenToItself.ts";
import { indentedApart } from "./indentedApart.ts";
import { listRepeated } from "./listRepeated.ts";
import { markNeverSet } from "./markNeverSet.ts";
import { mistakes } from "./mistakes.ts";
import { neverCalled } from "./neverCalled.ts";
import { neverRead } from "./neverRead.ts";
import { nothingGivenBack } from "./nothingGivenBack.ts";
import { ownObjectLeftOut } from "./ownObjectLeftOut.ts";
import { restartInLoop } from "./restartInLoop.ts";
import { secondVariable } from "./secondVariable.ts";

const neutralLanguages = ["python", "java", "c", "csharp", "pascal", "octave"];

describe.each(mistakes)("$id", (mistake) => {
  test.each(mistake.examples)("is seen on its line ($language)", ({ language, text, line }) => {
    const found = findLanguage(language);
    const context = found && editContext(found, text);
    if (!context) throw new Error(`no trees for ${language}`);
    expect(mistake.find(context).map((place) => place.line)).toContain(line);
  });
});

test.each(neutralLanguages.map((id) => [id] as const))(
  "what is prepared and never used is seen in none of the right programs that ship (%s)",
  (id) => {
    const ids = [
      neverRead,
      neverCalled,
      countNeverMoves,
      markNeverSet,
      elementForPlace,
      listRepeated,
      ownObjectLeftOut,
      nothingGivenBack,
      copyChanged,
      indentedApart,
      fieldLeft,
      answerOfTexts,
    ];
    for (const { program } of neutralOf(id)) {
      const found = findLanguage(id);
      const context = found && editContext(found, program);
      if (!context) throw new Error(`no trees for ${id}`);
      expect(
        [...ids, givenToItself, behindTheEnd, bestMixed, counterBehindLoop, exchangeLost].flatMap((mistake) =>
          mistake.find(context),
        ),
        program,
      ).toEqual([]);
    }
  },
);

test("in a right program none is seen", () => {
  const text = `prices = [4, 6, 9]
total = 0
highest = prices[0]
for price in prices:
    total += price
    if price > highest:
        highest = price
people = int(input("People? "))
while people > 0:
    people -= 1
print((total + highest) / 2, sorted(prices))
`;
  const python = findLanguage("python");
  const context = python && editContext(python, text);
  if (!context) throw new Error("no trees");
  expect(mistakes.flatMap((mistake) => mistake.find(context))).toEqual([]);
});

test.each([
  [
    "a best value, and a best place",
    "python",
    "for i in range(3):\n    if a[i] > top:\n        top = a[i]\n    if a[i] < a[low]:\n        low = i\n",
  ],
  [
    "a limit that a place is compared with",
    "python",
    "for i in range(3):\n    if find(names, i) > last:\n        last = found\n",
  ],
  ["an exchange through a third, and both at once", "python", "keep = a\na = b\nb = keep\nc, d = d, c\n"],
  ["a value handed on from one to the next", "c", "void f(int a, int b) {\n  a = b;\n  b = b + a;\n  int c = a;\n}\n"],
  [
    "leaving where something else ends",
    "java",
    "class M {\n  int f(int a) {\n    if (a > 2) {\n      return 1;\n    }\n    switch (a) {\n      case 1: a = 3; break;\n      default: a = 4;\n    }\n    return a;\n  }\n}\n",
  ],
  [
    "a counter that counts again",
    "pascal",
    "var i, n: integer;\nbegin\n  for i := 1 to 3 do\n    n := n + i;\n  for i := 1 to 2 do\n    n := n - i;\n  i := 4;\n  writeln(i);\nend.\n",
  ],
] as const)("%s is none of it", (_, language, text) => {
  const found = findLanguage(language);
  const context = found && editContext(found, text);
  if (!context) throw new Error(`no trees for ${language}`);
  expect(
    [behindTheEnd, bestMixed, counterBehindLoop, exchangeLost].flatMap((mistake) => mistake.find(context)),
  ).toEqual([]);
});

test.each([
  ["pascal", "begin\n  Result := age * 2;\nend", []],
  ["pascal", "begin\n  exit(age * 2);\nend", []],
  ["pascal", "begin\n  FARE := age * 2;\nend", []],
  ["pascal", "begin\n  Inc(Fare, age);\nend", []],
  ["pascal", "begin\n  if age > 3 then\n    age := Fare(age - 1);\nend", [4]],
])("a function gives its value back in any way that its language has (%s, %s)", (id, body, lines) => {
  const found = findLanguage(id);
  const text = `function Fare(age: integer): integer;\n${body};\nbegin\n  writeln(Fare(3));\nend.\n`;
  const context = found && editContext(found, text);
  if (!context) throw new Error(`no trees for ${id}`);
  expect(nothingGivenBack.find(context).map(({ line }) => line)).toEqual(lines);
});

test("what a loop waits for may be set back in it, and what begins anew now and then is no restart in every pass", () => {
  const found = (language: string, text: string) => {
    const known = findLanguage(language);
    const context = known && editContext(known, text);
    return context ? restartInLoop.find(context).map(({ line }) => line) : [];
  };
  const sort =
    "begin\n  i := 1;\n  while i < n do\n  begin\n    if a[i] > a[i + 1] then\n    begin\n      i := 0;\n    end;\n    i := i + 1;\n  end;\nend.\n";
  expect(found("pascal", sort)).toEqual([]);
  expect(found("python", "while i < 9:\n    i = 0\n    i += 1\n")).toEqual([]);
  expect(found("python", "for x in a:\n    if x > 9:\n        total = 0\n    total += x\nprint(total)\n")).toEqual([]);
  expect(found("python", "for x in a:\n    total = 0\n    total += x\nprint(total)\n")).toEqual([2]);
});

/** The lines at which a kind of mistake is seen in a text. */
function linesOf(mistake: (typeof mistakes)[number], language: string, text: string): number[] {
  const found = findLanguage(language);
  const context = found && editContext(found, text);
  if (!context) throw new Error(`no trees for ${language}`);
  return mistake.find(context).map(({ line }) => line);
}

test("copies that are exchanged are exchanged for nobody, unless something of it is seen outside", () => {
  const swap = (line: string) => `void swap(int a, int b) {\n  int kept = a;\n  a = b;\n  b = kept;\n${line}}\n`;
  expect(linesOf(copyChanged, "c", swap(""))).toContain(3);
  for (const seen of ["  show(a);\n", "  total = b;\n", "  loads[0] = b;\n", "  return;\n"])
    expect(linesOf(copyChanged, "c", swap(seen)), seen).toEqual([]);
  const python = (word: string) => `def turn(a, b):\n${word}    kept = a\n    a = b\n    b = kept\n`;
  expect(linesOf(copyChanged, "python", python(""))).not.toEqual([]);
  expect(linesOf(copyChanged, "python", python("    global total\n"))).toEqual([]);
  const pascal = (word: string) =>
    `procedure swap(${word}a, b: boat);\nvar\n  kept: boat;\nbegin\n  kept := a;\n  a := b;\n  b := kept;\nend;\nbegin\nend.`;
  expect(linesOf(copyChanged, "pascal", pascal(""))).toContain(1);
  expect(linesOf(copyChanged, "pascal", pascal("var "))).toEqual([]);
});

test("the variable of a loop's header ends with the loop: a later one of that name is no second one", () => {
  const java = (first: string) =>
    `class M {\n  void f() {\n    ${first}\n    while (g()) {\n      for (int i = 0; i < 4; i++) {\n        h(i);\n      }\n    }\n  }\n}\n`;
  expect(linesOf(secondVariable, "java", java("for (int i = 0; i < 9; i++) { h(i); }"))).toEqual([]);
  expect(linesOf(secondVariable, "java", java("int i = 3;"))).toEqual([5]);
});

test("what makes a function of a name gives it to nothing, and not to itself", () => {
  const text =
    "class P {\n  static void Main() {\n    foreach (string pier in all.OrderBy(k => k)) {\n      Show(pier);\n    }\n  }\n}\n";
  expect(linesOf(givenToItself, "csharp", text)).toEqual([]);
  const own = "class Boat {\n  int load;\n  public Boat(int load) {\n    load = load;\n  }\n}\n";
  expect(linesOf(givenToItself, "csharp", own)).toEqual([4]);
});
