import type { ExerciseCheck } from "../../../core/exercises/exercise.ts";

/** An answer with the mark that was worked out by hand, and the rule of docs/marks.md by which. */
export type MarkedAnswer = {
  task: "mend" | "trace" | "predict" | "point" | "classify";
  says: string;
  answer: unknown;
  /** What is earned; for what waits for the teacher, what is suggested. */
  earned: number;
  rule: string;
  about?: "hides" | "unusual";
};

/** An exercise with answers to it; `marks` of its tasks. */
export type MarkedExercise = {
  name: string;
  language: string;
  fileName: string;
  program: string;
  mended: string;
  checks: ReadonlyArray<Pick<ExerciseCheck, "input" | "expected">>;
  marks: Readonly<Record<string, number>>;
  answers: readonly MarkedAnswer[];
};

/** A program with places replaced, one after another. */
export function put(program: string, ...changes: ReadonlyArray<readonly [string, string]>): { text: string } {
  return {
    text: changes.reduce((text, [from, to]) => {
      if (!text.includes(from)) throw new Error(`“${from}” is not in the program`);
      return text.replace(from, to);
    }, program),
  };
}

export const mend = (
  says: string,
  answer: { text: string },
  earned: number,
  rule: string,
  about?: MarkedAnswer["about"],
): MarkedAnswer => ({ task: "mend", says, answer, earned, rule, ...(about ? { about } : {}) });
export const table = (
  says: string,
  rows: ReadonlyArray<Record<string, string>>,
  earned: number,
  rule: string,
  about?: MarkedAnswer["about"],
): MarkedAnswer => ({
  ...{ task: "trace", says, earned, rule },
  answer: { rows: rows.map((cells) => ({ cells })) },
  ...(about ? { about } : {}),
});
export const predict = (
  says: string,
  output: string,
  earned: number,
  rule: string,
  about?: MarkedAnswer["about"],
): MarkedAnswer => ({
  ...{ task: "predict", says, earned, rule },
  answer: { output, ending: "ends by itself" },
  ...(about ? { about } : {}),
});
export const reason = (faultClass: string, text: string, earned: number, rule: string): MarkedAnswer => ({
  ...{ task: "classify", says: text, earned, rule },
  answer: { class: faultClass, reason: text },
});
export const point = (says: string, lines: number[], earned: number, rule: string): MarkedAnswer => ({
  ...{ task: "point", says, earned, rule },
  answer: { lines },
});
