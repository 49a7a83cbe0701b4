import type { Token } from "../languages/token.ts";
import { outputLine } from "../verdict/runEvidence.ts";
import type { Lead, LeadRule } from "./lead.ts";
import { lineKind } from "./lineKind.ts";
import { numbersOf } from "./signs.ts";
import { type Source, sliceBack } from "./slice.ts";

/** What a lead weighs that is one step back along the values, and what each further step takes. */
const nearest = 80;
const eachStep = 4;

function words({ by, name }: Source, printed: number): string {
  if (by === "returned") return "What this line gives back goes into the wrong output.";
  if (by === "call") return `The call of “${name}” with the values that go into the wrong output.`;
  if (by === "decision") return "A decision that let the lines run from which the wrong output comes.";
  return `“${name}”, from which the wrong output of line ${printed} comes, got its value here.`;
}

/**
 * For a wrong result: the lines that the first wrong output comes from, back along its values and the decisions that let
 * them be made, and decisions taken since the last right output; the line that printed it comes behind them, but before them
 * where it works something out itself.
 */
export const firstWrongOutput: LeadRule = ({ verdict, outcome, trace, language, codeLines, text }) => {
  if (verdict.class !== "logic" || !outcome || !verdict.comparison || verdict.comparison.same) return [];
  const printed = outputLine(outcome, verdict.comparison);
  if (printed === undefined) return [];
  // A text that names what it prints was hardly given its values in the wrong order.
  const isTurned = isInOtherOrder(verdict.comparison) && !namesItsValues(codeLines.get(printed) ?? []);
  const kindOf = (line: number) => lineKind(language, codeLines.get(line) ?? []);
  const leads: Lead[] = [
    {
      line: printed,
      why: isTurned
        ? "This line printed the first output that differs: the intended values, in another order."
        : "This line printed the first output that differs.",
      weight: nearest - 6 + kindOf(printed) / 2 + (isTurned ? 20 : 0),
    },
  ];
  if (!trace) return leads;
  const blocks = new Map<number, readonly number[]>();
  const program = text.join("\n");
  const blockOf = (header: number) => {
    const known = blocks.get(header) ?? language.blockLines(program, header);
    blocks.set(header, known);
    return known;
  };
  const at = wrongStep(trace.steps, verdict.comparison, printed);
  const sources = at < 0 ? [] : sliceBack(trace, at, language, codeLines, blockOf);
  for (const source of sources) {
    if (source.line === printed) continue;
    const weight = nearest - source.distance * eachStep + kindOf(source.line) + (source.by === "decision" ? -4 : 0);
    leads.push({ line: source.line, why: words(source, printed), weight });
  }
  // Decisions on the way to the wrong output: one that went the wrong way leaves no value behind.
  const until = at < 0 ? trace.steps.length : at;
  const since = trace.steps.slice(0, until).findLastIndex((step) => step.out !== undefined);
  const before = new Set(trace.steps.slice(0, until).map((step) => step.line));
  const recent = new Set(trace.steps.slice(Math.max(0, since), until).map((step) => step.line));
  for (const [line, tokens] of codeLines) {
    const decides = tokens
      .slice(0, 3)
      .some((token) => token.kind === "keyword" && language.decisionWords.has(token.text.toLowerCase()));
    if (!decides || !before.has(line) || sources.some((source) => source.line === line)) continue;
    leads.push({ line, why: "A decision taken on the way to the wrong output.", weight: recent.has(line) ? 70 : 58 });
  }
  return leads;
};

/** True for a line of which a text holds a name that stands on it as well. */
function namesItsValues(tokens: readonly Token[]): boolean {
  const texts = tokens.flatMap(({ kind, text }) => (kind === "text" ? [text.toLowerCase()] : [])).join(" ");
  return tokens.some(({ kind, text }) => kind === "name" && text.length > 2 && texts.includes(text.toLowerCase()));
}

/** True where the numbers of a wrong line are those of the intended one, however they are written, in another order. */
function isInOtherOrder({ intended, actual }: { intended: string | null; actual: string | null }): boolean {
  const [wanted, got] = [intended, actual].map((line) => numbersOf(line ?? ""));
  if (!wanted || !got || wanted.length < 2 || wanted.length !== got.length) return false;
  const isSame = wanted.every((each, at) => each === got[at]);
  const sorted = (numbers: readonly number[]) => [...numbers].sort((one, other) => one - other).join(" ");
  return !isSame && sorted(wanted) === sorted(got);
}

type Steps = Parameters<typeof sliceBack>[0]["steps"];

/** The recorded step that printed the first output that differs: by its place in what is printed, else the last that the line has. */
export function wrongStep(steps: Steps, place: { line: number; column: number }, printed: number): number {
  // Text before the place counted in line ends, over the recorded steps.
  let seen = 1;
  for (const [index, step] of steps.entries()) {
    if (step.out === undefined) continue;
    const ends = step.out.split("\n").length - 1;
    if (
      step.line === printed &&
      (seen + ends > place.line || (seen === place.line && ends >= 0 && step.out.length > 0))
    )
      return index;
    seen += ends;
  }
  return steps.findLastIndex((step) => step.line === printed && step.out !== undefined);
}
