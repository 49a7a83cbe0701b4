import type { Language } from "../languages/language.ts";
import type { FaultClass } from "./verdict.ts";

/** The name of the error that a message begins with ("NameError: name 'x'"), "" where it begins with words. */
function errorOf(message: string): string {
  return /^([\w.]+)(?=:|$)/.exec(message)?.[1] ?? "";
}

/** A class that a person gave, beside the one that the evidence gives. */
export type Opinions = {
  language: Pick<Language, "name" | "namesCheckedAt">;
  /** Null where there is none to speak of. */
  decided: FaultClass | null;
  suggested: FaultClass | null;
  /** What the tool or the run said, "" where it said nothing. */
  message: string;
};

/**
 * Why the evidence says another class than a person, in a sentence or two that say what would make each of them right.
 * Nothing is overwritten by it. Null where they agree.
 */
export function secondOpinion({ language, decided, suggested, message }: Opinions): string | null {
  if (decided === null || suggested === null || decided === suggested) return null;
  const error = errorOf(message);
  const named = error ? `${error} ` : "It ";
  if (suggested === "runtime" && decided === "syntax")
    return language.namesCheckedAt === "translation"
      ? `${named}came while the program ran: ${language.name} had accepted the whole text, and lines before it did their work. A syntax error would have been refused before that.`
      : `${named}came when its line was reached: ${language.name} looks names and types up then, and lines before it did run. In a language that is translated as a whole the same slip would be refused, and be a syntax error there.`;
  if (suggested === "runtime" && decided === "logic")
    return "The run was stopped. What causes it may well be a slip of the thinking: that is its cause, and can be kept beside the class, which says how it shows.";
  if (suggested === "logic" && decided === "syntax")
    return "The text was accepted and ran to its end. A name in quotes or another operator may be a slip of the pen, but what it shows is a wrong result.";
  if (suggested === "logic" && decided === "runtime")
    return "Nothing stopped the run: it came to its end, and its result is another than intended.";
  if (suggested === "syntax" && decided === "runtime")
    return "It was refused before any line ran, so no error can have come while it ran. What ran once before was another text.";
  return "It was refused before any line ran. Whether its result would be right is only seen when it starts; mend this first, and what else is wrong shows as the next layer.";
}
