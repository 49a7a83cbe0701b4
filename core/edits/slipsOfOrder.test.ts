import fc from "fast-check";
import { expect, test } from "vitest";
import { findLanguage } from "../languages/languages.ts";
import { editContext } from "./context.ts";
import { crossedArguments } from "./crossedArguments.ts";
import { decimalNames, decimalsCompared } from "./decimals.ts";
import type { EditContext } from "./edit.ts";
import { ownLinks } from "./links.ts";
import { neverEntered } from "./neverEntered.ts";
import { sameElements } from "./sameElements.ts";
import { stepsInBranches } from "./stepsInBranches.ts";
import { wholeQuotients } from "./wholeQuotients.ts";

function contextOf(id: string, text: string): EditContext {
  const language = findLanguage(id);
  const context = language && editContext(language, text);
  if (!context) throw new Error(id);
  return context;
}
const python = (...lines: string[]) => contextOf("python", `${lines.join("\n")}\n`);
const java = (...lines: string[]) => contextOf("java", `class Main {\n${lines.join("\n")}\n}\n`);

test("a loop whose condition is false by what stands right before it is named with that value", () => {
  const context = python("tide = 2", "hours = 0", "while tide > 3:", "    tide = tide - 1");
  const [found] = neverEntered(context);
  expect(found && [found.name, context.sourceOf(found.value), context.lineOf(found.loop.from)]).toEqual([
    "tide",
    "2",
    3,
  ]);
});

test.each([
  ["its value is typed in", ["tide = int(input())", "while tide > 3:", "    tide = tide - 1"]],
  ["it holds", ["tide = 5", "while tide > 3:", "    tide = tide - 1"]],
  ["another value comes in between", ["tide = 2", "tide = highest(loads)", "while tide > 3:", "    tide = tide - 1"]],
  ["a call may change what it is handed", ["loads = 0", "fill(loads)", "while loads > 3:", "    loads = loads - 1"]],
  ["a decision may give it another", ["tide = 2", "if spring:", "    tide = 5", "while tide > 3:", "    tide -= 1"]],
  ["a text with signs is not read", ['line = "a\\n"', 'while line == "b":', "    line = input()"]],
])("a loop is not taken for one that is never entered where %s", (_, lines) => {
  expect(neverEntered(python(...lines))).toEqual([]);
});

test("whether a loop is entered is told as the language itself would", () => {
  const sides = fc.record({
    left: fc.integer({ min: -4, max: 4 }),
    right: fc.integer({ min: 0, max: 4 }),
    sign: fc.constantFrom("<", ">", "<=", ">=", "==", "!="),
    denied: fc.boolean(),
  });
  const holds = { "<": (a: number, b: number) => a < b, ">": (a: number, b: number) => a > b } as const;
  fc.assert(
    fc.property(sides, ({ left, right, sign, denied }) => {
      const [a, b] = [left, right];
      const asked = {
        ...{ "<": holds["<"](a, b), ">": holds[">"](a, b), "<=": a <= b, ">=": a >= b },
        ...{ "==": a === b, "!=": a !== b },
      }[sign];
      const condition = denied ? `not (tide ${sign} ${right})` : `tide ${sign} ${right}`;
      const context = python(`tide = ${left}`, `while ${condition}:`, "    tide = step(tide)");
      expect(neverEntered(context).length === 1).toBe(denied ? asked : !asked);
    }),
  );
});

test("values that have the names of each other's places are crossed, also behind what a method is called on", () => {
  const context = python(
    ...["class Pier:", "    def moor(self, boat, length):", "        return length", ""],
    ...["pier = Pier()", "pier.moor(length, boat)"],
  );
  expect(crossedArguments(context).map(({ one, other }) => [one.sign, other.sign])).toEqual([["length", "boat"]]);
});

