import { generateInputs } from "../../core/assignments/generateInputs.ts";
import { guessShape } from "../../core/assignments/guessShape.ts";
import { intendedOf, textWithPrompts } from "../../core/assignments/intended.ts";
import { limitsIn } from "../../core/assignments/limitsIn.ts";
import { proposeDataChanges, withChangedData } from "../../core/exercises/dataChanges.ts";
import type { ExerciseContent, HiddenCheck } from "../../core/exercises/exercise.ts";
import { consoleText } from "../../core/outcome/outcome.ts";
import { languageOf } from "../judge/judge.ts";
import { runProgram } from "../judge/run.ts";
import type { Services } from "../services.ts";
import { runOfText } from "./runForCheck.ts";

/** How many checks students never see, and how many inputs and numbers are tried for them. */
const most = 3;
const mostTried = 14;

/**
 * Checks by which what hides a fault is told from what mends it: other inputs, or, for a program that reads nothing, other
 * numbers in its data, each with what the mended program gives. None where it is not mended, or gives the same with all.
 */
export async function makeHiddenChecks(
  services: Pick<Services, "toolchains">,
  content: Pick<ExerciseContent, "language" | "fileName" | "program" | "mended" | "faults" | "checks">,
): Promise<HiddenCheck[]> {
  const { mended } = content;
  if (mended === null) return [];
  const language = languageOf(content);
  const [first] = content.checks;
  const files = first?.files ?? {};
  const rules = first?.comparison ? { comparison: first.comparison } : {};
  const reads = content.checks.some((check) => check.input !== "");
  const found: HiddenCheck[] = [];
  const outputs = new Set(content.checks.map((check) => check.expected ?? ""));

  /** What the mended program gives, where it ends by itself and gives something else than before. */
  const give = async (text: string, input: string): Promise<HiddenCheck | null> => {
    const ran = await runProgram(services.toolchains, runOfText(content, text, { input, files }));
    if (ran.unknown !== null || !ran.outcome?.finished) return null;
    const pieces = intendedOf(ran.outcome.console, text);
    const output = consoleText(ran.outcome.console, ["out"]);
    if (outputs.has(output) || outputs.has(textWithPrompts(pieces))) return null;
    outputs.add(output);
    return { input, expected: textWithPrompts(pieces), pieces, kind: "normal", ignorePrompts: false, files, ...rules };
  };

  if (reads) {
    const shape = guessShape(language, mended);
    const known = new Set(content.checks.map((check) => check.input));
    const inputs = generateInputs(shape, limitsIn(language, mended, shape), mostTried).filter(
      (each) => !known.has(each),
    );
    for (const input of inputs) {
      if (found.length >= most) break;
      const check = await give(mended, input);
      if (check) found.push(check);
    }
    return found;
  }
  const faulty = new Set(
    content.faults.flatMap((fault) =>
      fault.hunks.flatMap((hunk) => hunk.before.map((_, index) => hunk.start + index)).concat(fault.faultyLines),
    ),
  );
  for (const data of proposeDataChanges(language, content.program, faulty, mostTried)) {
    if (found.length >= most) break;
    const text = withChangedData(language, mended, data);
    const check = text === null ? null : await give(text, first?.input ?? "");
    if (check) found.push({ ...check, data });
  }
  return found;
}
