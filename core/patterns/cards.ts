import type { Pattern } from "./pattern.ts";

/** A card for students: what the mistake is and how it is mended; the long one says as well why it is made and what keeps one from it. */
export type PatternCard = { title: string; short: string[]; long: string[] };

/** What a card is made of: of a pattern that ships, or of one of a teacher's own, which may say less. */
type OnCard = Pick<Pattern, "name" | "says" | "mends"> & Partial<Pick<Pattern, "cause" | "avoid">>;

/** The card of a kind of mistake, in two lengths. */
export function cardOf({ name, says, mends, cause, avoid }: OnCard): PatternCard {
  const present = (...lines: Array<string | undefined>) => lines.filter((line): line is string => Boolean(line));
  return { title: name, short: present(says, mends), long: present(says, cause, mends, avoid) };
}

/** How an example shows in a tool, in a few words: the same mistake is refused here, stops there and is silent elsewhere. */
export function howItShows(record: {
  class: "syntax" | "runtime" | "logic" | null;
  kind: string | null;
  symptom: string;
}): string {
  if (record.class === null) return "nothing shows";
  if (record.class === "syntax") return record.kind === "meaning" ? "refused (not its grammar)" : "refused";
  if (record.class === "runtime") return "stops while running";
  return /end/.test(record.symptom) ? "does not end" : "silent: a wrong result";
}
