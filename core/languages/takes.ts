import type { SyntaxNode } from "../syntax/tree.ts";

/**
 * What a read takes of what is typed in: a whole line with its end; the next word, behind blanks and line ends; one sign; the rest
 * of the line without its end; or all that there is.
 */
export type Takes = "line" | "word" | "sign" | "rest" | "all";

/** A call that reads: the name that is called, and its piece of the program. */
export type ReadCall = { name: string; program: string; node: SyntaxNode };

/** What a call takes, in order: one for each thing that it reads. */
export type TakesOf = (call: ReadCall) => Takes[];

/** Reads that take one thing each, by lists of their names; the others take a line. */
export function takesByName(names: Partial<Readonly<Record<Takes, string>>>): TakesOf {
  const kinds = Object.entries(names).map(([takes, words]) => [takes as Takes, new Set(words.split(" "))] as const);
  return ({ name }) => [kinds.find(([, known]) => known.has(name))?.[0] ?? "line"];
}
