import type { Explanation } from "../languages/explanation.ts";
import type { Language } from "../languages/language.ts";
import type { Diagnostic } from "../outcome/outcome.ts";
import { escaped } from "../source/escaped.ts";
import { areSimilar } from "../source/spelling.ts";
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

type Filler = (words: string) => string;

function filler(match: RegExpExecArray, onLine: RegExpExecArray | null): Filler {
  return (words) =>
    words.replace(
      /([$%])(\d)/g,
      (_, of: string, number: string) => (of === "$" ? match : onLine)?.[Number(number)] ?? "",
    );
}

/** The first match of a pattern on a line; where it has a group `same`, the first whose group is the given word. */
function matchOnLine(pattern: RegExp, line: string, word: string): RegExpExecArray | null {
  for (const match of line.matchAll(new RegExp(pattern, `${pattern.flags}g`))) {
    const same = match.groups?.same;
    if (same === undefined || same.toLowerCase() === word.toLowerCase()) return match;
  }
  return null;
}

/**
 * What the language's table says of a message, or null where it says nothing: never a guess. `lines` are those of
 * the file that the message names; with them what stands on the line can tell apart what the tool says alike.
 */
export function explain(language: Language, diagnostic: Diagnostic, lines?: readonly string[]): MessageMeaning | null {
  const text = textOf(diagnostic);
  const line = (diagnostic.line === undefined ? undefined : lines?.[diagnostic.line - 1]) ?? diagnostic.excerpt;
  for (const explanation of language.explanations) {
    const match = explanation.pattern.exec(text);
    if (!match) continue;
    const onLine = explanation.line ? matchOnLine(explanation.line, (line ?? "").slice(0, 1000), match[1] ?? "") : null;
    if (explanation.line && !onLine) continue;
    const meaning = filled(explanation, match, filler(match, onLine));
    return explanation.line ? meaning : (misspelt(language, diagnostic, meaning, lines) ?? meaning);
  }
  return null;
}

/** Kinds of message by which a misspelt word of the language shows, since it is read as a name. */
const readAsName: ReadonlySet<MessageKind> = new Set([
  ...(["sign missing", "word misplaced", "unknown name", "block not closed"] as const),
]);
/** How many lines above the named one are looked at: an end that closes nothing is met at the end of its block. */
const linesAbove = 12;

/** The meaning where a line at or above the named one begins with a word that looks like one of the language's. */
function misspelt(
  language: Language,
  diagnostic: Diagnostic,
  meaning: MessageMeaning,
  lines: readonly string[] | undefined,
): MessageMeaning | null {
  const { line } = diagnostic;
  if (lines === undefined || line === undefined || !readAsName.has(meaning.kind)) return null;
  const words = [...language.decisionWords, ...language.loopWords];
  const reach = meaning.kind === "unknown name" ? 0 : linesAbove;
  for (let at = line; at >= Math.max(1, line - reach); at--) {
    const [first, second] = language.tokens(lines[at - 1] ?? "");
    if (first?.kind !== "name" || second === undefined || /^[:+\-*/]?=$|^[.[),;]$/.test(second.text)) continue;
    const meant = words.find((word) => word.length > 2 && areSimilar(word, first.text));
    if (meant === undefined) continue;
    // A function of the program's own may look like one.
    if (lines.some((text, index) => index !== at - 1 && new RegExp(`\\b${escaped(first.text)}\\b`).test(text)))
      continue;
    const { misleads: _, ...rest } = meaning;
    return {
      ...rest,
      words: [{ text: first.text, role: "name" }],
      says: `“${first.text}”${at === line ? "" : ` in line ${at}`} is no word of the language; “${meant}” looks like it.`,
      usually: "A misspelt word is read as a name, and the reading stops at what stands after it.",
    };
  }
  return null;
}

function filled(explanation: Explanation, match: RegExpExecArray, fill: Filler): MessageMeaning {
  const { kind, says, usually, unsaid, misleads } = explanation;
  const words = (explanation.words ?? []).flatMap((role, index): MessageWord[] => {
    const text = match[index + 1]?.trim();
    return text ? [{ text, role }] : [];
  });
  return {
    kind,
    kindWords: messageKinds[kind],
    words,
    says: fill(says),
    ...(usually ? { usually: fill(usually) } : {}),
    ...(unsaid ? { unsaid: fill(unsaid) } : {}),
    ...(misleads ? { misleads: fill(misleads) } : {}),
  };
}
