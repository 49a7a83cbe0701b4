import { editContext } from "../edits/context.ts";
import type { LeadRule } from "./lead.ts";
import { mistakes } from "./mistakes/mistakes.ts";

/** The weight from which on a mistake is hardly ever meant. */
const sure = 96;

/** Kinds of mistake that show in the text of a program that starts: leads, whatever its translator says of them. */
export const mistakesInText: LeadRule = ({ verdict, language, text }) => {
  if (verdict.class === "syntax" || (verdict.class === "runtime" && verdict.reportedFile !== null)) return [];
  const context = editContext(language, text.join("\n"));
  if (!context) return [];
  // A stop names its line itself; what shows in the text comes close behind, or before it where it is quite sure.
  const weightOf = (weight: number) =>
    verdict.class !== "runtime" ? weight : weight >= sure ? weight + 10 : weight - 4;
  return mistakes.flatMap(({ find, weight }) => find(context).map((place) => ({ ...place, weight: weightOf(weight) })));
};
