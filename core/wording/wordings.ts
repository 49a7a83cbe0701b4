import type { FaultClass } from "../verdict/verdict.ts";

/**
 * The names that a course uses for what is stored as one of three classes and a kind. They change labels, never what is
 * stored.
 */
export type Wording = {
  id: string;
  /** What the set is called on the course's page. */
  words: string;
  labels: Readonly<Record<FaultClass, string>>;
  /** Narrower names by the kind of a refusal, where the set has them. */
  kinds?: Readonly<Record<"form" | "meaning", string>>;
  /** What a loop without end is called. */
  endless: string;
  /** What the set must say where its classes are fewer or otherwise cut than those that are stored. */
  note?: string;
};

/** Every wording set; a new one is one entry here. */
export const wordings: readonly Wording[] = [
  {
    id: "three",
    words: "syntax, runtime, logic",
    labels: { syntax: "syntax error", runtime: "runtime error", logic: "logic error" },
    endless: "a loop without end",
  },
  {
    id: "compile",
    words: "compile-time, runtime, logic",
    labels: { syntax: "compile-time error", runtime: "runtime error", logic: "logic error" },
    kinds: { form: "compile-time error (syntax)", meaning: "compile-time error" },
    endless: "an infinite loop",
  },
  {
    id: "syntactic",
    words: "syntactic, exception, logical",
    labels: { syntax: "syntactic error", runtime: "exception", logic: "logical error" },
    endless: "an endless loop",
    note: "A crash without an exception, as in C, counts as one here.",
  },
  {
    id: "semantic",
    words: "syntax, runtime, semantic",
    labels: { syntax: "syntax error", runtime: "runtime error", logic: "semantic error" },
    endless: "an infinite loop",
  },
  {
    id: "two",
    words: "two classes: syntax and logic",
    labels: { syntax: "syntax error", runtime: "logic error (it stops)", logic: "logic error" },
    endless: "an infinite loop",
    note: "What stops a program while it runs counts as logic here.",
  },
  {
    id: "semantic tree",
    words: "tree: syntax; semantic, with runtime and logic below it",
    labels: { syntax: "syntax error", runtime: "semantic error: runtime", logic: "semantic error: logic" },
    endless: "an infinite loop",
  },
  {
    id: "compile tree",
    words: "tree: compile-time, with syntax and other below it; runtime; logic",
    labels: { syntax: "compile-time error", runtime: "runtime error", logic: "logic error" },
    kinds: { form: "compile-time error: syntax", meaning: "compile-time error: other" },
    endless: "an infinite loop",
  },
];

const first: Wording = wordings[0] ?? {
  id: "three",
  words: "",
  labels: { syntax: "syntax error", runtime: "runtime error", logic: "logic error" },
  endless: "",
};

/** The wording set with the given id, else the plain one. */
export function findWording(id: string | null | undefined): Wording {
  return wordings.find((wording) => wording.id === id) ?? first;
}

/** What a class, with its kind where it has one, is called. */
export function className(wording: Wording, of: FaultClass, kind?: "form" | "meaning" | null): string {
  return (kind && of === "syntax" ? wording.kinds?.[kind] : undefined) ?? wording.labels[of];
}

const plainNames = /\b(an? )?(syntax|runtime|logic) error(s?)\b/gi;

/**
 * A sentence of ours with the course's names for the classes in place of the plain ones. Never for what a person wrote.
 */
export function inCourseWords(wording: Wording, text: string): string {
  return text.replace(plainNames, (_, article: string | undefined, of: string, many: string) => {
    const label = wording.labels[of.toLowerCase() as FaultClass];
    const named = /^[A-Z]/.test(of) ? `${label[0]?.toUpperCase() ?? ""}${label.slice(1)}` : label;
    if (many !== "") return named.includes("error") ? named.replace("error", "errors") : `${named}s`;
    if (article === undefined) return named;
    return `${article[0]}${/^[aeiou]/i.test(named) ? "n" : ""} ${named}`;
  });
}
