import type { Language } from "../languages/language.ts";
import { escaped, escapedName } from "../source/escaped.ts";

/** A word that may be a person's name, where it was found, what it would become, and whether it is ticked at first. */
export type NameProposal = { word: string; places: string[]; replacement: string; ticked: boolean };
export type Replacement = { word: string; replacement: string };

const capitalised = /\p{Lu}[\p{Ll}\p{Lu}'’-]*\p{Ll}[\p{L}'’-]*/gu;
const introduced = /(?:\bby|\bauthor|\bname|\bmade by|\bwritten by|\bfrom|\bstudent|©|@)[:\s]+$/i;

/** Words with a capital that name no person, wherever they stand. */
const notPersons = new Set(
  "monday tuesday wednesday thursday friday saturday sunday january february march april may june july august september october november december python java pascal octave basic todo fixme note windows linux english".split(
    " ",
  ),
);

/**
 * True if a word with a capital in a comment looks like a person's name: in the middle of a sentence; at its beginning
 * where another such word follows, or no word in small letters does.
 */
function looksLikePerson(comment: string, at: number, word: string): boolean {
  if (notPersons.has(word.toLowerCase())) return false;
  const before = comment.slice(0, at);
  // A ship or a place has an article, a person has none.
  if (/\b(?:the|an?)\s+$/i.test(before)) return false;
  const beginsSentence = !/[\p{L}\p{N}]/u.test(before) || /[.!?:]\W*$/u.test(before);
  if (!beginsSentence) return true;
  const after = comment.slice(at + word.length);
  return /^[’']s\b/u.test(after) || /^\s+\p{Lu}\p{Ll}/u.test(after) || !/\p{Ll}{2}/u.test(after);
}

/** Parts of an identifier or file name: split at underscores, digits, dots, blanks and inner capitals (`fareOf`, `FAREof`, `HTMLFare`). */
function parts(name: string): string[] {
  return name
    .split(/[_\d.\s-]+|(?<=\p{Ll}\p{M}*)(?=\p{Lu})|(?<=\p{Lu})(?=\p{Lu}\p{M}*\p{Ll})/u)
    .filter((part) => part.length > 1);
}

/**
 * Words of a program that may give away who wrote it: all labels of the course (whole and in parts), and every
 * name-like word in comments, texts, identifiers and the file name. Ticked are labels, words that stand behind "by",
 * "author" and the like, and what looks like a person's name in a comment; the teacher decides about all of them.
 */
export function proposeNames(
  language: Language,
  written: string,
  nameOfFile: string,
  labelsOfCourse: readonly string[],
): NameProposal[] {
  // Accents in one piece with their letters: lines stay where they are.
  const [program = "", fileName = "", ...labels] = [written, nameOfFile, ...labelsOfCourse].map((text) =>
    text.normalize("NFC"),
  );
  const found = new Map<string, { places: Set<string>; ticked: boolean; word: string }>();
  const note = (word: string, place: string, ticked: boolean) => {
    const key = word.normalize("NFC").toLowerCase();
    const known = found.get(key) ?? { places: new Set(), ticked: false, word };
    known.places.add(place);
    known.ticked ||= ticked;
    found.set(key, known);
  };
  const labelParts = new Map<string, string>();
  for (const label of labels) {
    labelParts.set(label.toLowerCase(), label);
    for (const part of parts(label)) if (part.length > 2) labelParts.set(part.toLowerCase(), label);
  }
  for (const label of labels)
    if (
      label.trim() !== "" &&
      new RegExp(`(?<![\\p{L}\\p{N}])${escaped(label)}(?![\\p{L}\\p{N}])`, "iu").test(`${program}\n${fileName}`)
    )
      note(label, "label of the course", true);
  const identifiers = new Set(
    language
      .tokens(program)
      .filter((token) => token.kind === "name")
      .map((token) => token.text.toLowerCase()),
  );
  const words = (text: string, place: string, isComment: boolean) => {
    for (const match of text.matchAll(capitalised)) {
      const word = match[0].replace(/[’']s$/, "");
      if (language.ownWords.has(word) || language.ownWords.has(word.toLowerCase())) continue;
      const isPerson = isComment && !identifiers.has(word.toLowerCase()) && looksLikePerson(text, match.index, word);
      note(word, place, labelParts.has(word.toLowerCase()) || introduced.test(text.slice(0, match.index)) || isPerson);
    }
    for (const part of text.split(/[^\p{L}]+/u).flatMap((word) => [word, ...parts(word)]))
      if (labelParts.has(part.toLowerCase())) note(part, place, true);
  };
  for (const token of language.tokens(program)) {
    if (token.kind === "comment") words(token.text, `comment in line ${token.line}`, true);
    else if (token.kind === "text") words(token.text, `text in line ${token.line}`, false);
  }
  // Identifiers are looked through last: parts that are labels or were found as names above.
  const names = [
    ...new Set(
      language
        .tokens(program)
        .filter((token) => token.kind === "name")
        .map((token) => token.text),
    ),
  ];
  for (const name of names) {
    if (language.ownWords.has(name)) continue;
    for (const part of parts(name)) {
      const known = found.get(part.toLowerCase());
      if (labelParts.has(part.toLowerCase())) note(part, `identifier ${name}`, true);
      else if (known) note(part, `identifier ${name}`, known.ticked);
      else if (/^\p{Lu}\p{Ll}{2,}/u.test(part) && parts(name).length > 1) note(part, `identifier ${name}`, false);
    }
  }
  for (const part of parts(fileName.replace(/\.[^.]*$/, ""))) {
    const known = found.get(part.toLowerCase());
    if (labelParts.has(part.toLowerCase()) || known) note(part, "file name", known?.ticked ?? true);
    else if (/^\p{Lu}/u.test(part)) note(part, "file name", false);
  }
  let letter = 0;
  return [...found.values()]
    .sort((one, other) => Number(other.ticked) - Number(one.ticked) || one.word.localeCompare(other.word))
    .map(({ word, places, ticked }) => ({
      word,
      places: [...places],
      replacement: `Person${String.fromCharCode(65 + (letter++ % 26))}`,
      ticked,
    }));
}

/** The replacement in the letter case of the word it stands for, so that identifiers keep their style. */
function inCaseOf(word: string, replacement: string): string {
  const letters = word.replace(/\P{L}/gu, "");
  if (letters !== "" && word === word.toLowerCase()) return replacement.toLowerCase();
  if (letters.length > 1 && word === word.toUpperCase()) return replacement.toUpperCase();
  return replacement;
}

/**
 * The text with every replacement made wherever the word stands as a word or as a part of an identifier. Longer words
 * go first. Words are matched in any letter case.
 */
export function replaceNames(text: string, replacements: readonly Replacement[]): string {
  const keyOf = (word: string) => word.normalize("NFC").toLowerCase();
  const target = new Map(replacements.map((each) => [keyOf(each.word), each.replacement]));
  const pattern = anyOf(replacements.map((each) => each.word));
  if (!pattern) return text;
  return text.replace(pattern, (found, offset: number) =>
    standsAsWord(text, offset, found) ? inCaseOf(found, target.get(keyOf(found)) ?? found) : found,
  );
}

/** A pattern for any of the words, the longest first, in any letter case; null if there are none. */
function anyOf(words: readonly string[]): RegExp | null {
  const ordered = words.filter((word) => word.trim() !== "").sort((one, other) => other.length - one.length);
  const forms = ordered.map((word) => escapedName(word));
  return forms.length === 0 ? null : new RegExp(forms.join("|"), "giu");
}

const letter = /[\p{L}\p{M}]/u;

/** True if what was found at an offset is a word, or a part of a longer one that capitals begin or end (as `parts` has them). */
function standsAsWord(text: string, offset: number, found: string): boolean {
  const before = /.\p{M}*$/su.exec(text.slice(Math.max(0, offset - 4), offset))?.[0] ?? "";
  const after = text.slice(offset + found.length, offset + found.length + 4);
  const startsPart =
    !letter.test(before) ||
    (/^\p{Ll}/u.test(before) && /^\p{Lu}/u.test(found)) ||
    (/^\p{Lu}/u.test(before) && /^\p{Lu}\p{M}*\p{Ll}/u.test(found));
  const endsPart =
    !letter.test(after[0] ?? "") ||
    (/^\p{Lu}/u.test(after) && /\p{Ll}\p{M}*$/u.test(found)) ||
    (/^\p{Lu}\p{M}*\p{Ll}/u.test(after) && /\p{Lu}\p{M}*$/u.test(found));
  return startsPart && endsPart;
}

/** Where one of the words stands in a text as a word or as a part of an identifier; lines are 1-based. */
export function findNames(text: string, words: readonly string[]): Array<{ word: string; line: number }> {
  const pattern = anyOf(words);
  if (!pattern) return [];
  return [...text.matchAll(pattern)]
    .filter((match) => standsAsWord(text, match.index, match[0]))
    .map((match) => ({ word: match[0], line: text.slice(0, match.index).split(/\r\n|\n|\r/).length }));
}

/**
 * Words by which labels of a course are found again: each whole, and its parts that are words of some length, unless
 * many labels have the same ("Student 1" to "Student 30").
 */
export function wordsOfLabels(labels: readonly string[]): string[] {
  const trimmed = labels.map((label) => label.trim());
  const counts = new Map<string, number>();
  for (const label of trimmed) for (const part of new Set(parts(label))) counts.set(part, (counts.get(part) ?? 0) + 1);
  const whole = trimmed.filter((label) => /\p{L}/u.test(label) && label.length > 1);
  const personal = [...counts].flatMap(([part, times]) => (part.length > 2 && times < 3 ? [part] : []));
  return [...new Set([...whole, ...personal])];
}
