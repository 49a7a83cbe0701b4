import { expect, test } from "vitest";
import { findLanguage } from "../languages/languages.ts";
import { tokensByLine } from "../languages/lexical.ts";
import { lineKind } from "./lineKind.ts";

function kindOf(id: string, line: string): number {
  const language = findLanguage(id);
  if (!language) throw new Error(id);
  return lineKind(language, tokensByLine(language.tokens(line)).get(1) ?? []);
}

test.each([
  ["python", "total = total + load", 0],
  ["python", "if load > limit:", 0],
  ["python", "heaviest = loads[place]", 0],
  ["python", "total = 0", -6],
  ["python", "print(total)", -18],
  ["python", "print(total / 2)", -12],
  ["python", "name = input()", -16],
  ["python", "load = float(input()) * 2", -10],
  ["python", "def fare(age):", -25],
  ["pascal", "rest := load mod 7;", 0],
  // A sign around the kinds of what a list holds compares nothing.
  ["csharp", "List<Ticket> tickets = new List<Ticket>();", -6],
  ["java", "Map<String, Integer> waits = new HashMap<>();", -6],
  ["java", "Map<String, List<Integer>> waits = new HashMap<>();", -6],
  ["java", "boolean late = wait > Limit && wait < 9;", 0],
  ["csharp", "bool late = Count < Most;", 0],
  ["csharp", "List<int> half = loads.Take(count / 2);", 0],
])("%s: %s", (id, line, expected) => {
  expect(kindOf(id, line)).toBe(expected);
});
