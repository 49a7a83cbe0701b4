import { expect, test } from "vitest";
import { runPseudocode } from "../../interpreters/pseudocode/run.ts";
import { contextOf } from "../everyTask.ts";
import type { ExerciseCheck } from "../exercise.ts";
import { testExercise } from "../testExercise.ts";
import { byhand } from "./byhand.ts";

const mended = "INPUT cars\nFOR car <- 1 TO cars\n  OUTPUT car * 4\nNEXT car\n";
const check = (input: string, expected: string | null): ExerciseCheck => ({
  ...{ input, expected, kind: "normal", ignorePrompts: false, files: {} },
});
const exerciseOf = (checks: readonly ExerciseCheck[]) =>
  testExercise({
    ...{ language: "pseudocode", fileName: "fares.pseudo", mended, program: mended.replace("* 4", "+ 4") },
    checks: [...checks],
  });
const made = (checks: readonly ExerciseCheck[]) =>
  byhand.make(contextOf(exerciseOf(checks), runPseudocode), { key: "byhand", marks: 3 });

test("it is asked of what prints something: nobody could tell nothing from no answer", async () => {
  const checks = [check("0\n", ""), check("2\n", "4\n8\n"), check("1\n", "4\n")];
  const task = await made(checks);
  expect(task).toMatchObject({ wanted: [{ check: 1 }, { check: 2 }] });
  if (typeof task === "string") return;
  const context = contextOf(exerciseOf(checks), runPseudocode);
  const marks = await byhand.mark(task, byhand.model?.(task, context.exercise), context);
  expect(marks.map(({ item, earned, possible }) => [item, earned, possible])).toEqual([
    ["check 2", 2, 2],
    ["check 3", 1, 1],
  ]);
});

test.each([
  ["nothing is to be printed", [check("0\n", "")]],
  ["no check says what is intended", [check("2\n", null)]],
])("it is not asked where %s", async (words, checks) => {
  expect(await made(checks)).toBe(`What should come out cannot be asked: ${words}.`);
});
