import { editContext } from "../edits/context.ts";
import { beforeReported, type LeadRule } from "./lead.ts";
import { foundInRefused, foundMistakes } from "./mistakes/found.ts";

/** The weight from which on a mistake is hardly ever meant. */
const sure = 96;

/** Kinds of mistake that show in the text of a program that starts: leads, whatever its translator says of them. */
export const mistakesInText: LeadRule = ({ verdict, language, program }) => {
  if (verdict.class === "runtime" && verdict.reportedFile !== null) return [];
  const context = editContext(language, program);
  if (!context) return [];
  // What is refused says itself where; only what makes another text of the program comes before that.
  if (verdict.class === "syntax")
    return foundInRefused(context).map(({ line, why }) => ({ line, why, weight: beforeReported }));
  // A stop names its line itself; what shows in the text comes close behind, or before it where it is quite sure.
  const weightOf = (weight: number) =>
    verdict.class !== "runtime" ? weight : weight >= sure ? weight + 10 : weight - 4;
  return foundMistakes(context).map(({ line, why, weight }) => ({ line, why, weight: weightOf(weight) }));
};
