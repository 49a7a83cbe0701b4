import { compareOutput } from "../../core/assignments/compareOutput.ts";
import type { ExerciseCheck, ExerciseContent } from "../../core/exercises/exercise.ts";
import type { CheckRun } from "../../core/exercises/taskKind.ts";
import type { Outcome } from "../../core/outcome/outcome.ts";
import { withoutPicture } from "../../core/outcome/pictureFacts.ts";
import { languageOf } from "../judge/judge.ts";
import { type ProgramRun, runProgram } from "../judge/run.ts";
import type { Services } from "../services.ts";

/** A text as the exercise's program with one of its checks, to be run. */
export function runOfText(
  content: Pick<ExerciseContent, "language" | "fileName">,
  text: string,
  check: Pick<ExerciseCheck, "input"> & Partial<ExerciseCheck>,
): ProgramRun {
  return {
    language: languageOf(content),
    files: [{ name: content.fileName, bytes: Buffer.from(text, "utf8") }],
    surroundings: check.files ?? {},
    input: check.input,
  };
}

/**
 * Runs a text as the exercise's program with a check. Words for a person if its language does not run here, or the run
 * tells nothing.
 */
export async function runForCheck(
  services: Pick<Services, "toolchains">,
  content: Pick<ExerciseContent, "language" | "fileName">,
  text: string,
  check: Omit<ExerciseCheck, "kind" | "files"> & Partial<ExerciseCheck>,
): Promise<CheckRun> {
  const ran = await runProgram(services.toolchains, runOfText(content, text, check));
  if (ran.unknown !== null) return { notRun: ran.unknown, unknown: true };
  if (!ran.outcome) return { notRun: ran.notRun ?? "It was not run.", unknown: false };
  const { outcome } = ran;
  const passes = outcome.finished && isIntended(outcome, check);
  // Facts of a picture decide whether it passes; nobody is asked for them as for what is printed.
  return { outcome: { ...outcome, console: withoutPicture(outcome.console) }, passes };
}

/** Whether what came out is what a check intends, by its rules of comparing; true where it intends nothing. */
export function isIntended(
  outcome: Outcome,
  check: Pick<ExerciseCheck, "expected" | "ignorePrompts" | "pieces" | "comparison">,
): boolean {
  const rules = check.comparison ?? (check.ignorePrompts ? { prompts: "ignored" as const } : {});
  return check.expected === null || compareOutput(outcome.console, check.pieces ?? check.expected, rules).same;
}
