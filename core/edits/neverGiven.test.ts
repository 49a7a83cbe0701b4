import fc from "fast-check";
import { describe, expect, test } from "vitest";
import { neutralOf } from "../exercises/planting/neutral/neutralPrograms.ts";
import { findLanguage } from "../languages/languages.ts";
import { editContext } from "./context.ts";
import { applyEdit } from "./edit.ts";
import { firstValuesPutIn, neverGiven, usedAs } from "./neverGiven.ts";
import { countsNeverMoved } from "./neverMoved.ts";

function contextOf(language: string, text: string) {
  const found = findLanguage(language);
  const context = found && editContext(found, text);
  if (!context) throw new Error(`no trees for ${language}`);
  return context;
}
const namesOf = (text: string, language = "python") => neverGiven(contextOf(language, text)).map(({ name }) => name);
const putIn = (text: string) => {
  const context = contextOf("python", text);
  return firstValuesPutIn(context)
    .sort((one, other) => other.odds - one.odds)
    .map((edit) => applyEdit(text, edit));
};

describe("a name that is used before it has any value", () => {
  test.each([
    ["added to in a loop", "for load in [1, 2]:\n    total += load\n", ["total"]],
    ["worked out of itself", "for load in [1, 2]:\n    total = total + load\n", ["total"]],
    ["given further down", "print(deck)\ndeck = 3\n", ["deck"]],
    ["given in a decision alone", "if load > 3:\n    state = 1\nprint(state)\n", ["load", "state"]],
    ["read by a function that has one of its own", "def f():\n    a = b\n    return a\n", ["b"]],
  ])("%s", (_, text, names) => {
    expect(namesOf(text)).toEqual(names);
  });

  test.each([
    ["given on the line above", "total = 0\nfor load in [1, 2]:\n    total += load\n"],
    ["given in both cases of a decision", "n = 3\nif n > 2:\n    state = 1\nelse:\n    state = 2\nprint(state)\n"],
    ["handed in", "def f(load, deck=3):\n    return load + deck\n"],
    ["imported", "import math\nfrom random import randint\nprint(math.pi, randint(1, 6))\n"],
    [
      "caught or opened",
      'try:\n    a = 1\nexcept ValueError as e:\n    print(e)\nwith open("t.txt") as f:\n    print(f)\n',
    ],
    ["taken apart", "name, load = input().split()\nprint(name, load)\n"],
    ["gone over", "for row, car in enumerate([1, 2]):\n    print(row, car)\n"],
    ["bound inside of a list", "print([car * 2 for car in range(3) if car > 1])\n"],
    [
      "a function, a class, a word of the language",
      "class Deck:\n    pass\ndef f():\n    return Deck()\nprint(len([f()]))\n",
    ],
    ["given outside of the function that reads it", "limit = 3\ndef f(n):\n    return n > limit\n"],
    ["the program's own name", 'if __name__ == "__main__":\n    print(1)\n'],
  ])("is none that is %s", (_, text) => {
    expect(namesOf(text)).toEqual([]);
  });

  test("in Octave as well, and nowhere in a language whose names are declared", () => {
    expect(namesOf("for k = 1:3\n  s = s + k;\nend\n", "octave")).toEqual(["s"]);
    expect(namesOf("s = 0;\nfor k = 1:3\n  s = s + k;\nend\n", "octave")).toEqual([]);
    expect(namesOf("class A { void f() { total = total + 1; } }", "java")).toEqual([]);
  });
});

test.each([
  ["list", "line.append(3)\n"],
  ["table", "line[3] = 4\n"],
  ["nothing", "if line is None:\n    pass\n"],
  ["number", "if line < 4:\n    line += 1\n"],
  ["text", 'line += "#"\n'],
  ["truth", "if not line:\n    pass\n"],
  ["number", "line += 1\n"],
])("what is wanted of a name is a %s by its uses: %j", (kind, text) => {
  const context = contextOf("python", text);
  const uses = context.nodes.filter(({ node }) => node.kind === "name" && node.sign === "line");
  expect(usedAs(context, uses)).toBe(kind);
});

test("the first value that is proposed first is the one that was taken out, before the loop that it belongs to", () => {
  /** What is gathered in the inner loop, what it begins with, and whether it is used in each row or at the end. */
  const gathered = fc.constantFrom(
    { begin: "0", add: "kept += seat", use: "print(kept)" },
    { begin: '""', add: 'kept += str(seat) + " "', use: "print(kept.strip())" },
    { begin: "[]", add: "kept.append(seat)", use: "print(len(kept))" },
    { begin: "{}", add: "kept[seat] = 3", use: "print(kept)" },
  );
  fc.assert(
    fc.property(gathered, fc.boolean(), fc.integer({ min: 0, max: 2 }), ({ begin, add, use }, inRow, before) => {
      const other = "print(4)\n".repeat(before);
      const start = (indent: string) => `${indent}kept = ${begin}\n`;
      const rows = `for row in range(2):\n${inRow ? start("    ") : ""}    for seat in range(3):\n        ${add}\n`;
      const right = `${other}${inRow ? "" : start("")}${rows}${inRow ? "    " : ""}${use}\n`;
      const faulty = right.replace(/^ *kept = .*\n/m, "");
      expect(putIn(faulty)[0]).toBe(right);
      expect(namesOf(right)).toEqual([]);
    }),
  );
});

describe("a number of the whole program that never moves", () => {
  const countsOf = (language: string, text: string) =>
    countsNeverMoved(contextOf(language, text)).map(({ name }) => name);
  const inClass = (body: string) => `class Main {\n  static int sold;\n  int depth;\n${body}}\n`;

  test("is declared without a value, read, and given none", () => {
    expect(countsOf("java", inClass("  static int f() { return sold; }\n"))).toEqual(["sold"]);
    expect(countsOf("c", "int sold;\nint f(void) { return sold; }\n")).toEqual(["sold"]);
    expect(countsOf("csharp", "class P { static double sum; double F() { return sum; } }")).toEqual(["sum"]);
  });

  test.each([
    ["counted", "java", inClass("  static int f() { sold++; return sold; }\n")],
    [
      "given as a part of its object",
      "java",
      inClass("  Main(int d) { this.depth = d; }\n  int f() { return depth; }\n"),
    ],
    ["read into by its address", "c", 'int sold;\nint f(void) { scanf("%d", &sold); return sold; }\n'],
    ["a list", "c", "int sold[4];\nint f(void) { return sold[0]; }\n"],
    ["read nowhere", "java", inClass("")],
    ["a text", "csharp", "class P { string name; string F() { return name; } }"],
  ])("is none that is %s (%s)", (_, language, text) => {
    expect(countsOf(language, text)).toEqual([]);
  });
});

describe("programs that are right", () => {
  const languages = ["python", "octave", "pseudocode", "basic-macro"];
  const all = languages.flatMap((language) => neutralOf(language).map((each) => ({ language, ...each })));

  test.each(all)("$language, $title: every name has a value before it is used", ({ language, program }) => {
    expect(namesOf(program, language)).toEqual([]);
  });
});
