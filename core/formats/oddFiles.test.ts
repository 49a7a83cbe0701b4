import fc from "fast-check";
import { beforeAll, expect, test } from "vitest";
import { isLongRun } from "../../tools/share.ts";
import { contextOf, everyTask } from "../exercises/everyTask.ts";
import type { ExerciseContent } from "../exercises/exercise.ts";
import { kindOfTask } from "../exercises/taskKinds.ts";
import { runPseudocode } from "../interpreters/pseudocode/run.ts";
import { exerciseFormat, readExerciseFile } from "./exerciseFile.ts";
import { readSheetFile, sheetFormat, writtenExercises } from "./sheetContent.ts";
import { sheetMarkdown } from "./sheetMarkdown.ts";

/** Exercises with every task that can be made of them. */
let whole: ExerciseContent[] = [];
beforeAll(async () => {
  const made = await everyTask(runPseudocode);
  whole = [...new Set(made.map(({ exercise }) => exercise))].map((exercise) => ({
    ...exercise,
    tasks: made.flatMap(({ exercise: of, task }) => (of === exercise && typeof task !== "string" ? [task] : [])),
  }));
});

type Place = Array<string | number>;
/** The places in a value that is read from JSON, each as the way to it. */
const placesIn = (value: unknown, way: Place = []): Place[] => [
  ...(way.length > 0 ? [way] : []),
  ...(value && typeof value === "object"
    ? Object.entries(value).flatMap(([key, inside]) =>
        placesIn(inside, [...way, Array.isArray(value) ? Number(key) : key]),
      )
    : []),
];
const gone = Symbol("gone");

/** A value with another one at a place, or without what stood there. */
function changed(value: unknown, [key, ...rest]: Place, by: unknown): unknown {
  if (key === undefined) return by;
  if (!value || typeof value !== "object") return value;
  if (Array.isArray(value))
    return value.flatMap((each, at) =>
      at !== key ? [each] : by === gone && rest.length === 0 ? [] : [changed(each, rest, by)],
    );
  return Object.fromEntries(
    Object.entries(value).flatMap(([name, each]) =>
      name !== key ? [[name, each]] : by === gone && rest.length === 0 ? [] : [[name, changed(each, rest, by)]],
    ),
  );
}

/** What stands in a file that somebody wrote by hand, or that broke on its way. */
const odd = fc.constantFrom<unknown>(
  ...[gone, null, true, 0, -1, 1.5, 1e9, "", "x", "constructor", "__proto__", "a\nb", "🛳", "x".repeat(3000)],
  ...[[], {}, [1], ["a"], [{}], [[]]],
);
/** Places by their number, however many there are, each with what comes there. */
const changes = fc.array(fc.tuple(fc.nat(1_000_000), odd), { minLength: 1, maxLength: 2 });
const runs = { numRuns: isLongRun ? 1500 : 60 };

/** The text of a file with some of its places changed. */
function changedFile(file: unknown, given: ReadonlyArray<readonly [number, unknown]>): string {
  const all = placesIn(file);
  return JSON.stringify(given.reduce((now, [at, by]) => changed(now, all[at % all.length] ?? [], by), file));
}

test("an exercise with anything anywhere in its file is refused in words, or can be sat and marked", async () => {
  let read = 0;
  await fc.assert(
    fc.asyncProperty(fc.nat(3), changes, async (which, given) => {
      const exercise = whole[which % whole.length];
      const found = readExerciseFile(changedFile({ format: exerciseFormat, title: "Deck", exercise }, given));
      if (!found.ok) return void expect(found.message).toMatch(/^(?:the|this|an|of the) exercise.{10,}/s);
      read += 1;
      const content = found.file.exercise;
      for (const task of content.tasks) {
        const kind = kindOfTask(task);
        const model = kind.model?.(task, content);
        kind.view(task, content, model);
        kind.key(task, content);
        kind.compare(task, model, content);
        kind.tookFor(task, model, content);
        kind.worthless(task, content);
        kind.rules(task, content);
        kind.keep(task, content, model, model);
        kind.difficulty(task);
        expect(kind.rule(task)).not.toBe("");
        await kind.mark(task, model, contextOf(content, runPseudocode));
      }
    }),
    runs,
  );
  expect(read).toBeGreaterThan(runs.numRuns / 50);
});

test("a sheet with anything anywhere in its file is refused in words, or can be printed with its answers", () => {
  fc.assert(
    fc.property(fc.nat(3), changes, (which, given) => {
      const exercises = [{ title: "Load", section: "", exercise: whole[which % whole.length] }];
      const found = readSheetFile(changedFile({ format: sheetFormat, sheet: { title: "Deck", exercises } }, given));
      if (!found.ok) return void expect(found.message).toMatch(/^(?:The|This|Of exercise).*(?:sheet|exercise).{5,}/s);
      expect(writtenExercises(found.sheet)).toHaveLength(found.sheet.exercises.length);
      for (const isTeachers of [false, true]) expect(sheetMarkdown(found.sheet, isTeachers)).toMatch(/^# /);
    }),
    runs,
  );
});

test("a task of a kind that is not known is named, and so is the place at which one is not whole", () => {
  const [exercise] = whole;
  const file = { format: exerciseFormat, title: "", exercise };
  const trace = exercise?.tasks.findIndex(({ kind }) => kind === "trace") ?? -1;
  const saidOf = (place: Place, by: unknown) => {
    const found = readExerciseFile(JSON.stringify(changed(file, ["exercise", "tasks", ...place], by)));
    return found.ok ? "" : found.message;
  };
  expect(saidOf([0, "kind"], "riddle")).toBe(
    "of the exercise, task 1 is of the kind “riddle”, which is not known here",
  );
  expect(saidOf([trace, "steps", 2, "writes"], 5)).toBe(
    `of the exercise, task ${trace + 1} (Complete the trace table) is not whole: it is not understood at steps.2.writes`,
  );
});
