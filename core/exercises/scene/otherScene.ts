import { editContext } from "../../edits/context.ts";
import type { Language } from "../../languages/language.ts";
import { sequence } from "../../sequence.ts";
import { type PlacedToken, placed } from "../../syntax/placed.ts";
import { walk } from "../../syntax/tree.ts";
import { anyWords, rowsOfWords, wordsThatStay } from "./words.ts";

/** How a program's words and numbers become those of another scene; the same for the same seed. */
export type Scene = { words: ReadonlyMap<string, string>; numbers: ReadonlyMap<number, number> };

/** Words that say how something is, or what is done with it: they fit whatever it is. */
const saysHow = /(?:est|ing|ed)$/;

/** The words of a name or a text: `deckLoad`, `deck_load` and "Deck load" have the same two. */
const wordsIn = (text: string): string[] =>
  (text.match(/\p{Lu}?\p{Ll}+|\p{Lu}+(?!\p{Ll})/gu) ?? []).map((word) => word.toLowerCase());

/** A word in the letter case of the one that it stands for. */
function inCaseOf(word: string, other: string): string {
  if (word === word.toUpperCase() && word.length > 1) return other.toUpperCase();
  return /^\p{Lu}/u.test(word) ? other.charAt(0).toUpperCase() + other.slice(1) : other;
}

const codeOf = (language: Language, text: string): PlacedToken[] => placed(text, language.tokens(text));

/** Names that a program makes known, without such as stand behind a point: those may be somebody else's. */
function ownNames(language: Language, program: string): Set<string> {
  const context = editContext(language, program);
  const names = new Set([...(context?.names ?? []), ...(context?.functions ?? [])]);
  const tokens = codeOf(language, program);
  for (const [at, token] of tokens.entries())
    if (tokens[at - 1]?.text === "." || tokens[at - 1]?.text === "->") names.delete(token.text);
  for (const word of language.ownWords) names.delete(word);
  names.delete("main");
  return names;
}

/** Numbers that may be others: not those that count, halve, choose an element, or end a loop that counts. */
function ownNumbers(language: Language, program: string): number[] {
  const tokens = codeOf(language, program);
  const kept = new Set<number>();
  const tree = language.syntax?.(program);
  if (tree)
    walk(tree, (node, around) => {
      const inHead = around.some(
        (each, at) =>
          (each.kind === "for" || each.kind === "foreach") &&
          (around[at + 1] ?? node).kind !== "block" &&
          (around[at + 1] ?? node).role !== "body",
      );
      const isPlace = around.some((each) => each.kind === "index");
      if (node.kind === "number" && (inHead || isPlace)) kept.add(Number(program.slice(node.from, node.to)));
    });
  const found = new Set<number>();
  for (const [at, token] of tokens.entries()) {
    if (token.kind !== "number" || !/^\d+(?:\.\d+)?$/.test(token.text)) continue;
    const number = Number(token.text);
    // A size in brackets belongs to a declaration.
    if (tokens[at - 1]?.text === "[" && tokens[at + 1]?.text === "]") kept.add(number);
    found.add(number);
  }
  return [...found].filter((number) => number > 2 && !kept.has(number) && ![100, 60, 24, 7, 12, 1000].includes(number));
}

/** Draws a scene for a program: every own word another of its row, every number of its data one near it. */
export function drawScene(language: Language, program: string, seed: number, withNumbers = true): Scene {
  // Neighbouring seeds are far apart in the sequence.
  const next = sequence(Math.imul(seed + 1, 2654435761));
  const pick = <Item>(items: readonly Item[]): Item | undefined => items[Math.floor(next() * items.length)];
  const known = new Set<string>();
  for (const name of ownNames(language, program)) for (const word of wordsIn(name)) known.add(word);
  const named = new Set(known);
  for (const token of codeOf(language, program))
    if (token.kind === "text" || token.kind === "comment") for (const word of wordsIn(token.text)) known.add(word);
  const words = new Map<string, string>();
  const used = new Set<string>(known);
  // What is a word of the language cannot be a name.
  const isFree = (word: string) =>
    !used.has(word) && !language.ownWords.has(word) && language.tokens(word)[0]?.kind === "name";
  // One offset for a whole row, so that words that differed still do.
  for (const row of rowsOfWords) {
    const own = row.filter((word) => known.has(word));
    const free = row.filter((word) => !known.has(word));
    for (const word of own) {
      const other = pick(free.filter(isFree));
      if (other === undefined || words.has(word)) continue;
      words.set(word, other);
      used.add(other);
    }
  }
  for (const word of named) {
    if (words.has(word) || wordsThatStay.has(word) || word.length < 3 || saysHow.test(word)) continue;
    const other = pick(anyWords.filter(isFree));
    if (other === undefined) continue;
    words.set(word, other);
    used.add(other);
  }
  const numbers = new Map<number, number>();
  const taken = new Set(ownNumbers(language, program));
  for (const number of withNumbers ? ownNumbers(language, program) : []) {
    const reach = number < 20 ? 3 : Math.max(4, Math.round(number / 6));
    const whole = Number.isInteger(number);
    for (let times = 0; times < 12; times++) {
      const step = 1 + Math.floor(next() * reach);
      const other = number + (next() < 0.5 && number - step > 2 ? -step : step);
      // As many digits as before, and no other number of the program, so that nothing falls together.
      if (taken.has(other) || String(Math.trunc(other)).length !== String(Math.trunc(number)).length) continue;
      numbers.set(number, whole ? other : Math.round(other * 100) / 100);
      taken.add(other);
      break;
    }
  }
  return { words, numbers };
}

