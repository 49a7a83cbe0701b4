import { expect, test } from "vitest";
import { mostGuesses, ownNote, ownNoteName, ownNoteSchema, withGuesses } from "../../core/exercises/ownNote.ts";
import { judged } from "./guesses.ts";

test.each([
  ["7", "7", true],
  ["7.0", "7", true],
  ["[4, 9]", "[4,9]", true],
  ["4, 9", "[4, 9]", true],
  ["Tern", "'Tern'", true],
  ["8", "7", false],
  ["", "", true],
  ["0", "", false],
])("a guess of %s where it became %s", (guess, became, right) => {
  expect(judged(3, { name: "load", guess, became })).toEqual({ line: 3, name: "load", guess, became, right });
});

test("a long value is cut, so that the log can always be kept", () => {
  const guess = judged(1, { name: "n".repeat(300), guess: "1", became: "x".repeat(9000) });
  expect(ownNoteSchema.safeParse({ told: "", guesses: [guess] }).success).toBe(true);
});

test("of many guesses the last ones stay, and what cannot be read is an empty note", () => {
  const guess = (line: number) => judged(line, { name: "load", guess: "1", became: "1" });
  const many = withGuesses(
    { told: "It counts twice.", guesses: [guess(1)] },
    Array.from({ length: mostGuesses }, (_, at) => guess(at + 2)),
  );
  expect(many.guesses).toHaveLength(mostGuesses);
  expect([many.guesses[0]?.line, many.told]).toEqual([2, "It counts twice."]);
  for (const kept of [undefined, null, 7, { told: 3 }, { told: "", guesses: [{ line: 0 }] }])
    expect(ownNote(kept)).toEqual({ told: "", guesses: [] });
  expect(ownNoteName("e")).toBe("own e");
});
