import fc from "fast-check";
import { describe, expect, test } from "vitest";
import { compareOutput } from "../assignments/compareOutput.ts";
import { findHunks } from "../fixes/hunks.ts";
import { runPseudocode } from "../interpreters/pseudocode/run.ts";
import type { ExerciseCheck, ExerciseContent, Task } from "./exercise.ts";
import type { ItemMark, MakeContext, TaskKind } from "./taskKind.ts";
import { taskKinds } from "./taskKinds.ts";
import { testExercise } from "./testExercise.ts";

const steps = 20_000;

/** Real runs and recordings of an exercise in pseudocode, in this process. */
function contextOf(exercise: ExerciseContent): MakeContext {
  const ran = (program: string, check: Partial<ExerciseCheck> | undefined) => ({
    ...{ program, fileName: exercise.fileName, input: check?.input ?? "" },
    files: Object.fromEntries(
      Object.entries(check?.files ?? {}).flatMap(([name, text]) => (text === null ? [] : [[name, text]])),
    ),
    limits: { steps, mostCalls: 200, outputCharacters: 5000 },
  });
  return {
    exercise,
    run: async (program, check) => {
      const { outcome } = runPseudocode(ran(program, check));
      const wanted = check.pieces ?? check.expected;
      const passes = outcome.finished && (wanted === null || compareOutput(outcome.console, wanted, {}).same);
      return { outcome, passes };
    },
    record: async (program, check, change) => {
      const recorded = runPseudocode({ ...ran(program, check), record: steps, ...(change ? { change } : {}) });
      return { trace: { ...recorded, files: [exercise.fileName] } };
    },
  };
}

/** A check with what the right program gives for it. */
function check(right: string, input: string): ExerciseCheck {
  const { outcome } = runPseudocode({ program: right, fileName: "right.pseudo", input });
  const said = outcome.console.flatMap(({ kind, text }) => (kind === "out" ? [text] : []));
  return { input, expected: said.join(""), kind: "normal", ignorePrompts: false, files: {} };
}

/** An exercise of a right program with one slip in it. */
function exerciseOf(
  right: string,
  [before, after]: readonly [string, string],
  rest: Pick<ExerciseContent["faults"][number], "class" | "message"> & {
    reportedLine?: number;
    typed: readonly string[];
    hidden?: readonly string[];
  },
): ExerciseContent {
  const program = right.replace(before, after);
  const hunks = findHunks(program, right);
  const { class: of, message, reportedLine = null, typed, hidden = [] } = rest;
  const checksOf = (inputs: readonly string[]) => inputs.map((input) => check(right, input));
  return testExercise({
    ...{
      language: "pseudocode",
      fileName: "deck.pseudo",
      program,
      mended: right,
      checks: checksOf(typed),
      hiddenChecks: checksOf(hidden),
    },
    faults: [{ class: of, message, reportedLine, symptom: "", faultyLines: hunks.map(({ start }) => start), hunks }],
  });
}

const fares = `OUTPUT "How many cars? "
INPUT cars
fare <- 0
FOR car <- 1 TO cars
  IF car > 3 THEN
    fare <- fare + 5
  ELSE
    fare <- fare + 12
  ENDIF
NEXT car
IF fare > 40 AND cars < 9 THEN
  OUTPUT "Pay at the pier"
ENDIF
OUTPUT "Fare: ", fare
`;
const share = `OUTPUT "Weight? "
INPUT weight
OUTPUT "Cars? "
INPUT cars
IF cars > 0 THEN
  OUTPUT "Each: ", weight / cars
ELSE
  OUTPUT "No car"
ENDIF
`;
const tides = `tides <- [3, 5, 4, 6]
highest <- tides[1]
FOR place <- 2 TO 4
  IF tides[place] > highest THEN
    highest <- tides[place]
  ENDIF
NEXT place
OUTPUT "Highest: ", highest
`;

const exercises: ReadonlyArray<readonly [string, ExerciseContent]> = [
  [
    "a sum that goes too far",
    exerciseOf(fares, ["car > 3", "car > 2"], {
      ...{ class: "logic", message: "" },
      typed: ["5\n", "1\n"],
      hidden: ["4\n"],
    }),
  ],
  [
    "a division by nothing",
    exerciseOf(share, ["cars > 0", "cars >= 0"], {
      ...{ class: "runtime", message: "Stopped, line 6 (division): 30 cannot be divided by 0.", reportedLine: 6 },
      typed: ["30\n0\n", "30\n4\n"],
    }),
  ],
  [
    "a list, with nothing typed in",
    exerciseOf(tides, ["> highest", "< highest"], {
      ...{ class: "logic", message: "" },
      typed: [""],
    }),
  ],
  [
    "a program that is refused",
    exerciseOf(tides, ["NEXT place", "NEXT"], {
      ...{
        class: "syntax",
        message: "Not read, line 7, column 5 (name): the name of the loop is missing.",
        reportedLine: 7,
      },
      typed: [""],
    }),
  ],
];

