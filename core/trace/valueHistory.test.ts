import { expect, test } from "vitest";
import { findLanguage } from "../languages/languages.ts";
import { readSteps } from "./inputStream.ts";
import type { Step, Write } from "./trace.ts";
import { valueHistories } from "./valueHistory.ts";

const language = (id: string) => {
  const found = findLanguage(id);
  if (!found) throw new Error(id);
  return found;
};
const write = (name: string, text: string): Write => ({
  scope: "global",
  owner: 0,
  path: [name],
  value: { type: "", text },
});
const step = (line: number, more: Partial<Step> = {}): Omit<Step, "index"> => ({
  line,
  file: 0,
  frame: 0,
  depth: 0,
  writes: [],
  ...more,
});
const steps = (...given: Array<Omit<Step, "index">>): Step[] => given.map((each, index) => ({ ...each, index }));

test("a variable's changes in order, and a position that is used after its text was cut", () => {
  const text =
    "names = 'gull,auk'\nat = names.find(',')\nnames = names[2:]\nprint(names[at])\nat = 1\nprint(names[at])\n";
  const trace = {
    steps: steps(
      step(1, { writes: [write("names", "'gull,auk'")] }),
      step(2, { writes: [write("at", "4")] }),
      step(3, { writes: [write("names", "'ll,auk'")] }),
      step(4),
      step(5, { writes: [write("at", "1")] }),
      step(6),
    ),
  };
  const [names, at] = valueHistories(language("python"), text, trace);
  expect(names?.changes.map((each) => [each.line, each.value])).toEqual([
    [1, "'gull,auk'"],
    [3, "'ll,auk'"],
  ]);
  expect(names?.stale).toEqual([]);
  expect(at?.changes.map((each) => each.line)).toEqual([2, 5]);
  expect(at?.stale).toEqual([{ of: "names", madeIn: 2, changedIn: 3, usedIn: 4 }]);
});

test("what a number read left waiting is what the next read of one sign gets", () => {
  const text =
    '#include <stdio.h>\nint main(void)\n{\n    int cars;\n    char deck;\n    scanf("%d", &cars);\n    scanf("%c", &deck);\n    scanf(" %c", &deck);\n}\n';
  const trace = { steps: steps(step(6, { in: "12\n" }), step(7), step(8, { in: "B\n" })) };
  const [first, second, third] = readSteps(language("c"), text, trace);
  expect(first).toMatchObject({ line: 6, before: "12\n", took: "12", left: "\n", note: "" });
  expect(second).toMatchObject({
    line: 7,
    before: "\n",
    took: "\n",
    left: "",
    note: "It got only the line end that the read in line 6 had left.",
  });
  expect(third).toMatchObject({ line: 8, took: "B", left: "\n" });
});

test("a line read after a number gets the rest of its line; reads of lines leave nothing", () => {
  const java =
    "class A { void f() {\n  int cars = in.nextInt();\n  String name = in.nextLine();\n  name = in.nextLine();\n} }\n";
  const found = readSteps(language("java"), java, {
    steps: steps(step(2, { in: "4\n" }), step(3), step(4, { in: "Gull\n" })),
  });
  expect(found.map((each) => [each.line, each.took, each.left])).toEqual([
    [2, "4", "\n"],
    [3, "\n", ""],
    [4, "Gull\n", ""],
  ]);
  expect(found[1]?.note).toContain("line 2");
  const python = readSteps(language("python"), "a = input()\nb = int(input())\n", {
    steps: steps(step(1, { in: "x\n" }), step(2, { in: "3\n" })),
  });
  expect(python.map((each) => [each.took, each.left, each.note])).toEqual([
    ["x\n", "", ""],
    ["3\n", "", ""],
  ]);
});

test("what is read to its end leaves nothing, one sign leaves the rest", () => {
  const python = readSteps(language("python"), "import sys\nall = sys.stdin.read()\n", {
    steps: steps(step(2, { in: "x\ny\n" })),
  });
  expect(python.map((each) => [each.took, each.left])).toEqual([["x\ny\n", ""]]);
  const csharp = readSteps(
    language("csharp"),
    "class A { void F() {\n  int c = Console.Read();\n  string s = Console.ReadLine();\n} }\n",
    {
      steps: steps(step(2, { in: "B7\n" }), step(3)),
    },
  );
  expect(csharp.map((each) => [each.took, each.left])).toEqual([
    ["B", "7\n"],
    ["7\n", ""],
  ]);
});

test("read and readln take by the types of what they read", () => {
  const text =
    "var cars: integer; deck: char; name: string;\nbegin\n  read(cars);\n  read(deck);\n  readln(name);\nend.\n";
  const found = readSteps(language("pascal"), text, { steps: steps(step(3, { in: "12 B\n" }), step(4), step(5)) });
  expect(found.map((each) => [each.line, each.took])).toEqual([
    [3, "12"],
    [4, " "],
    [5, "B\n"],
  ]);
});
