import type { EditContext, Proposal } from "../edits/edit.ts";
import type { Language } from "../languages/language.ts";
import type { MessageKind } from "../reading/kinds.ts";
import type { FaultClass } from "../verdict/verdict.ts";
import type { Example } from "./example.ts";

/**
 * A small change that mends a program, or a part of one: the family of edits that made it, what stood there and stands there now (without
 * what both have at their ends), and the whole lines around it, from 1.
 */
export type Change = {
  family: string;
  before: string;
  after: string;
  lineBefore: string;
  lineAfter: string;
  line: number;
};

/** What a pattern is suggested by: what was judged of a program, and the likeliest change that mends it, first part first. */
export type Evidence = {
  language: Language;
  program: string;
  class: FaultClass | null;
  /** The primary message, by its kind and as the tool said it. */
  message: { kind: MessageKind | null; text: string; line: number | null } | null;
  changes: readonly Change[];
  symptom: string;
  /** The lines of the program, the first at 0. */
  lines: readonly string[];
  /** Places that look like a mistake in the text, by the rule that found them, and the names that they are about; `rank`: the line's place among those that are looked at, from 0. */
  noticed: ReadonlyArray<{ id: string; line: number; why: string; names?: readonly string[]; rank: number | null }>;
  /** The lines that are looked at, the likeliest first. */
  suspected: readonly number[];
  /** What was to come out and what did, where both are known. */
  outputs: { intended: string; printed: string } | null;
};

/** A reason to suggest a pattern; of two the stronger one counts. */
export type Ground = { why: string; strength: number };

/** Gives the reason, or null where it does not hold. */
export type GroundRule = (evidence: Evidence) => Ground | null;

/**
 * A kind of mistake. `id` is never renamed; `name` and `says` are for teachers, `mends` is how it is mended, `cause` why it is made, `avoid` what
 * keeps one from it. `fault` false: it is none by itself.
 */
export type Pattern = {
  id: string;
  name: string;
  says: string;
  mends: string;
  cause: string;
  avoid: string;
  fault: boolean;
  grounds: readonly GroundRule[];
  examples: readonly Example[];
  /** Edits that make it, where none of the table of small edits does. */
  plants?: (context: EditContext) => Proposal[];
};
