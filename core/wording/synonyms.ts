import type { FaultClass } from "../verdict/verdict.ts";

/** Terms that teachers, books and courses use for one of the three classes, by class. */
export const classTerms: Readonly<Record<FaultClass, readonly string[]>> = {
  syntax: [
    ...[
      "syntax error",
      "syntactic error",
      "grammatical error",
      "grammar error",
      "compile-time error",
      "compile time error",
    ],
    ...["compilation error", "compile error", "compiler error", "parsing error", "parse error"],
  ],
  runtime: [
    ...["runtime error", "run-time error", "run time error", "exception", "execution error", "segmentation fault"],
    ...["segfault", "abnormal termination", "core dump", "crash"],
  ],
  logic: [
    ...["logic error", "logical error", "semantic error", "human error", "unexpected behaviour", "unexpected behavior"],
    ...["runtime logic error", "garbage output", "wrong result"],
  ],
};

const terms = Object.entries(classTerms)
  .flatMap(([of, words]) => words.map((term) => ({ of: of as FaultClass, term })))
  // The longest first: "runtime logic error" is no "logic error" with a word before it.
  .sort((one, other) => other.term.length - one.term.length);

/**
 * What is looked for by words that somebody typed: the classes that terms among them mean, and the words that are left, in small letters. A term in
 * quotes is a word like any other.
 */
export function meantBy(text: string): { classes: FaultClass[]; words: string[] } {
  const classes = new Set<FaultClass>();
  const quoted: string[] = [];
  let left = text.toLowerCase().replace(/"([^"]+)"/g, (_, words: string) => {
    quoted.push(words.trim());
    return " ";
  });
  for (const { of, term } of terms) {
    const form = new RegExp(`(^|\\s)${term.replace(/[- ]/g, "[- ]")}s?(?=\\s|$)`, "g");
    if (!form.test(left)) continue;
    left = left.replace(form, " ");
    classes.add(of);
  }
  // One case shows one class: of several terms none narrows more than the words do.
  const chosen = classes.size === 1 ? [...classes] : [];
  return { classes: chosen, words: [...quoted, ...left.split(/\s+/)].filter((word) => word !== "") };
}
