import type { Language } from "../languages/language.ts";

/** A word that may be a person's name, where it was found, what it would become, and whether it is ticked at first. */
export type NameProposal = { word: string; places: string[]; replacement: string; ticked: boolean };
export type Replacement = { word: string; replacement: string };

const capitalised = /\p{Lu}[\p{Ll}\p{Lu}'’-]*\p{Ll}[\p{L}'’-]*/gu;
const introduced = /(?:\bby|\bauthor|\bname|\bmade by|\bwritten by|\bfrom|\bstudent|©|@)[:\s]+$/i;

/** Parts of an identifier or file name: split at underscores, digits, dots, blanks and inner capitals. */
function parts(name: string): string[] {
  return name.split(/[_\d.\s-]+|(?<=\p{Ll})(?=\p{Lu})/u).filter((part) => part.length > 1);
}

function escapePattern(text: string): string {
  return text.replace(/[.*+?^${}()|[\]\\]/g, "\\$&");
}

/**
 * Words of a program that may give away who wrote it: all labels of the course (whole and in parts), and every
 * name-like word in comments, texts, identifiers and the file name. Ticked are labels and words that stand behind "by",
 * "author" and the like; the teacher decides about the rest.
 */
export function proposeNames(
  language: Language,
  program: string,
  fileName: string,
  labels: readonly string[],
): NameProposal[] {
  const found = new Map<string, { places: Set<string>; ticked: boolean; word: string }>();
  const note = (word: string, place: string, ticked: boolean) => {
    const key = word.toLowerCase();
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
      new RegExp(`(?<![\\p{L}\\p{N}])${escapePattern(label)}(?![\\p{L}\\p{N}])`, "iu").test(`${program}\n${fileName}`)
    )
      note(label, "label of the course", true);
  const words = (text: string, place: string) => {
    for (const match of text.matchAll(capitalised)) {
      const word = match[0];
      if (language.ownWords.has(word) || language.ownWords.has(word.toLowerCase())) continue;
      note(word, place, labelParts.has(word.toLowerCase()) || introduced.test(text.slice(0, match.index)));
    }
    for (const part of text.split(/[^\p{L}]+/u)) if (labelParts.has(part.toLowerCase())) note(part, place, true);
  };
  for (const token of language.tokens(program)) {
    if (token.kind === "comment") words(token.text, `comment in line ${token.line}`);
    else if (token.kind === "text") words(token.text, `text in line ${token.line}`);
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
  const ordered = replacements
    .filter((each) => each.word.trim() !== "")
    .sort((one, other) => other.word.length - one.word.length);
  if (ordered.length === 0) return text;
  const target = new Map(ordered.map((each) => [each.word.toLowerCase(), each.replacement]));
  const pattern = new RegExp(ordered.map((each) => escapePattern(each.word)).join("|"), "giu");
  return text.replace(pattern, (found, offset: number) => {
    const before = text[offset - 1] ?? "";
    const after = text[offset + found.length] ?? "";
    // A word inside a longer one is a part of it only where an inner capital begins or ends it.
    const startsPart = !/\p{L}/u.test(before) || (/\p{Ll}/u.test(before) && /^\p{Lu}/u.test(found));
    const endsPart = !/\p{L}/u.test(after) || (/\p{Lu}/u.test(after) && /\p{Ll}$/u.test(found));
    return startsPart && endsPart ? inCaseOf(found, target.get(found.toLowerCase()) ?? found) : found;
  });
}
