import type { Language } from "../languages/language.ts";
import type { Token } from "../languages/token.ts";
import type { Diagnostic, Outcome } from "../outcome/outcome.ts";
import type { Trace } from "../trace/trace.ts";
import type { Verdict } from "../verdict/verdict.ts";

/**
 * A suspected line (1-based; of the main file where no other is named) with the reason; `weight` orders leads, the
 * heaviest first.
 */
export type Lead = { file?: string; line: number; why: string; weight: number };

/** The weight of what comes before the line that a translator reports. */
export const beforeReported = 112;

/** Said of a lead below the reported line, since the rule is often taught as holding always. */
export const ruleDoesNotHold =
  "The rule that a fault lies on the reported line or above it does not hold here: this line is below.";

/**
 * What a rule may look at. `text` are the lines of `program`; `codeLines` are the tokens of each line without comments; lines
 * without any are blank or comment.
 */
export type LeadContext = {
  language: Language;
  program: string;
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
