import { readFileSync } from "node:fs";
import { join } from "node:path";
import { afterAll, beforeAll, describe, expect, test } from "vitest";
import type { ExerciseContent } from "../../core/exercises/exercise.ts";
import { traceTaskSchema } from "../../core/exercises/traceTask.ts";
import { findLanguage } from "../../core/languages/languages.ts";
import { openTestServices } from "../testServices.ts";
import { exerciseOfPrograms } from "./exerciseOfPrograms.ts";
import { markAnswer } from "./markAnswers.ts";
import { markedExercises } from "./markedAnswers/markedExercises.ts";

let services: Awaited<ReturnType<typeof openTestServices>>;
beforeAll(async () => {
  services = await openTestServices();
});
afterAll(() => services.close());

describe.each(markedExercises.map((each) => [each.name, each] as const))("%s", (_, exercise) => {
  let content: ExerciseContent;
  beforeAll(async () => {
    const language = findLanguage(exercise.language);
    if (!language) throw new Error("unknown language");
    const { program, mended, fileName, checks, marks } = exercise;
    const made = await exerciseOfPrograms(services, {
      ...{ language, fileName, intro: "", program, mended },
      checks: checks.map((check) => ({ ...check, kind: "normal", ignorePrompts: false, files: {} })),
      tasks: Object.entries(marks).map(([kind, own]) => ({ kind, marks: own })),
    });
    expect(made.surprises).toEqual([]);
    // Rows of one's own, and nothing given: every cell is the student's.
    const tasks = made.content.tasks.map((task) => {
      const table = traceTaskSchema.safeParse(task);
      return table.success ? { ...table.data, linesGiven: false, given: [] } : task;
    });
    content = { ...made.content, tasks };
  });
  test.each(exercise.answers.map((each) => [each.task, each.says, each.earned, each] as const))(
    "%s, %s: %d",
    async (task, _says, earned, { answer, says }) => {
      const mark = await markAnswer(services, content, { format: 1, id: says, task, answer });
      if (typeof mark === "string") throw new Error(mark);
      expect(mark.suggested, mark.reason).toBe(earned);
    },
  );
});

test("every answer cites a rule that is written down, and there are enough of each sort", () => {
  const rules = readFileSync(join(import.meta.dirname, "../../docs/marks.md"), "utf8");
  const all = markedExercises.flatMap(({ answers }) => answers);
  for (const { rule, says } of all) expect(rules, says).toContain(`**${rule}**`);
  expect(all.length).toBeGreaterThanOrEqual(80);
  const count = (about: string) => all.filter((each) => each.about === about).length;
  expect(count("hides")).toBeGreaterThanOrEqual(40);
  expect(count("unusual")).toBeGreaterThanOrEqual(40);
});
