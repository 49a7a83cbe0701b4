import { findLanguage } from "../languages/languages.ts";
import { withChangedData } from "./dataChanges.ts";
import type { ExerciseCheck } from "./exercise.ts";
import type { MarkContext } from "./taskKind.ts";

/** How a program does with the checks: all pass, it only hides the fault, one fails (in words), or it is not known. */
export type Tried = { passes: true } | { hides: string } | { fails: string } | { notRun: string };

/** Tries programs with all checks, those that students never see among them; each program once. */
export function createTries({ exercise, run }: MarkContext): (program: string) => Promise<Tried> {
  const language = findLanguage(exercise.language);
  const { checks, hiddenChecks } = exercise;
  const known = new Map<string, Promise<Tried>>();
  const tried = async (program: string): Promise<Tried> => {
    for (const check of checks) {
      const result = await passes(run, program, check);
      if (typeof result === "object") return result;
      if (!result) return { fails: "a check still fails" };
    }
    for (const check of hiddenChecks) {
      const text = check.data && language ? withChangedData(language, program, check.data) : program;
      if (text === null)
        return { hides: "the data that the program works with is gone, so its results are only written down" };
      const result = await passes(run, text, check);
      if (typeof result === "object") return result;
      if (!result)
        return {
          hides: check.data ? "with other data it gives a wrong result" : "with another input it gives a wrong result",
        };
    }
    return { passes: true };
  };
  return (program) => {
    const before = known.get(program) ?? tried(program);
    known.set(program, before);
    return before;
  };
}

async function passes(
  run: MarkContext["run"],
  program: string,
  check: ExerciseCheck,
): Promise<boolean | { notRun: string }> {
  if (check.expected === null) return true;
  const result = await run(program, check);
  return "notRun" in result ? { notRun: result.notRun } : result.passes;
}
