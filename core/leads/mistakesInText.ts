import { editContext } from "../edits/context.ts";
import type { LeadRule } from "./lead.ts";
import { mistakes } from "./mistakes/mistakes.ts";

/** Kinds of mistake that show in the text of a program that starts: leads, whatever its translator says of them. */
export const mistakesInText: LeadRule = ({ verdict, language, text }) => {
  if (verdict.class === "syntax" || (verdict.class === "runtime" && verdict.reportedFile !== null)) return [];
  const context = editContext(language, text.join("\n"));
  if (!context) return [];
  return mistakes.flatMap(({ find, weight }) =>
    // A stop names its line itself; what shows in the text comes close behind, unless it is quite sure.
    find(context).map((place) => ({ ...place, weight: verdict.class === "runtime" ? weight - 4 : weight })),
  );
};