/** Every task that can be made of the exercises, with what it was made of. */
const made = (
  await Promise.all(
    exercises.flatMap(([name, exercise]) =>
      taskKinds.map(async (kind) => {
        const task = await kind.make(contextOf(exercise), { key: kind.kind, marks: 4 });
        return { name, kind, exercise, task };
      }),
    ),
  )
).map((each) => ({ ...each, title: `${each.kind.kind} of ${each.name}` }));
type Made = { title: string; kind: TaskKind; exercise: ExerciseContent; task: Task };
const tasks = made.flatMap(({ task, ...rest }): Made[] => (typeof task === "string" ? [] : [{ ...rest, task }]));

const sum = (items: readonly ItemMark[], of: (item: ItemMark) => number) =>
  items.reduce((all, item) => all + of(item), 0);
const marksOf = ({ kind, exercise, task }: Made, answer: unknown) => kind.mark(task, answer, contextOf(exercise));

test("nearly every kind can be asked of one of these, and what cannot says why in a sentence", () => {
  const asked = new Set(tasks.map(({ kind }) => kind.kind));
  expect(asked.size).toBeGreaterThan(taskKinds.length - 6);
  for (const { task, title } of made) if (typeof task === "string") expect(task, title).toMatch(/^[A-Z“].{20,}\.$/s);
});

describe.each(tasks)("$title", (own) => {
  const { kind, task, exercise } = own;

  test("the scheme and every marking add up to its marks", async () => {
    expect(kind.scheme(task, exercise).reduce((all, { marks }) => all + marks, 0)).toBe(task.marks);
    expect(sum(await marksOf(own, null), ({ possible }) => possible)).toBe(task.marks);
  });

  test("no answer, and one that is worthless, earns nothing and suggests nothing", async () => {
    expect((await marksOf(own, null)).every(({ earned }) => earned === 0)).toBe(true);
    for (const answer of kind.worthless(task, exercise))
      expect(sum(await marksOf(own, answer), ({ earned, suggested }) => (earned ?? 0) + (suggested ?? 0))).toBe(0);
  });

  test("the model answer earns all that a program can give", async () => {
    const answer = kind.model?.(task, exercise);
    if (answer === undefined) return;
    const items = await marksOf(own, answer);
    // What only a person can read waits for one.
    expect(items.filter(({ earned, possible }) => earned !== null && earned !== possible)).toEqual([]);
    expect(items.some(({ earned }) => earned !== 0)).toBe(true);
  });

  test("what a student sees says nothing of the mending, unless it shows it", () => {
    if (kind.shows !== null || kind.needsRun) return;
    const [mending = ""] = exercise.faults[0]?.hunks[0]?.after ?? [];
    expect(JSON.stringify(kind.view(task, exercise))).not.toContain(JSON.stringify(mending).slice(1, -1));
  });

  test("whatever is handed in is marked within its marks, and is laid beside the key", async () => {
    const model = kind.model?.(task, exercise);
    const texts = fc.string({ maxLength: 30 });
    // Answers of its own form with anything in the place of what is written or chosen.
    const spoilt = fc.array(texts, { minLength: 12, maxLength: 12 }).map((pool) => {
      let at = 0;
      const other = (value: unknown): unknown => {
        if (typeof value === "string") return pool[at++ % pool.length];
        if (Array.isArray(value)) return value.map(other);
        if (value === null || typeof value !== "object") return value;
        return Object.fromEntries(Object.entries(value).map(([name, inside]) => [name, other(inside)]));
      };
      return other(model ?? { texts: { program: "", what: "", why: "", lines: "" }, choices: {}, lines: [] });
    });
    const junk = fc.oneof(
      fc.anything(),
      fc.dictionary(fc.constantFrom("texts", "choices", "lines", "rows", "program", "output"), fc.anything()),
    );
    await fc.assert(
      fc.asyncProperty(fc.oneof({ weight: 3, arbitrary: spoilt }, junk), async (answer) => {
        const items = await marksOf(own, answer);
        for (const { earned, possible } of items)
          expect(earned === null || (earned >= 0 && earned <= possible)).toBe(true);
        expect(sum(items, ({ possible }) => possible)).toBe(task.marks);
        expect(() => kind.compare(task, answer, exercise)).not.toThrow();
      }),
      { numRuns: 12 },
    );
  });

  test("it is kept as it was made: its form reads it again, and its rules can be written back", () => {
    const again = JSON.parse(JSON.stringify(task));
    expect(kind.scheme(again, exercise)).toEqual(kind.scheme(task, exercise));
    for (const { name, value } of kind.rules(task, exercise)) {
      const same = kind.withRule(task, name, value);
      expect(kind.rules(same, exercise).find((rule) => rule.name === name)?.value).toBe(value);
    }
    expect(kind.rule(task).length).toBeGreaterThan(10);
    expect(kind.asks(task, exercise).parts.length).toBeGreaterThan(0);
  });
});
