import type { ExerciseCheck } from "../core/exercises/exercise.ts";
import type { Language } from "../core/languages/language.ts";
import { checksOfProgram, withIntended } from "../server/exercises/checksOfProgram.ts";
import type { Toolchains } from "../server/toolchains/toolchains.ts";
import { readChecksAt } from "./judge.ts";

/** The checks of an exercise: those of a file, with what the right program prints where they say only what is typed in; else what the right program prints with inputs that fit it. */
export async function exerciseChecksAt(
  toolchains: Toolchains,
  language: Language,
  fileName: string,
  right: string,
  path: string | undefined,
): Promise<ExerciseCheck[]> {
  if (path === undefined) return checksOfProgram({ toolchains }, language, fileName, right);
  const checks = await readChecksAt(path, (words) => void process.stderr.write(`bent-nail: ${words}\n`));
  const given = checks.map((check) => ({
    ...{ input: check.input, expected: check.expected ?? null, kind: "normal" as const, ignorePrompts: false },
    ...{ comparison: check.comparison, files: filesOf(check.surroundings) },
    ...(check.pieces ? { pieces: [...check.pieces] } : {}),
  }));
  return withIntended({ toolchains }, language, fileName, right, given);
}

/** What lies beside the program; what a check takes away lies there no more. */
function filesOf(surroundings: Readonly<Record<string, string | null>>): ExerciseCheck["files"] {
  return Object.fromEntries(Object.entries(surroundings).filter(([, text]) => text !== null));
}
