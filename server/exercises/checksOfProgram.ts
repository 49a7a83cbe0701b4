import { generateInputs } from "../../core/assignments/generateInputs.ts";
import { guessShape } from "../../core/assignments/guessShape.ts";
import { intendedOf } from "../../core/assignments/intended.ts";
import { limitsIn } from "../../core/assignments/limitsIn.ts";
import type { ExerciseCheck } from "../../core/exercises/exercise.ts";
import type { Language } from "../../core/languages/language.ts";
import { consoleText } from "../../core/outcome/outcome.ts";
import { runProgram } from "../judge/run.ts";
import type { Services } from "../services.ts";
import { runOfText } from "./runForCheck.ts";

/** How many checks are made where none are given. */
const mostMade = 5;

/** Checks of a right program where nobody gave any: what it prints with inputs that fit it, each time something else. */
export async function checksOfProgram(
  { toolchains }: Pick<Services, "toolchains">,
  language: Language,
  fileName: string,
  right: string,
): Promise<ExerciseCheck[]> {
  const shape = guessShape(language, right);
  const inputs = shape.length === 0 ? [""] : generateInputs(shape, limitsIn(language, right, shape), mostMade * 3);
  const made = new Map<string, ExerciseCheck>();
  for (const input of inputs) {
    if (made.size >= mostMade) break;
    const ran = await runProgram(toolchains, runOfText({ language: language.id, fileName }, right, { input }));
    if (!ran.outcome?.finished) continue;
    const expected = consoleText(ran.outcome.console, ["out"]);
    if (made.has(expected)) continue;
    const pieces = intendedOf(ran.outcome.console, right);
    made.set(expected, { input, expected, pieces, kind: "normal", ignorePrompts: false, files: {} });
  }
  return [...made.values()];
}
