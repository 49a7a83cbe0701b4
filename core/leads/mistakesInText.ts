import { editContext } from "../edits/context.ts";
import type { LeadRule } from "./lead.ts";
import { inRefused, mistakes } from "./mistakes/mistakes.ts";

/** The weight from which on a mistake is hardly ever meant. */
const sure = 96;

/** The weight of what comes before the line that a translator reports. */
const beforeReported = 112;

/** Kinds of mistake that show in the text of a program that starts: leads, whatever its translator says of them. */
export const mistakesInText: LeadRule = ({ verdict, language, text }) => {
  if (verdict.class === "runtime" && verdict.reportedFile !== null) return [];
  const context = editContext(language, text.join("\n"));
  if (!context) return [];
  // What is refused says itself where; only what makes another text of the program comes before that.
  if (verdict.class === "syntax")
    return inRefused.flatMap(({ find }) => find(context).map((place) => ({ ...place, weight: beforeReported })));
  // A stop names its line itself; what shows in the text comes close behind, or before it where it is quite sure.
  const weightOf = (weight: number) =>
    verdict.class !== "runtime" ? weight : weight >= sure ? weight + 10 : weight - 4;
  return mistakes.flatMap(({ find, weight }) => find(context).map((place) => ({ ...place, weight: weightOf(weight) })));
};
