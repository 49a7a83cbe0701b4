import { findHunks } from "../fixes/hunks.ts";
import type { ExerciseContent } from "./exercise.ts";

/** The program of the usual exercise in tests and benchmarks, with its one fault, and the same mended. */
export const deckProgram = "deck = 4\nprint('Deck load:', deck - 3)\n";
export const deckMended = deckProgram.replace("-", "+");

/** That exercise with tasks, or what differs from it: for tests and benchmarks. */
export function testExercise(rest: Partial<ExerciseContent> = {}): ExerciseContent {
  const hunks = findHunks(deckProgram, deckMended);
  return {
    ...{ language: "python", fileName: "deck.py", intro: "", userActions: [], handTable: "" },
    ...{ program: deckProgram, mended: deckMended },
    faults: [{ class: "logic", symptom: "", message: "", reportedLine: null, faultyLines: [2], hunks }],
    checks: [{ input: "", expected: "Deck load: 7\n", kind: "normal", ignorePrompts: false, files: {} }],
    ...{ hiddenChecks: [], given: [], tasks: [] },
    ...rest,
  };
}
