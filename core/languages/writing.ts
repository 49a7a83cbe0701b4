/** What is written around a value to make another kind of value of it. */
export type Conversion = { name: string; before: string; after: string };

/**
 * How a language writes what small edits put in and take out. Words that need a blank behind them bring it along
 * (`not `).
 */
export type Writing = {
  and: string;
  or: string;
  not: string;
  equal: string;
  unequal: string;
  assign: string;
  /** What stands around a block; `end` words alone where the header opens it. */
  blocks: { by: "indentation" } | { by: "braces" } | { by: "words"; open: string | null; close: string };
  /** What ends (or parts) statements; "" where the line does. */
  statementEnd: string;
  /** Operators that divide: a decimal result, a whole one, the rest; null where there is none. */
  divides: { decimal: string | null; whole: string | null; rest: string };
  /** Operators that are mistaken for one another beside `+ - * /`. */
  otherOperators: readonly (readonly string[])[];
  /** A statement that makes a variable larger or smaller by one. */
  step: (name: string, sign: "+" | "-") => string;
  /** Makes a number of a text, a decimal number of a whole one, a text of a number; the likeliest first. */
  conversions: readonly Conversion[];
  /** A statement that gives a value back; "" where a function gives its result in another way. */
  returns: (value: string) => string;
  /** How an equality of texts is written where the sign of equality compares something else. */
  equalTexts?: (one: string, other: string) => string;
  /** Types that are mistaken for one another. */
  types: readonly (readonly string[])[];
  /** Lines that make names of a library known, by a word of it. */
  inclusions: ReadonlyArray<{ words: ReadonlySet<string>; line: string }>;
  /** Names of functions that print, by what they are mistaken for. */
  printers: readonly (readonly string[])[];
};
