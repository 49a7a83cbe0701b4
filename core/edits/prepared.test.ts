import { expect, test } from "vitest";
import { findLanguage } from "../languages/languages.ts";
import { editContext } from "./context.ts";
import type { EditContext } from "./edit.ts";
import { marksNeverSet, putInOnePlace, uncalled } from "./prepared.ts";
import { elementsForPlaces, usageOf } from "./usage.ts";

function contextOf(id: string, text: string): EditContext {
  const language = findLanguage(id);
  const context = language && editContext(language, text);
  if (!context) throw new Error(`no trees for ${id}`);
  return context;
}
const unread = (id: string, text: string) => [...usageOf(contextOf(id, text)).unread.keys()];

test("a value that nothing reads", () => {
  expect(unread("python", "total = 9\noff = 2\nprint(total)\n")).toEqual(["off"]);
  // Read in a text that is filled in, in a part of an object, or not meant to be read.
  expect(unread("python", 'off = 2\nprint(f"less {off}")\n')).toEqual([]);
  expect(unread("python", "class Car:\n    def __init__(self, load):\n        self.load = load\n")).toEqual([]);
  expect(unread("python", "_ = 3\nLIMIT = 20\nfor i in range(3):\n    print()\n")).toEqual([]);
  expect(unread("c", "int f(int a, int b) {\n  int keep = a;\n  a = b;\n  return a;\n}\n")).toEqual(["keep"]);
});

test("an element where a place is meant", () => {
  const found = (text: string) =>
    elementsForPlaces(contextOf("python", text)).map(({ target, place }) => [target, place]);
  expect(found("best = 0\nfor i in range(3):\n    if a[i] > a[best]:\n        best = a[i]\n")).toEqual([["best", "i"]]);
  expect(found("best = 0\nfor i in range(3):\n    if a[i] > a[best]:\n        best = i\n")).toEqual([]);
  // A list of places: its elements pick in another one.
  expect(found("at = 0\nfor i in range(3):\n    at = next_of[i]\n    print(a[at])\n")).toEqual([]);
});

test("a count that never goes on, where elements are put more than once", () => {
  const found = (id: string, text: string) => putInOnePlace(contextOf(id, text)).map(({ name }) => name);
  expect(found("python", "n = 0\nfor x in loads:\n    kept[n] = x\n")).toEqual(["n"]);
  expect(found("python", "n = 0\nfor x in loads:\n    kept[n] = x\n    n += 1\n")).toEqual([]);
  expect(found("python", "first = 0\nkept[first] = 3\n")).toEqual([]);
  expect(found("c", 'int f(int a[]) {\n  int n = 0;\n  scanf("%d", &n);\n  a[n] = 1;\n  return n;\n}\n')).toEqual([]);
});

test("a mark that is asked for and never set", () => {
  const found = (id: string, text: string) =>
    marksNeverSet(contextOf(id, text)).map(({ name, other }) => [name, other]);
  expect(found("python", "late = False\nif not late:\n    print(1)\n")).toEqual([["late", "True"]]);
  expect(found("python", "late = False\nlate = wait > 5\nif late:\n    print(1)\n")).toEqual([]);
  expect(found("java", "class M { void f(boolean late) { if (late) g(); } }")).toEqual([]);
  // A number that is only ever 0 may be a limit; one that is set to 0 again was meant to become something else.
  expect(found("c", "int f(int a) {\n  int low = 0;\n  if (a > low) return 1;\n  return 0;\n}\n")).toEqual([]);
});

test("a function that nothing calls; those that are called from outside are left out", () => {
  const found = (id: string, text: string) =>
    uncalled(contextOf(id, text)).map(({ node }) => node.children.find((child) => child.role === "definition")?.sign);
  expect(found("python", "def order(a):\n    a.sort()\nprint(1)\n")).toEqual(["order"]);
  expect(found("python", 'def order(a):\n    return a\nprint(f"{order([1])}")\n')).toEqual([]);
  expect(found("c", "int main(void) { return 0; }\n")).toEqual([]);
  // A person chooses which of these is run.
  expect(found("basic-macro", "Sub CountCars\n  MsgBox 3\nEnd Sub\n")).toEqual([]);
  expect(found("python", "def order(a):\n    a.sort()\n")).toEqual([]);
});
