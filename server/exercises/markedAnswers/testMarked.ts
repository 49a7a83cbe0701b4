import { readFileSync } from "node:fs";
import { join } from "node:path";
import { afterAll, beforeAll, describe, expect, test } from "vitest";
import type { ExerciseContent } from "../../../core/exercises/exercise.ts";
import { traceTaskSchema } from "../../../core/exercises/traceTask.ts";
import { findLanguage } from "../../../core/languages/languages.ts";
import { openTestServices } from "../../testServices.ts";
import { exerciseOfPrograms } from "../exerciseOfPrograms.ts";
import { markAnswer } from "../markAnswers.ts";
import type { MarkedExercise } from "./marked.ts";

/** Tests that every answer to an exercise is marked as it was by hand, and cites a rule that is written down. */
export function testMarked(exercise: MarkedExercise): void {
  let services: Awaited<ReturnType<typeof openTestServices>>;
  let content: ExerciseContent;
  beforeAll(async () => {
    services = await openTestServices();
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
  afterAll(() => services.close());

  describe(exercise.name, () => {
    test.each(exercise.answers.map((each) => [each.task, each.says, each.earned, each] as const))(
      "%s, %s: %d",
      async (task, _says, earned, { answer, says }) => {
        const mark = await markAnswer(services, content, { format: 1, id: says, task, answer });
        if (typeof mark === "string") throw new Error(mark);
        expect(mark.suggested, mark.reason).toBe(earned);
      },
    );

    test("every answer cites a rule that is written down", () => {
      const rules = readFileSync(join(import.meta.dirname, "../../../docs/marks.md"), "utf8");
      for (const { rule, says } of exercise.answers) expect(rules, says).toContain(`**${rule}**`);
    });
  });
}
