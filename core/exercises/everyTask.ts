import { compareOutput } from "../assignments/compareOutput.ts";
import { findHunks } from "../fixes/hunks.ts";
import type { runPseudocode } from "../interpreters/pseudocode/run.ts";
import type { ExerciseCheck, ExerciseContent, Task } from "./exercise.ts";
import type { MakeContext, TaskKind } from "./taskKind.ts";
import { taskKinds } from "./taskKinds.ts";
import { testExercise } from "./testExercise.ts";

const steps = 20_000;

/** What runs and records programs in pseudocode, at once. */
type Run = typeof runPseudocode;

/** Real runs and recordings of an exercise in pseudocode. */
export function contextOf(exercise: ExerciseContent, run: Run): MakeContext {
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
      const { outcome } = run(ran(program, check));
      const wanted = check.pieces ?? check.expected;
      const passes = outcome.finished && (wanted === null || compareOutput(outcome.console, wanted, {}).same);
      return { outcome, passes };
    },
    record: async (program, check, change) => {
      const recorded = run({ ...ran(program, check), record: steps, ...(change ? { change } : {}) });
      return { trace: { ...recorded, files: [exercise.fileName] } };
    },
  };
}

/** A check with what the right program gives for it. */
function check(run: Run, right: string, input: string): ExerciseCheck {
  const { outcome } = run({ program: right, fileName: "right.pseudo", input });
  const said = outcome.console.flatMap(({ kind, text }) => (kind === "out" ? [text] : []));
  return { input, expected: said.join(""), kind: "normal", ignorePrompts: false, files: {} };
}

/** An exercise of a right program with one slip in it. */
function exerciseOf(
  run: Run,
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
  const checksOf = (inputs: readonly string[]) => inputs.map((input) => check(run, right, input));
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

const exercisesBy = (run: Run): ReadonlyArray<readonly [string, ExerciseContent]> => [
  [
    "a sum that goes too far",
    exerciseOf(run, fares, ["car > 3", "car > 2"], {
      ...{ class: "logic", message: "" },
      typed: ["5\n", "1\n"],
      hidden: ["4\n"],
    }),
  ],
  [
    "a division by nothing",
    exerciseOf(run, share, ["cars > 0", "cars >= 0"], {
      ...{ class: "runtime", message: "Stopped, line 6 (division): 30 cannot be divided by 0.", reportedLine: 6 },
      typed: ["30\n0\n", "30\n4\n"],
    }),
  ],
  [
    "a list, with nothing typed in",
    exerciseOf(run, tides, ["> highest", "< highest"], {
      ...{ class: "logic", message: "" },
      typed: [""],
    }),
  ],
  [
    "a program that is refused",
    exerciseOf(run, tides, ["NEXT place", "NEXT"], {
      ...{
        class: "syntax",
        message: "Not read, line 7, column 5 (name): the name of the loop is missing.",
        reportedLine: 7,
      },
      typed: [""],
    }),
  ],
];

/** A task that was made, or why it cannot be, in words; with what it was made of. */
export type MadeTask = { name: string; title: string; kind: TaskKind; exercise: ExerciseContent; task: Task | string };

/** Every task that can be made of these exercises, from real runs: for tests. */
export async function everyTask(run: Run): Promise<MadeTask[]> {
  return Promise.all(
    exercisesBy(run).flatMap(([name, exercise]) =>
      taskKinds.map(async (kind) => {
        const task = await kind.make(contextOf(exercise, run), { key: kind.kind, marks: 4 });
        return { name, title: `${kind.kind} of ${name}`, kind, exercise, task };
      }),
    ),
  );
}
