import type { Language } from "../languages/language.ts";
import type { Writing } from "../languages/writing.ts";
import type { PlacedToken } from "../syntax/placed.ts";
import type { SyntaxNode } from "../syntax/tree.ts";

/**
 * A small change of a program: what stands from `from` to before `to` (UTF-16 offsets) becomes `text`. `odds`: how likely
 * it is beside others of its family (1 is usual). `parameters` say what it is about, for sentences.
 */
export type Edit = {
  family: string;
  file?: string;
  from: number;
  to: number;
  text: string;
  parameters: Readonly<Record<string, string>>;
  odds: number;
  /** Where what it is about stands, if elsewhere: the header of the loop to which something is added (an offset). */
  about?: number;
};

/** An edit before its family is written on it. */
export type Proposal = Omit<Edit, "family" | "file">;

/** A node with those around it, the nearest last. */
export type Placed = { node: SyntaxNode; around: readonly SyntaxNode[] };

/** A line with its place; `indent` is its blanks at the beginning, `code` its tokens without comments. */
export type EditLine = {
  number: number;
  from: number;
  to: number;
  text: string;
  indent: string;
  code: readonly PlacedToken[];
};

/** What a family looks at. `names` are those of variables and parameters, `functions` those that the program defines. */
export type EditContext = {
  language: Language;
  writing: Writing;
  text: string;
  code: readonly PlacedToken[];
  tree: SyntaxNode;
  nodes: readonly Placed[];
  lines: readonly EditLine[];
  names: readonly string[];
  functions: readonly string[];
  lineOf: (offset: number) => number;
  sourceOf: (node: { from: number; to: number }) => string;
  /** Texts that a literal may have been meant to be: names of files beside the program, lines of the intended output, what is typed in. */
  meantTexts: readonly string[];
};

/** A pair of programs that differ by one edit of a family, in one language. */
export type EditExample = { language: string; right: string; faulty: string };

/**
 * A family of slips: `mends` proposes edits that may undo one, `plants` edits that make one. `weight`: how often such a
 * slip is the fault of a program that is refused, and which of two families an edit belongs to that both propose (by rough
 * counts of students' programs; only their order matters; of programs that start: core/fixes/shares.ts). `reads`: "tree" where it needs a
 * program whose form is right, "text" where it serves programs that are refused, too.
 */
export type EditFamily = {
  id: string;
  /** The slip in words, as the end of "this is about ...". */
  says: string;
  weight: number;
  reads: "tree" | "text" | "both";
  /** What is left of its weight in a program that starts, where names have to be declared: what was read is no slip. */
  onceRead?: number;
  mends: (context: EditContext) => Proposal[];
  plants: (context: EditContext) => Proposal[];
  examples: readonly EditExample[];
};

/** Replaces a place by a text. */
export function change(
  place: { from: number; to: number },
  text: string,
  parameters: Readonly<Record<string, string>> = {},
  odds = 1,
): Proposal {
  return { from: place.from, to: place.to, text, parameters, odds };
}

/** Puts a text in before an offset. */
export function insert(
  at: number,
  text: string,
  parameters: Readonly<Record<string, string>> = {},
  odds = 1,
): Proposal {
  return { from: at, to: at, text, parameters, odds };
}

/** The text after an edit. */
export function applyEdit(text: string, edit: Pick<Edit, "from" | "to" | "text">): string {
  return text.slice(0, edit.from) + edit.text + text.slice(edit.to);
}

/** The edit that undoes another one on the text that it made. */
export function invertEdit(text: string, edit: Pick<Edit, "from" | "to" | "text">): Pick<Edit, "from" | "to" | "text"> {
  return { from: edit.from, to: edit.from + edit.text.length, text: text.slice(edit.from, edit.to) };
}