/** A name or a text with the words of the scene, in the letter case that they had. */
export function inWordsOf(scene: Scene, text: string): string {
  return text.replace(/\p{Lu}?\p{Ll}+|\p{Lu}+(?!\p{Ll})/gu, (word) => {
    const other = scene.words.get(word.toLowerCase());
    return other === undefined ? word : inCaseOf(word, other);
  });
}

/** A number of the scene; what lies one beside a number of the program lies one beside what that becomes. */
export function numberOf(scene: Scene, number: number): number {
  const own = scene.numbers.get(number);
  if (own !== undefined) return own;
  for (const [from, to] of scene.numbers) if (Math.abs(number - from) === 1) return to + (number - from);
  return number;
}

/** A misspelt own name as the same slip in the name that it becomes: a letter left out, doubled, swapped, or in another case. */
function misspelt(slip: string, name: string, other: string): string | null {
  if (slip.toLowerCase() === name.toLowerCase()) {
    if (slip === slip.toUpperCase()) return other.toUpperCase();
    if (slip.slice(1) !== name.slice(1)) return other.toLowerCase();
    const first = other.charAt(0);
    return (first === first.toLowerCase() ? first.toUpperCase() : first.toLowerCase()) + other.slice(1);
  }
  const place = (at: number) => Math.min(other.length - 2, Math.max(1, Math.round((at * other.length) / name.length)));
  if (slip.length === name.length - 1)
    for (let at = 0; at < name.length; at++)
      if (name.slice(0, at) + name.slice(at + 1) === slip) {
        const end = at === name.length - 1 ? other.length - 1 : place(at);
        return other.slice(0, end) + other.slice(end + 1);
      }
  if (slip.length === name.length + 1)
    for (let at = 0; at < slip.length; at++)
      if (slip.slice(0, at) + slip.slice(at + 1) === name) {
        const end = at >= slip.length - 2 ? other.length : place(at);
        const isDouble = slip.charAt(at) === slip.charAt(at - 1) || slip.charAt(at) === slip.charAt(at + 1);
        return other.slice(0, end) + (isDouble ? other.charAt(end - 1) : slip.charAt(at)) + other.slice(end);
      }
  for (let at = 0; at + 1 < name.length; at++)
    if (name.slice(0, at) + name.charAt(at + 1) + name.charAt(at) + name.slice(at + 2) === slip)
      for (let from = place(at); from + 1 < other.length; from++)
        if (other.charAt(from) !== other.charAt(from + 1))
          return other.slice(0, from) + other.charAt(from + 1) + other.charAt(from) + other.slice(from + 2);
  return null;
}

/** A program in another scene. `right`: the program as it should be, by whose names and numbers the scene was drawn. */
export function inScene(language: Language, scene: Scene, program: string, right: string): string {
  const names = ownNames(language, right);
  let text = "";
  let at = 0;
  for (const token of codeOf(language, program)) {
    text += program.slice(at, token.from);
    at = token.to;
    const before = program.slice(token.from, token.to);
    if (token.kind === "text" || token.kind === "comment") text += inText(scene, before);
    else if (token.kind === "number" && /^\d+(?:\.\d+)?$/.test(before)) {
      const other = numberOf(scene, Number(before));
      text += other === Number(before) ? before : String(other);
    } else if (token.kind === "name" && names.has(before)) text += inWordsOf(scene, before);
    else if (token.kind === "name") text += slipIn(scene, before, names) ?? before;
    else text += before;
  }
  return text + program.slice(at);
}

/** Words of a text that is printed, and numbers in it that the scene has. What a language reads in a text stays as it is. */
function inText(scene: Scene, text: string): string {
  return text
    .split(/(\\.|%[-+0-9.]*[a-z]+|\{[^}]*\})/g)
    .map((piece, at) => (at % 2 === 1 ? inBraces(scene, piece) : inNumbers(scene, inWordsOf(scene, piece))))
    .join("");
}

/** What stands in braces of a text may be names of the program. */
const inBraces = (scene: Scene, piece: string) => (piece.startsWith("{") ? inWordsOf(scene, piece) : piece);

const inNumbers = (scene: Scene, text: string) =>
  text.replace(/\d+(?:\.\d+)?/g, (number) => {
    const other = numberOf(scene, Number(number));
    return other === Number(number) ? number : String(other);
  });

function slipIn(scene: Scene, word: string, names: ReadonlySet<string>): string | null {
  if (word.length < 2) return null;
  for (const name of names) {
    const other = inWordsOf(scene, name);
    const slip = other === name ? null : misspelt(word, name, other);
    if (slip !== null && slip !== other) return slip;
  }
  return null;
}

/** Lines that are typed in, or lie in a file, in another scene: their words and numbers. */
export const inputInScene = (scene: Scene, input: string): string => inNumbers(scene, inWordsOf(scene, input));
