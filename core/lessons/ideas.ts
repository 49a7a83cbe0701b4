import type { ExerciseContent } from "../exercises/exercise.ts";
import { patternOfFault } from "../patterns/patternOfFault.ts";
import type { FaultClass } from "../verdict/verdict.ts";

/**
 * Something that teachers like to put into a picture of their own, and beside which explanations their words stand: those of
 * classes of error, and those of kinds of mistake (core/patterns).
 */
export type Idea = { id: string; title: string; classes: readonly FaultClass[]; patterns: readonly string[] };

/** Every idea that has a place for a teacher's words; a new one is one entry here. */
export const ideas: readonly Idea[] = [
  { id: "noticed", title: "Where it began, and where it was noticed", classes: ["syntax"], patterns: [] },
  { id: "grammar", title: "A language has a grammar, as sentences have", classes: ["syntax"], patterns: [] },
  { id: "order", title: "An order that cannot be carried out", classes: ["runtime"], patterns: [] },
  { id: "meant", title: "What was said, and what was meant", classes: ["logic"], patterns: [] },
  {
    ...{ id: "joining", title: "Words that join: and, or, not", classes: [] },
    patterns: ["and-or-mixed-up", "and-or-without-brackets", "condition-always-true"],
  },
  {
    ...{ id: "limits", title: "Up to, and including", classes: [] },
    patterns: ["limit-off-by-one", "slice-off-by-one", "index-past-end", "comparison-operator-wrong"],
  },
  {
    ...{ id: "object", title: "Talking to an object", classes: [] },
    patterns: ["member-misspelt", "call-brackets-missing", "empty-reference-used", "reference-perhaps-empty"],
  },
  { id: "searching", title: "Looking for mistakes", classes: ["syntax", "runtime", "logic"], patterns: [] },
];

/** The words of a teacher that stand beside the explanation of a class, in the order of the ideas. */
export function wordsBeside(
  words: ReadonlyMap<string, string>,
  about: { class: FaultClass } | { pattern: string },
): Array<{ title: string; words: string }> {
  return ideas.flatMap((idea) => {
    const fits = "class" in about ? idea.classes.includes(about.class) : idea.patterns.includes(about.pattern);
    const own = words.get(idea.id) ?? "";
    return fits && own !== "" ? [{ title: idea.title, words: own }] : [];
  });
}

/**
 * The words that stand beside a class where it was met in exercises: those of the class, and those of the kinds of mistake
 * that its faults there are, each once.
 */
export function wordsWhereMet(
  words: ReadonlyMap<string, string>,
  of: FaultClass,
  exercises: ReadonlyArray<{ content: Pick<ExerciseContent, "language" | "program" | "faults"> }>,
): Array<{ title: string; words: string }> {
  if (words.size === 0) return [];
  const kinds = exercises.flatMap(({ content }) =>
    content.faults.filter((fault) => fault.class === of).flatMap((fault) => patternOfFault(content, fault)?.id ?? []),
  );
  const all = [
    ...wordsBeside(words, { class: of }),
    ...[...new Set(kinds)].flatMap((pattern) => wordsBeside(words, { pattern })),
  ];
  return all.filter(({ title }, at) => all.findIndex((each) => each.title === title) === at);
}
