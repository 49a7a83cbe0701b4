import type { Language, Token } from "../languages/language.ts";
import { tokensByLine } from "../languages/lexical.ts";
import type { Diagnostic, Outcome } from "../outcome/outcome.ts";
import { lineTexts } from "../source/lines.ts";
import type { Trace } from "../trace/trace.ts";
import type { Verdict } from "../verdict/verdict.ts";
import { arrowToken } from "./arrowToken.ts";
import { callers } from "./callers.ts";
import { changedSince } from "./changedSince.ts";
import { definitions } from "./definitions.ts";
import { endlessLoop } from "./endlessLoop.ts";
import { firstWrongOutput } from "./firstWrongOutput.ts";
import { foundPlace } from "./foundPlace.ts";
import { indentation } from "./indentation.ts";
import { lineAbove } from "./lineAbove.ts";
import { reportedLine } from "./reportedLine.ts";
import { siblings } from "./siblings.ts";
import { similarNames } from "./similarNames.ts";
import { unpairedSigns } from "./unpairedSigns.ts";
import { warnings } from "./warnings.ts";

/** A suspected line (1-based) with the reason; `weight` orders leads, the heaviest first. */
export type Lead = { line: number; why: string; weight: number };

/** What a rule may look at. `codeLines` are the tokens of each line without comments; lines without any are blank or comment. */
export type LeadContext = {
  language: Language;
  text: readonly string[];
  tokens: readonly Token[];
  codeLines: ReadonlyMap<number, readonly Token[]>;
  verdict: Verdict;
  outcome?: Outcome;
  trace?: Trace;
  /** Text of the last version that worked, if one is known. */
  working?: string;
  /** Warnings of the translator about this text. */
  warned: readonly Diagnostic[];
};

/** A rule that finds leads of one kind. */
export type LeadRule = (context: LeadContext) => Lead[];

/** Every rule; a new one is one file and one line here. */
const rules: readonly LeadRule[] = [
  changedSince,
  reportedLine,
  unpairedSigns,
  indentation,
  arrowToken,
  lineAbove,
  siblings,
  similarNames,
  definitions,
  callers,
  firstWrongOutput,
  warnings,
  endlessLoop,
  foundPlace,
];

/** The suspected lines of a program in ranked order, one entry a line with all its reasons, at most `limit`. */
export function findLeads(
  observed: { language: Language; program: string; verdict: Verdict; outcome?: Outcome; trace?: Trace; working?: string; warned?: readonly Diagnostic[] },
  limit = 8,
): Lead[] {
  if (observed.verdict.class === null && observed.working === undefined) return [];
  const tokens = observed.language.tokens(observed.program);
  const codeLines = tokensByLine(tokens);
  const context: LeadContext = { ...observed, text: lineTexts(observed.program), tokens, codeLines, warned: observed.warned ?? [] };
  const byLine = new Map<number, Lead>();
  for (const lead of rules.flatMap((rule) => rule(context))) {
    const known = byLine.get(lead.line);
    if (!known) byLine.set(lead.line, { ...lead });
    else if (!known.why.includes(lead.why))
      byLine.set(lead.line, {
        line: lead.line,
        why: lead.weight > known.weight ? `${lead.why} ${known.why}` : `${known.why} ${lead.why}`,
        weight: Math.max(known.weight, lead.weight) + 5,
      });
  }
  return [...byLine.values()].sort((one, other) => other.weight - one.weight || one.line - other.line).slice(0, limit);
}
