import { generateInputs } from "../core/assignments/generateInputs.ts";
import { guessShape } from "../core/assignments/guessShape.ts";
import { limitsIn } from "../core/assignments/limitsIn.ts";
import type { ExerciseCheck } from "../core/exercises/exercise.ts";
import type { Language } from "../core/languages/language.ts";
import { consoleText } from "../core/outcome/outcome.ts";
import { runOfText } from "../server/exercises/runForCheck.ts";
import { runProgram } from "../server/judge/run.ts";
import type { Toolchains } from "../server/toolchains/toolchains.ts";
import { readChecksAt } from "./judge.ts";

/** How many checks are made where none are given. */
const mostMade = 5;

/** The checks of an exercise: those of a file, else what the right program prints with inputs that fit it. */
export async function exerciseChecksAt(
  toolchains: Toolchains,
  language: Language,
  fileName: string,
  right: string,
  path: string | undefined,
): Promise<ExerciseCheck[]> {
  if (path !== undefined) {
    const checks = await readChecksAt(path, (words) => void process.stderr.write(`bent-nail: ${words}\n`));
    return (checks ?? []).map((check) => ({
      ...{ input: check.input, expected: check.expected ?? null, kind: "normal", ignorePrompts: false },
      ...{ comparison: check.comparison, files: check.surroundings },
      ...(check.pieces ? { pieces: [...check.pieces] } : {}),
    }));
  }
  const shape = guessShape(language, right);
  const inputs = ["", ...generateInputs(shape, limitsIn(language, right, shape), mostMade * 2)];
  const made: ExerciseCheck[] = [];
  for (const input of shape.length === 0 ? [""] : inputs.slice(1)) {
    if (made.length >= mostMade) break;
    const ran = await runProgram(toolchains, runOfText({ language: language.id, fileName }, right, { input }));
    if (!ran.outcome?.finished) continue;
    const expected = consoleText(ran.outcome.console, ["out"]);
    made.push({ input, expected, kind: "normal", ignorePrompts: false, files: {} });
  }
  return made;
}
