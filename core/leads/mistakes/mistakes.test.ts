import { describe, expect, test } from "vitest";
import { editContext } from "../../edits/context.ts";
import { neutralOf } from "../../exercises/planting/neutral/neutralPrograms.ts";
import { findLanguage } from "../../languages/languages.ts";
import { countNeverMoves } from "./countNeverMoves.ts";
import { elementForPlace } from "./elementForPlace.ts";
import { givenToItself } from "./givenToItself.ts";
import { listRepeated } from "./listRepeated.ts";
import { markNeverSet } from "./markNeverSet.ts";
import { mistakes } from "./mistakes.ts";
import { neverCalled } from "./neverCalled.ts";
import { neverRead } from "./neverRead.ts";
import { ownObjectLeftOut } from "./ownObjectLeftOut.ts";

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
    ];
    for (const { program } of neutralOf(id)) {
      const found = findLanguage(id);
      const context = found && editContext(found, program);
      if (!context) throw new Error(`no trees for ${id}`);
      expect(
        [...ids, givenToItself].flatMap((mistake) => mistake.find(context)),
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
