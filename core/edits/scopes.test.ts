import { expect, test } from "vitest";
import { findLanguage } from "../languages/languages.ts";
import { editContext } from "./context.ts";
import type { EditContext } from "./edit.ts";
import { otherName } from "./families/otherName.ts";
import { scopesOf } from "./scopes.ts";

function contextOf(id: string, text: string): EditContext {
  const language = findLanguage(id);
  const context = language && editContext(language, text);
  if (!context) throw new Error(`no trees for ${id}`);
  return context;
}

/** The names that are tried in the place of one, at its last use. */
function triedFor(context: EditContext, name: string): string[] {
  const last = context.nodes.findLast(({ node }) => node.kind === "name" && node.sign === name)?.node;
  return otherName
    .mends(context)
    .filter((edit) => edit.from === last?.from)
    .map((edit) => edit.text)
    .sort();
}

test("a name of another function is not tried; one of the whole program is", () => {
  const text =
    "limit = 20\ndef board(cars):\n    load = cars * 2\n    return load\ndef sail(miles):\n    hours = miles / 12\n    return hours\n";
  expect(triedFor(contextOf("python", text), "hours")).toEqual(["limit", "miles"]);
});

test("a part of the class is known in each of its functions", () => {
  const text =
    "class Main {\n  static int deck = 0;\n  static int add(int load) {\n    return load;\n  }\n  static int rest(int room) {\n    return room;\n  }\n}\n";
  expect(triedFor(contextOf("java", text), "room")).toEqual(["deck"]);
});

test.each([
  ["java", "class M { int f(String port, int cars, double tons) { return cars; } }"],
  ["c", "int f(char *port, int cars, double tons) { return cars; }"],
  ["pascal", "procedure f(port: string; cars: integer; tons: real);\nbegin\n  writeln(cars);\nend;\nbegin\nend."],
])("numbers are alike, a text and a number are not (%s)", (id, text) => {
  const { areAlike, mayCount } = scopesOf(contextOf(id, text));
  expect([areAlike("cars", "tons"), mayCount("cars"), mayCount("anything")]).toEqual([true, true, true]);
  if (id !== "pascal") expect([areAlike("cars", "port"), mayCount("port")]).toEqual([false, false]);
});

test("what is declared as two kinds in two places is alike with all", () => {
  const text = "int f(int a, int n) { return n; }\nint g(char *a, int n) { return n; }\n";
  expect(scopesOf(contextOf("c", text)).areAlike("a", "n")).toBe(true);
});
