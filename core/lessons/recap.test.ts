import { expect, test } from "vitest";
import { testExercise } from "../exercises/testExercise.ts";
import { recapOf } from "./recap.ts";

const [fault] = testExercise().faults;
const of = (kind: "syntax" | "runtime" | "logic", message = "") =>
  testExercise({ faults: fault ? [{ ...fault, class: kind, message }] : [] });

test("the classes of a sheet come in the order in which they are met, each with its own examples", () => {
  const recap = recapOf([
    { title: "Deck load", content: of("logic") },
    { title: "Fares", content: of("syntax", "File \"fares.py\", line 2\nSyntaxError: expected ':'\n") },
    { title: "Tide", content: of("logic") },
  ]);
  expect(recap.map(({ of: kind, examples }) => [kind, examples.map(({ title }) => title)])).toEqual([
    ["syntax", ["Fares"]],
    ["logic", ["Deck load", "Tide"]],
  ]);
  expect(recap[0]?.examples[0]).toMatchObject({
    says: "SyntaxError: expected ':'",
    before: ["print('Deck load:', deck - 3)"],
    after: ["print('Deck load:', deck + 3)"],
  });
  expect(recap[1]).toMatchObject({ shows: expect.stringContaining("no message") });
});

test("a sheet without faults has nothing to look back on", () => {
  expect(recapOf([{ title: "Deck", content: testExercise({ faults: [] }) }])).toEqual([]);
});
