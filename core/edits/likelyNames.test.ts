import { expect, test } from "vitest";
import { findLanguage } from "../languages/languages.ts";
import { editContext } from "./context.ts";
import { proposeEdits } from "./families.ts";

/** The odds of each name in the place of another one on a line, by what stands there then. */
function oddsOn(language: string, text: string, line: number): Map<string, number> {
  const found = findLanguage(language);
  const context = found && editContext(found, text);
  if (!context) throw new Error(`no trees for ${language}`);
  const edits = proposeEdits(context, "mend").filter(
    (edit) => edit.family === "other-name" && context.lineOf(edit.from) === line,
  );
  return new Map(edits.map((edit) => [`${edit.parameters.before} ${edit.parameters.after}`, edit.odds]));
}
const best = (odds: Map<string, number>) => [...odds].sort(([, one], [, other]) => other - one)[0]?.[0];

test("what a name is given begins like it, rather than what stands there", () => {
  const c =
    "void find(int seats[3][4], int *row, int *column) {\n  for (int r = 0; r < 3; r++)\n    for (int c = 0; c < 4; c++) {\n      *row = r;\n      *column = r;\n    }\n}\n";
  expect(best(oddsOn("c", c, 5))).toBe("r c");
  expect(oddsOn("c", c, 4).get("r c")).toBeLessThan(oddsOn("c", c, 5).get("r c") ?? 0);
  const python = "def boat(name, seats):\n    boat.seats = name\n    return seats\n";
  expect(best(oddsOn("python", python, 2))).toBe("name seats");
});

test("the sum of one list goes by the count of the same one", () => {
  const text = "function m = mean_load(loads, limit)\n  m = sum(loads) / numel(limit);\n  m = m + limit;\nend\n";
  const odds = oddsOn("octave", text, 2);
  expect(odds.get("limit loads")).toBeGreaterThan(odds.get("limit m") ?? 1);
  // Where the call counts nothing beside another one, the name speaks for itself.
  const alone = oddsOn("octave", text.replace("sum(loads)", "12"), 2);
  expect(alone.get("limit loads")).toBeLessThan(odds.get("limit loads") ?? 0);
});

test("what a decision in a loop keeps is where it was found", () => {
  const pascal =
    "begin\n  i := 1;\n  while i <= count do\n  begin\n    if codes[i] = wanted then\n      found := 1;\n    i := i + 1;\n  end;\nend.\n";
  const odds = oddsOn("pascal", pascal, 6);
  expect(best(odds)).toBe("1 i");
  // A number that is given where no loop goes round is seldom meant as a name.
  expect(oddsOn("pascal", pascal, 2).get("1 found")).toBeLessThan(odds.get("1 i") ?? 0);
});
