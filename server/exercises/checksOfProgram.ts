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

/** Checks of a right program where nobody gave any: what it prints with inputs that fit it, each time something else; or with the inputs that are known. */
export async function checksOfProgram(
  { toolchains }: Pick<Services, "toolchains">,
  language: Language,
  fileName: string,
  right: string,
  known?: readonly string[],
): Promise<ExerciseCheck[]> {
  const shape = guessShape(language, right);
  const most = known?.length ?? mostMade;
  const inputs =
    known ?? (shape.length === 0 ? [""] : generateInputs(shape, limitsIn(language, right, shape), mostMade * 3));
  const made = new Map<string, ExerciseCheck>();
  for (const input of inputs) {
    if (made.size >= most) break;
    const ran = await runProgram(toolchains, runOfText({ language: language.id, fileName }, right, { input }));
    if (!ran.outcome?.finished) continue;
    const expected = consoleText(ran.outcome.console, ["out"]);
    // What prints the same once more tells nothing new, where nobody chose the inputs.
    if (!known && made.has(expected)) continue;
    const pieces = intendedOf(ran.outcome.console, right);
    made.set(known ? input : expected, { input, expected, pieces, kind: "normal", ignorePrompts: false, files: {} });
  }
  return [...made.values()];
}

/** Checks with what the right program gives where they say only what is typed in; such as it does not end with stay as they are. */
export async function withIntended(
  { toolchains }: Pick<Services, "toolchains">,
  language: Language,
  fileName: string,
  right: string,
  checks: readonly ExerciseCheck[],
): Promise<ExerciseCheck[]> {
  const filled: ExerciseCheck[] = [];
  for (const check of checks) {
    const run = runOfText({ language: language.id, fileName }, right, check);
    const ran = check.expected === null ? await runProgram(toolchains, run) : null;
    if (!ran?.outcome?.finished || ran.outcome.inputRanOut) {
      filled.push(check);
      continue;
    }
    const pieces = intendedOf(ran.outcome.console, right);
    filled.push({ ...check, expected: consoleText(ran.outcome.console, ["out"]), pieces });
  }
  return filled;
}
