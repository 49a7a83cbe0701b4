import fc from "fast-check";
import { expect, test } from "vitest";
import { testExercise } from "../exercises/testExercise.ts";
import { readSheetFile, type SheetToWrite, sheetFile } from "./sheetContent.ts";
import { sheetMarkdown } from "./sheetMarkdown.ts";

const content = testExercise({
  intro: "Adds *loads*.",
  checks: [
    {
      ...{ input: "", expected: "Deck load: 7\n", kind: "normal", ignorePrompts: false },
      files: { "loads.txt": "4\n9\n", "gone.txt": null },
    },
  ],
  tasks: [
    { key: "class", kind: "classify", marks: 2 },
    { key: "mend", kind: "mend", marks: 2, allowedExtraLines: 1, extraCost: 0 },
    { key: "say", kind: "purpose", marks: 1 },
  ],
});
const sheet: SheetToWrite = {
  ...{ title: "Deck loads", minutes: 20 },
  exercises: [{ title: "Load on the deck", section: "Warm-up", content }],
};

test("a sheet as Markdown has every question, its rule and room to answer, and none of the answers", () => {
  const text = sheetMarkdown(sheet);
  expect(text).toMatch(/^# Deck loads\n\n5 marks, 20 minutes\n/);
  for (const part of [
    "## Warm-up\n\n## 1. Load on the deck (5)",
    "Adds \\*loads\\*.",
    "There is one fault in it.",
    "  2  ",
    "Beside the program lies loads.txt:\n\n```\n4\n9\n```",
    "There is no file gone.txt.",
    "### a) Which kind of error is it? (2)",
    "- [ ] logic error",
    "### c) ",
    "\\_\\_\\_",
  ])
    expect(text).toContain(part);
  expect(text).not.toContain("deck + 3");
  expect(text).not.toContain("→");
});

test("the teacher's copy has what is right where a program can tell it, and says what is read", () => {
  const text = sheetMarkdown(sheet, true);
  expect(text).toContain("# Deck loads: answers");
  expect(text).toContain("→ logic error");
  expect(text).toContain("deck + 3");
  expect(text).toContain("_read by the teacher_");
});

test("a program that holds a fence stays one block", () => {
  const fences = testExercise({ program: 'print("````")\n', tasks: [] });
  const text = sheetMarkdown({ ...sheet, exercises: [{ title: "Fences", section: "", content: fences }] });
  expect(text).toContain("`````\n");
});

test("a sheet as our own file is read back equal", () => {
  const words = fc.string({ unit: "binary", minLength: 1, maxLength: 40 });
  fc.assert(
    fc.property(words, words, fc.option(fc.integer({ min: 1, max: 300 })), (title, program, minutes) => {
      const own = { title, minutes, exercises: [{ title, section: program, content: { ...content, program } }] };
      const read = readSheetFile(sheetFile(own));
      expect(read).toEqual({ ok: true, sheet: JSON.parse(JSON.stringify(own)) });
    }),
  );
});

test.each([
  { key: "x", kind: "dance", marks: 1 },
  { key: "x", kind: "mend", marks: "many" },
  { key: "x", kind: "predict", marks: 2 },
])("a sheet with a task that nobody could sit is refused: %o", (task) => {
  const own = { ...content, tasks: [task] };
  const file = { format: 1, sheet: { title: "Deck", exercises: [{ title: "x", exercise: own }] } };
  expect(readSheetFile(JSON.stringify(file))).toMatchObject({ ok: false });
});

test.each([
  ["nonsense", "a sheet is a JSON object"],
  ["7", "is not understood at its beginning"],
  ['{"format":2,"sheet":{}}', "A newer Bent Nail has written it"],
  ['{"format":1,"sheet":{"title":"","exercises":[]}}', "is not understood at sheet.title"],
  [
    '{"format":1,"sheet":{"title":"Deck","exercises":[{"title":"x"}]}}',
    "is not understood at sheet.exercises.0.exercise",
  ],
])("what is no sheet is refused in words: %s", (text, words) => {
  expect(readSheetFile(text)).toEqual({ ok: false, message: expect.stringContaining(words) });
});
