import { generateInputs } from "../../core/assignments/generateInputs.ts";
import { guessShape } from "../../core/assignments/guessShape.ts";
import { intendedOf, textWithPrompts } from "../../core/assignments/intended.ts";
import { limitsIn } from "../../core/assignments/limitsIn.ts";
import { proposeDataChanges, withChangedData } from "../../core/exercises/dataChanges.ts";
import type { ExerciseContent, HiddenCheck } from "../../core/exercises/exercise.ts";
import type { Language } from "../../core/languages/language.ts";
import { consoleText, type Outcome } from "../../core/outcome/outcome.ts";
import { languageOf } from "../judge/judge.ts";
import { runInCompany, runProgram } from "../judge/run.ts";
import type { Services } from "../services.ts";
import { runOfText } from "./runForCheck.ts";

/** How many checks students never see, how many inputs and numbers are tried for them, and how many in one job. */
const most = 3;
const mostTried = 14;
const atOnce = 7;

type Content = Pick<ExerciseContent, "language" | "fileName" | "program" | "mended" | "faults" | "checks">;

/** A text that is run with an input; `data`: what was changed in its data. */
type Try = { text: string; input: string; data?: HiddenCheck["data"] };

/** The mended program with inputs that no check has. */
function otherInputs(language: Language, checks: Content["checks"], mended: string): Try[] {
  const shape = guessShape(language, mended);
  const known = new Set(checks.map((check) => check.input));
  return generateInputs(shape, limitsIn(language, mended, shape), mostTried).flatMap((input) =>
    known.has(input) ? [] : [{ text: mended, input }],
  );
}

/** The mended program with other numbers in its data, none of them in a faulty line. */
function otherData(language: Language, { program, faults }: Content, mended: string, input: string): Try[] {
  const faulty = new Set(
    faults.flatMap((fault) =>
      fault.hunks.flatMap((hunk) => hunk.before.map((_, index) => hunk.start + index)).concat(fault.faultyLines),
    ),
  );
  return proposeDataChanges(language, program, faulty, mostTried).flatMap((data) => {
    const text = withChangedData(language, mended, data);
    return text === null ? [] : [{ text, input, data }];
  });
}

/**
 * Checks by which what hides a fault is told from what mends it: other inputs, or, for a program that reads nothing, other
 * numbers in its data, each with what the mended program gives. None where it is not mended, or gives the same with all.
 */
export async function makeHiddenChecks(
  services: Pick<Services, "toolchains">,
  content: Content,
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
  const runAlone = async ({ text, input }: Try): Promise<Outcome | null> => {
    const ran = await runProgram(services.toolchains, runOfText(content, text, { input, files }));
    return ran.unknown === null ? ran.outcome : null;
  };

  /** One of what the mended program gives, where it ended by itself and gave something else than before. */
  const keep = ({ text, input, data }: Try, outcome: Outcome | null) => {
    if (!outcome?.finished || found.length >= most) return;
    const pieces = intendedOf(outcome.console, text);
    const output = consoleText(outcome.console, ["out"]);
    if (outputs.has(output) || outputs.has(textWithPrompts(pieces))) return;
    outputs.add(output);
    const given = { input, expected: textWithPrompts(pieces), pieces, ignorePrompts: false, files, ...rules };
    found.push({ ...given, kind: "normal", ...(data ? { data } : {}) });
  };

  const tries = reads
    ? otherInputs(language, content.checks, mended)
    : otherData(language, content, mended, first?.input ?? "");
  for (let at = 0; at < tries.length && found.length < most; at += atOnce) {
    const some = tries.slice(at, at + atOnce);
    const variants = some.map(({ text, input }) => ({ main: Buffer.from(text, "utf8"), input }));
    const together = await runInCompany(
      services.toolchains,
      runOfText(content, mended, { input: "", files }),
      variants,
    );
    for (const [index, each] of some.entries()) {
      if (found.length >= most) break;
      keep(each, together[index] ?? (await runAlone(each)));
    }
  }
  return found;
}
