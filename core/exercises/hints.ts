import * as z from "zod";
import type { ExerciseContent, ExerciseFault } from "./exercise.ts";

/** What a student has taken of an exercise's hints: what each cost, in marks, in the order in which they were taken. */
export const takenHintsSchema = z.object({ costs: z.array(z.number().min(0)) });
export type TakenHints = z.infer<typeof takenHintsSchema>;

/** Under which name the hints that were taken of an exercise are kept beside the answers, and their cost beside the marks. */
export function hintsName(exercise: string): string {
  return `hints ${exercise}`;
}

/** What was taken, from what is kept; nothing where it cannot be read. */
export function takenHints(kept: unknown): TakenHints {
  const read = takenHintsSchema.safeParse(kept);
  return read.success ? read.data : { costs: [] };
}

const whatHappens: Readonly<Record<ExerciseFault["class"], string>> = {
  syntax: "Ask first whether it is started at all: something in how it is written breaks a rule of the language.",
  runtime: "It is started, and stops while it runs. Ask which line it was at, and what that line needs to go well.",
  logic: "It runs, and what it does is not what was meant. Go through it with the values on paper.",
};

/** Lines on either side of the faulty one that a hint names, at least. */
const nearby = 2;

/** The stretch of lines (1-based, both ends in it) that a hint names for a faulty line; where it lies in it differs from program to program. */
function around(line: number, lines: number): [number, number] {
  const length = Math.min(lines, Math.max(2 * nearby + 1, Math.ceil(lines / 3)));
  const first = Math.max(
    1,
    Math.min(line - nearby - ((line * 7) % Math.max(1, length - 2 * nearby)), lines - length + 1),
  );
  return [first, first + length - 1];
}

/** What the change that mends a fault is like, in words that do not say it. */
function changeWords({ hunks }: ExerciseFault): string | null {
  const [hunk] = hunks;
  if (!hunk) return null;
  if (hunk.before.length === 0) return "Something is missing: a line has to be added.";
  if (hunk.after.length === 0) return "Something is too much: a line has to go.";
  if (hunks.length > 1) return "It takes changes in more than one place.";
  return hunk.before.length === hunk.after.length && hunk.before.length === 1
    ? "One line has to be changed, and it stays one line."
    : "A few lines that stand together have to be changed.";
}

/**
 * Hints for the first fault of an exercise, each saying more than the one before: what kind of thing happens, where about,
 * what the change is like, which line. None where the exercise has no known fault.
 */
export function hintsOf(content: Pick<ExerciseContent, "program" | "faults">): string[] {
  const [fault] = content.faults;
  const [line] = fault?.faultyLines ?? [];
  if (!fault || line === undefined) return [];
  const lines = content.program.replace(/\n$/, "").split("\n").length;
  const [first, last] = around(line, lines);
  const change = changeWords(fault);
  return [
    whatHappens[fault.class],
    ...(last - first + 1 < lines ? [`Look between line ${first} and line ${last}.`] : []),
    ...(change ? [change] : []),
    `The mistake is in line ${line}.`,
  ];
}
