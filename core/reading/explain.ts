import type { Explanation } from "../languages/explanation.ts";
import type { Language } from "../languages/language.ts";
import type { Diagnostic } from "../outcome/outcome.ts";
import { type MessageKind, messageKinds, type WordRole } from "./kinds.ts";

/** A word in a message that comes from the program. */
export type MessageWord = { text: string; role: WordRole };

/** What a message means, filled with the program's own words. */
export type MessageMeaning = {
  kind: MessageKind;
  kindWords: string;
  words: MessageWord[];
  says: string;
  usually?: string;
  unsaid?: string;
  misleads?: string;
};

/** The text that explanations are matched against; long ones are cut, so that no pattern has much to do. */
function textOf(diagnostic: Diagnostic): string {
  return `${diagnostic.errorName ?? diagnostic.code ?? ""}: ${diagnostic.message}`.slice(0, 1000);
}

function fill(words: string, match: RegExpExecArray): string {
  return words.replace(/\$(\d)/g, (_, number: string) => match[Number(number)] ?? "");
}

/** What the language's table says of a message, or null where it says nothing: never a guess. */
export function explain(language: Language, diagnostic: Diagnostic): MessageMeaning | null {
  const text = textOf(diagnostic);
  for (const explanation of language.explanations) {
    const match = explanation.pattern.exec(text);
    if (match) return filled(explanation, match);
  }
  return null;
}

function filled(explanation: Explanation, match: RegExpExecArray): MessageMeaning {
  const { kind, says, usually, unsaid, misleads } = explanation;
  const words = (explanation.words ?? []).flatMap((role, index): MessageWord[] => {
    const text = match[index + 1]?.trim();
    return text ? [{ text, role }] : [];
  });
  return {
    kind,
    kindWords: messageKinds[kind],
    words,
    says: fill(says, match),
    ...(usually ? { usually: fill(usually, match) } : {}),
    ...(unsaid ? { unsaid: fill(unsaid, match) } : {}),
    ...(misleads ? { misleads: fill(misleads, match) } : {}),
  };
}
