import type { EditContext } from "../../edits/edit.ts";

/** A place where a kind of mistake may be: a 1-based line, why it looks so, as a sentence, and the names that it is about. */
export type MistakePlace = { line: number; why: string; names?: readonly string[] };

/**
 * A kind of mistake that shows in the text of a program alone. Such a place is a lead and never a verdict: it may be meant.
 * `weight` as of a lead. Each example is a program in which it is found on that line.
 */
export type Mistake = {
  id: string;
  weight: number;
  find: (context: EditContext) => MistakePlace[];
  examples: ReadonlyArray<{ language: string; text: string; line: number }>;
};