test.each([
  ["they stand right", ["def f(boat, length):", "    return 1", "f(boat, length)"]],
  ["one of them stands right", ["def f(boat, length, tide):", "    return 1", "f(boat, tide, length)"]],
  ["they have other names", ["def f(boat, length):", "    return 1", "f(name, size)"]],
  ["a function turns them for itself", ["def rest(a, b):", "    return rest(b, a)"]],
  ["it is handed fewer", ["def f(boat, length=3):", "    return 1", "f(length)"]],
])("arguments are not crossed where %s", (_, lines) => {
  expect(crossedArguments(python(...lines))).toEqual([]);
});

test("what is linked before its old link is kept points to itself", () => {
  const context = java("void add(Boat made) {", "first = made;", "made.next = first;", "}");
  expect(ownLinks(context).map(({ part, object, held }) => [part, object, held])).toEqual([
    ["made.next", "made", "first"],
  ]);
  const right = java("void add(Boat made) {", "made.next = first;", "first = made;", "}");
  expect(ownLinks(right)).toEqual([]);
});

test("the same element twice is a copied line, another element or a whole value is none", () => {
  const found = (...lines: string[]) => sameElements(python(...lines)).map(({ place }) => place.sign);
  expect(found("hour = int(parts[0])", "minute = int(parts[0])")).toEqual(["0"]);
  expect(found("hour = int(parts[0])", "minute = int(parts[1])")).toEqual([]);
  expect(found("first = loads[0]", "first = loads[0]")).toEqual([]);
  expect(found("hour = int(input())", "minute = int(input())")).toEqual([]);
  expect(found("low = loads[at]", "high = loads[at]")).toEqual([]);
});

test("what a loop waits for and gets in one branch alone is found, and not where every way gives it", () => {
  const head = ["line = input()", 'while line != "end":', "    show(line)"];
  const found = (...body: string[]) => stepsInBranches(python(...head, ...body)).map(({ name }) => name);
  expect(found("    if line:", "        count = 1", "        line = input()")).toEqual(["line"]);
  expect(found("    if line:", "        count = 1", "    line = input()")).toEqual([]);
  expect(found("    if line:", "        line = input()", "    else:", "        line = input()")).toEqual([]);
  expect(found("    line = input()", "    if line:", "        count = 1", "        line = input()")).toEqual([]);
});

test("decimals are known by their declaration, by what they are given, and by what a function is handed", () => {
  expect([...decimalNames(java("void f(double tide, int n) { float low = 2; int k = 3; }"))].sort()).toEqual([
    "low",
    "tide",
  ]);
  const context = python(
    ...["def is_open(height, need):", "    return height == need"],
    ...["low = 0.5", "lower = low - 1", "count = 3", "is_open(count, lower * 2)"],
  );
  expect([...decimalNames(context)].sort()).toEqual(["low", "lower", "need"]);
  expect(decimalsCompared(context).map((node) => context.sourceOf(node))).toEqual(["height == need"]);
});

test("decimals compared with a whole number, a text or nothing are left alone", () => {
  for (const asked of ["tide == 0", 'tide == "low"', "tide == None", "tide < low"])
    expect(decimalsCompared(python("tide = 0.5", "low = 1.5", `print(${asked})`))).toEqual([]);
});

test("a quotient of whole numbers lacks its digits where something with digits is made of it", () => {
  const of = (statement: string) =>
    wholeQuotients(java(`double f(int a, int b, double c) { ${statement} }`)).map(({ node }) => [
      node.from > 0,
      node.sign,
    ]);
  const cut = [[true, "/"]];
  expect(of("return a / b;")).toEqual(cut);
  expect(of("return a / b * 100;")).toEqual(cut);
  expect(of("boolean half = (a / b) >= 0.5; return 1.0;")).toEqual(cut);
  expect(of("boolean half = a / b >= 1.0; return 1.0;")).toEqual([]);
  expect(of("int hours = a / b; return 1.0;")).toEqual([]);
  expect(of("return c / b;")).toEqual([]);
});
