import type { Language } from "../languages/language.ts";
import { tokensByLine } from "../languages/lexical.ts";
import { wrongStep } from "../leads/firstWrongOutput.ts";
import { type Source, sliceBack } from "../leads/slice.ts";
import type { Outcome } from "../outcome/outcome.ts";
import type { Trace } from "../trace/trace.ts";
import { outputLine } from "../verdict/runEvidence.ts";
import type { FaultClass } from "../verdict/verdict.ts";

/** One line that is looked at on the way to a fault (1-based), and why just now. */
export type Look = { line: number; why: string };

/** A fault with what its run gave. `differs`: place of the first output that is not as intended (1-based), where there is one. */
export type Searched = {
  language: Language;
  program: string;
  fault: { class: FaultClass; reportedLine: number | null; faultyLines: readonly number[] };
  outcome?: Pick<Outcome, "console" | "stoppedBy">;
  differs?: { line: number; column: number } | null;
  trace?: Trace | null;
};

const here = "Here is the mistake.";

/** Up to how many lines above the named one are looked at one by one. */
const oneByOne = 3;

function because({ by, name }: Source): string {
  if (by === "returned") return "What it needs is given back here.";
  if (by === "call") return `“${name}” is called here, with the values that it needs.`;
  if (by === "decision") return "This decision let it run.";
  return `“${name}” got its value here.`;
}

/** The lines from a named one up to the faulty one, as one reads upwards; far away ones are gone to at once. */
function upwards(named: number, faulty: number, holds: (line: number) => boolean): Look[] {
  const between: number[] = [];
  for (let line = named - 1; line > faulty; line--) if (holds(line)) between.push(line);
  const steps = between.length < oneByOne ? between : [];
  const jump =
    between.length < oneByOne
      ? "The line above may not be finished, so that it is noticed only further down."
      : "What it belongs to begins here.";
  return [...steps.map((line) => ({ line, why: "Then the line above." })), { line: faulty, why: `${jump} ${here}` }];
}

/** Where looking begins while the program runs: where it stopped, or printed the first thing that differs, or goes round. */
function beginning({ fault, outcome, differs, trace }: Searched): (Look & { at: number }) | null {
  const steps = trace?.steps ?? [];
  const lastAt = (line: number) => steps.findLastIndex((step) => step.file === 0 && step.line === line);
  if (fault.class === "runtime") {
    const line = fault.reportedLine ?? steps.findLast((step) => step.file === 0)?.line;
    const why = fault.reportedLine === null ? "This line ran last." : "It stopped here: the message names this line.";
    return line === undefined ? null : { line, why, at: lastAt(line) };
  }
  if (outcome && outcome.stoppedBy !== "none") {
    const line = steps.findLast((step) => step.file === 0)?.line;
    return line === undefined ? null : { line, why: "It was still at this when it was stopped.", at: lastAt(line) };
  }
  const line = outcome && differs ? outputLine(outcome as Outcome, differs) : undefined;
  if (line === undefined || !differs) return null;
  return {
    line,
    why: "This line printed the first thing that is not as intended.",
    at: wrongStep(steps, differs, line),
  };
}

/** The sources between where looking began and a faulty line, the nearest first, with the faulty one at the end. */
function chainTo(sources: readonly Source[], from: number, faulty: readonly number[]): Source[] | null {
  const byLine = new Map(sources.map((source) => [source.line, source]));
  const goals = sources.filter(({ line }) => faulty.includes(line) && line !== from);
  const [goal] = goals.sort((one, other) => one.distance - other.distance);
  if (!goal) return null;
  const chain = [goal];
  // Each source was reached from a nearer one, so this comes to an end.
  for (let at: Source | undefined = byLine.get(goal.from); at && at.line !== from; at = byLine.get(at.from)) {
    if (at.distance >= (chain[0]?.distance ?? 0)) break;
    chain.unshift(at);
  }
  return chain;
}

/**
 * In which order one looks at lines until the fault is found: from the line that the message names, or that stopped, or that
 * printed the first wrong thing, back along where its values come from (see leads/slice.ts), to the faulty line, which is the
 * last. Each line is looked at once. Without a recording it goes from the first to the last at once.
 */
export function looksOf(searched: Searched): Look[] {
  const { fault, language, program, trace } = searched;
  const [faulty] = fault.faultyLines;
  if (faulty === undefined) return [];
  const lines = tokensByLine(language.tokens(program));
  if (fault.class === "syntax") {
    const named = fault.reportedLine;
    const first = { line: named ?? faulty, why: "The message names this line: here it was noticed." };
    if (named === null || fault.faultyLines.includes(named))
      return [{ line: named ?? faulty, why: named === null ? here : `${first.why} ${here}` }];
    if (named < faulty) return [first, { line: faulty, why: `What it should fit comes further down. ${here}` }];
    return [first, ...upwards(named, faulty, (line) => lines.has(line))];
  }
  const begun = beginning(searched);
  if (!begun) return [{ line: faulty, why: here }];
  if (fault.faultyLines.includes(begun.line)) return [{ line: begun.line, why: `${begun.why} ${here}` }];
  const blocks = new Map<number, readonly number[]>();
  const blockOf = (header: number) => {
    const known = blocks.get(header) ?? language.blockLines(program, header);
    blocks.set(header, known);
    return known;
  };
  const sources = trace && begun.at >= 0 ? sliceBack(trace, begun.at, language, lines, blockOf) : [];
  const chain = chainTo(sources, begun.line, fault.faultyLines);
  const first = { line: begun.line, why: begun.why };
  if (!chain)
    return [first, { line: faulty, why: `No value leads from there to this line: it is found by reading. ${here}` }];
  return [
    first,
    ...chain.map((source, at) => ({
      line: source.line,
      why: at === chain.length - 1 ? `${because(source)} ${here}` : because(source),
    })),
  ];
}
