import type { Language } from "../languages/language.ts";
import type { Diagnostic } from "../outcome/outcome.ts";
import { escaped } from "../source/escaped.ts";
import { explain } from "./explain.ts";

/** Characters of a message that are looked at. */
const longest = 500;

/** What tools add to a message that depends on the names around it. */
const hints = /[.;:]?\s*(?:did you mean|perhaps you forgot|maybe you meant|\(use -|note: use -).*$/is;

/** Words of types, which say what a message is about and are no names of a program. */
const typeWords = new Set(
  "int integer str string float double char bool boolean long short byte void list tuple dict set nonetype object array longint smallint shortint real ansistring shortstring constant scalar matrix cell struct function method".split(
    " ",
  ),
);

/** Kinds of name that tools write before a name without quotes. */
const nouns =
  "variable|method|class|constructor|symbol|type|identifier|function|procedure|field|package|label|property|member|interface|enum|module";

/** True for what stands in quotes and says what is missing, not what somebody called it: signs, words of the language, types. */
function isPlain(language: Language, quoted: string): boolean {
  const words = quoted.toLowerCase().match(/[\p{L}_][\p{L}\p{N}_]*/gu) ?? [];
  if (words.length === 0) return !/\p{N}/u.test(quoted);
  const known = [...language.decisionWords, ...language.loopWords, ...(language.keywords ?? [])].map((word) =>
    word.toLowerCase(),
  );
  return words.every((word) => typeWords.has(word) || known.includes(word));
}

/**
 * A message without what differs from program to program: names, numbers, paths, hints. Two messages with one signature are the same message. `""`
 * where nothing is left that could be the same.
 */
export function signatureOf(
  language: Language,
  diagnostic: Pick<Diagnostic, "errorName" | "code" | "message">,
): string {
  const { errorName, code, message } = diagnostic;
  const bare = message.slice(0, longest).replace(hints, "");
  const meaning = explain(language, { severity: "error", stage: "run", primary: true, ...diagnostic });
  let text = `${errorName ?? code ?? ""}: ${bare}`;
  text = text.replace(
    /(?:[A-Za-z]:)?(?:[\w.-]*[/\\])+[\w.-]+|\b[\w-]+\.(?:py|java|cs?|pas|pp|m|txt|csv|dat|class|h)\b/g,
    "‹path›",
  );
  text = text.replace(/(['"`‘“])([^'"`‘’“”\n]*)(['"`’”])/g, (whole, open: string, quoted: string, close: string) =>
    isPlain(language, quoted) ? whole : `${open}‹›${close}`,
  );
  for (const { text: word, role } of meaning?.words ?? []) {
    if ((role !== "name" && role !== "value") || isPlain(language, word)) continue;
    const [before, after] = [/^\w/.test(word) ? "\\b" : "", /\w$/.test(word) ? "\\b" : ""];
    text = text.replace(new RegExp(`${before}${escaped(word)}${after}`, "g"), "‹›");
  }
  text = text
    .replace(
      new RegExp(String.raw`\b(${nouns})\s+(?!‹)([\w$.]+)(?:\([^)]*\))?`, "gi"),
      (whole, noun: string, name: string) =>
        /^(?:in|is|of|has|not|cannot|does|must|was|be|are|to|and|or|expected|found|does|could|should|may|might|can|with|for|called)$/i.test(
          name,
        ) || isPlain(language, name)
          ? whole
          : `${noun} ‹›`,
    )
    .replace(/\b[A-Za-z_]\w*\(\)/g, "‹›()")
    .replace(/\b[A-Za-z_]\w*\((?=[\d_])/g, "‹›(")
    .replace(/[-+]?\b\d+(?:[.,]\d+)*(?:[eE][-+]?\d+)?\b/g, "#");
  const plain = text.toLowerCase().replace(/\s+/g, " ").trim();
  return plain === ":" ? "" : plain;
}
