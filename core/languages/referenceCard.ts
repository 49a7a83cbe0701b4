/** A rule that beginners look up: what it is about, how it is in the language, and the kind of mistake that is made of it (its id). */
export type CardRow = { about: string; rule: string; pattern?: string };

/** A routine of the library that beginners use: how it is called, with its values in their order, and what it does, in our own words. */
export type Routine = { name: string; call: string; does: string };

/** The reference card of a language. */
export type ReferenceCard = { rows: readonly CardRow[]; routines: readonly Routine[] };

/** Routines from lines `call | does`; the name is what stands before the bracket, without what stands before its last point. */
export function routines(lines: string): Routine[] {
  return lines
    .trim()
    .split("\n")
    .map((line) => {
      const [call = "", does = ""] = line.split("|").map((part) => part.trim());
      const name = /([A-Za-z_]\w*)\s*(?:\(|$)/.exec(call.replace(/<[^>]*>/g, ""))?.[1] ?? call;
      return { name, call, does };
    });
}

/** Rows from lines `about | rule | pattern`; the pattern may be left out. */
export function rows(lines: string): CardRow[] {
  return lines
    .trim()
    .split("\n")
    .map((line) => {
      const [about = "", rule = "", pattern] = line.split(" | ").map((part) => part.trim());
      return { about, rule, ...(pattern ? { pattern } : {}) };
    });
}

/** And, or and not: the same in every language. */
export const truthTable: ReadonlyArray<readonly [one: boolean, other: boolean, and: boolean, or: boolean]> = [
  [true, true, true, true],
  [true, false, false, true],
  [false, true, false, true],
  [false, false, false, false],
];
