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
  // The header of a loop over a whole list leaves nothing to be wrong; one that counts has limits.
  ["python", "for boat in boats:", -25],
  ["python", "for name, km in legs.items():", -25],
  ["python", "for place in range(1, n):", -6],
  ["python", "while tank > 0:", -3],
  ["java", "for (Boat boat : boats) {", -25],
  ["java", "for (int i = 1; i < n; i++) {", -6],
  ["csharp", "foreach (string line in lines)", -25],
  ["pascal", "for i := 1 to count do", -6],
  ["octave", "for k = 1:numel(km)", -6],
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
