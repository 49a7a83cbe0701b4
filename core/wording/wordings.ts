import * as z from "zod";
import type { FaultClass } from "../verdict/verdict.ts";
import type { Chosen } from "./choices.ts";

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
  /** What the course chose where courses differ, and its own words for terms; absent: nothing. */
  chosen?: Chosen;
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

const ownSchema = z.object({
  base: z.string(),
  terms: z.record(z.string(), z.string()).default({}),
  choices: z.record(z.string(), z.string()).default({}),
});

/** What a course's wording was read as, since pages ask for the same one again and again. */
const known = new Map<string, Wording>();

/** The wording of a course: a set by its id, or one with the course's own words and choices as `writeWording` wrote them; else the plain one. */
export function findWording(written: string | null | undefined): Wording {
  if (!written?.startsWith("{")) return wordings.find((wording) => wording.id === written) ?? first;
  const found = known.get(written) ?? readOwn(written);
  if (known.size > 500) known.clear();
  known.set(written, found);
  return found;
}

function readOwn(written: string): Wording {
  try {
    const { base, terms, choices } = ownSchema.parse(JSON.parse(written));
    const set = findWording(base);
    const { syntax, runtime, logic, meaning, endless } = terms;
    return {
      ...set,
      labels: {
        syntax: syntax || set.labels.syntax,
        runtime: runtime || set.labels.runtime,
        logic: logic || set.labels.logic,
      },
      ...(meaning ? { kinds: { form: syntax || set.kinds?.form || set.labels.syntax, meaning } } : {}),
      endless: endless || set.endless,
      chosen: { terms, choices },
    };
  } catch {
    return first;
  }
}

/** A course's wording as it is kept: the id of a set, and beside it what the course says and chose, where it does. Empty words say nothing. */
export function writeWording(base: string, { terms, choices }: Chosen): string {
  const said = (all: Readonly<Record<string, string>>) =>
    Object.fromEntries(Object.entries(all).filter(([, value]) => value.trim() !== ""));
  const [own, chosen] = [said(terms), said(choices)];
  if (Object.keys(own).length === 0 && Object.keys(chosen).length === 0) return base;
  return JSON.stringify({ base, terms: own, choices: chosen });
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
