import { readFileSync, writeFileSync } from "node:fs";
import { join } from "node:path";
import Ajv2020 from "ajv/dist/2020.js";
import { expect, test } from "vitest";
import { testExercise } from "../exercises/testExercise.ts";
import { answerLineSchema, exerciseFormat, exerciseJsonSchema, readExerciseFile } from "./exerciseFile.ts";

const file = { format: exerciseFormat, title: "Deck", exercise: testExercise() };
const published = join(import.meta.dirname, "../../docs/exercise.schema.json");

test("an exercise is read as it was written; keys that are not known stay", () => {
  const read = readExerciseFile(JSON.stringify({ ...file, later: { mood: "calm" } }));
  expect(read).toEqual({ ok: true, file: { ...file, later: { mood: "calm" } } });
});

test.each([
  ["ferry", "this text is none"],
  ["[]", "is not understood at its beginning"],
  [JSON.stringify({ ...file, format: 9 }), "is of form 9; forms up to 1 are read here"],
  [JSON.stringify({ ...file, exercise: { ...file.exercise, faults: "many" } }), "at exercise.faults"],
])("%.30s is refused in words", (text, words) => {
  expect(readExerciseFile(text)).toEqual({ ok: false, message: expect.stringContaining(words) });
});

test("an answer needs somebody and a task", () => {
  expect(answerLineSchema.safeParse({ id: 4, task: "mend", answer: { text: "" } }).success).toBe(true);
  expect(answerLineSchema.safeParse({ task: "mend" }).success).toBe(false);
});

test("the schema that is published is that of what is read, and answers and marks go by it", () => {
  if (process.env.BENT_NAIL_RECORD) writeFileSync(published, `${JSON.stringify(exerciseJsonSchema(), null, 2)}\n`);
  const schema = JSON.parse(readFileSync(published, "utf8"));
  expect(schema).toEqual(JSON.parse(JSON.stringify(exerciseJsonSchema())));
  const valid = new Ajv2020({ strict: false }).compile(schema);
  const item = { item: "table", earned: 5.5, possible: 6, reason: "16 of 17 cells earn." };
  const mark = { id: "T-01", task: "trace", kind: "trace", items: [item], earned: 5.5, suggested: 5.5, possible: 6 };
  expect(valid({ ...mark, waits: false, reason: item.reason }), JSON.stringify(valid.errors)).toBe(true);
  expect(valid({ id: 1, task: "point", answer: { lines: [3] } })).toBe(true);
  expect(valid({ task: "point" })).toBe(false);
});
