import type { Token } from "../../token.ts";
import { typedBasicTokens } from "../tokens.ts";
import type { Place, Problem } from "./tree.ts";

/** What a statement is read from: tokens without comments, where it begins, and what is refused. Nothing is thrown but `Misread`, which ends a statement. */
export type Reader = { tokens: readonly Token[]; at: number; begin: number; problems: Problem[] };

/** Ends the reading of a statement; its problem is noted already. */
export class Misread extends Error {}

export function readerOf(text: string): Reader {
  const tokens = typedBasicTokens(text).filter((token) => token.kind !== "comment");
  return { tokens, at: 0, begin: 0, problems: [] };
}

const goesOn = new Set(
  "( , { + - * / \\ ^ & = < > <> <= >= += -= *= /= \\= ^= &= := . and or andalso orelse xor mod not like is isnot from".split(
    " ",
  ),
);
const goesBack = new Set([")", "}"]);
/** Words that begin a line whatever stands before: no value begins with one of them. */
const beginsStatement = new Set(
  "end next loop wend else elseif case catch finally dim const for while do select try with using exit return throw continue module class imports".split(
    " ",
  ),
);

const low = (token: Token | undefined) => token?.text.toLowerCase() ?? "";

/** True where a statement's line is over before a token: never before the one that it begins with. */
const lineEndsBefore = (reader: Reader, at: number): boolean =>
  reader.tokens[at] === undefined || (at !== reader.begin && beginsLine(reader, at));

/** True where a token stands on a line of its own, and nothing carries the one before on to it. */
function beginsLine(reader: Reader, at: number): boolean {
  const [before, token] = [reader.tokens[at - 1], reader.tokens[at]];
  if (!token) return true;
  if (!before || token.line === before.endLine || token.carried) return false;
  if ((token.kind === "keyword" || low(before) === ".") && beginsStatement.has(low(token))) return true;
  return !goesOn.has(low(before)) && !goesBack.has(token.text);
}

/** True where nothing more belongs to the statement: at a new line, a colon, the end, or Else behind what stands on one line. */
export const ended = (reader: Reader): boolean => lineEndsBefore(reader, reader.at) || word(reader) === ":";

/** True where a new line begins. */
export const lineEnded = (reader: Reader): boolean => lineEndsBefore(reader, reader.at);

/** The same, whatever begins there. */
export const atNewLine = (reader: Reader): boolean => beginsLine(reader, reader.at);

/** The next token but `further`, in lower case; "" behind the end. */
export const word = (reader: Reader, further = 0): string => low(reader.tokens[reader.at + further]);

export const peek = (reader: Reader, further = 0): Token | undefined => reader.tokens[reader.at + further];

export function take(reader: Reader): Token {
  const token = reader.tokens[reader.at];
  if (!token) return refuse(reader, "BC30201", "Something is missing at the end of the file.");
  reader.at += 1;
  return token;
}

/** Takes the next token where it is one of some words and the statement goes on. */
export function takeIf(reader: Reader, ...words: string[]): Token | null {
  if (!words.includes(word(reader)) || lineEnded(reader)) return null;
  return take(reader);
}

export const placeOf = (token: Token | undefined): Place => ({
  line: token?.line ?? 1,
  column: (token?.offset ?? 0) + 1,
  length: Math.max(1, token?.text.length ?? 1),
});

/** The place of the next token; behind the last one where the statement is over. */
export function herePlace(reader: Reader): Place {
  const [before, token] = [reader.tokens[reader.at - 1], reader.tokens[reader.at]];
  if (token && !lineEnded(reader)) return placeOf(token);
  if (!before) return { line: 1, column: 1, length: 1 };
  const begins = before.endLine === before.line ? before.offset : 0;
  return { line: before.endLine, column: begins + before.text.length + 1, length: 1 };
}

export function note(reader: Reader, place: Place, code: string, says: string): void {
  reader.problems.push({ place, code, says, severity: "error" });
}

/** Notes what is wrong at the next token and ends the statement. */
export function refuse(reader: Reader, code: string, says: string, place = herePlace(reader)): never {
  note(reader, place, code, says);
  throw new Misread(says);
}

export function expect(reader: Reader, sign: string, code: string, says: string): Token {
  return takeIf(reader, sign) ?? refuse(reader, code, says);
}

/** A name, without the brackets that make one of a reserved word. */
export function takeName(reader: Reader, after: string): { name: string; place: Place } {
  const token = peek(reader);
  if (!token || lineEnded(reader)) return refuse(reader, "BC30203", `A name is expected behind “${after}”.`);
  if (token.kind === "keyword")
    return refuse(reader, "BC30183", `“${token.text}” is a reserved word and cannot be a name.`);
  if (token.kind !== "name") return refuse(reader, "BC30203", `A name is expected here, not “${token.text}”.`);
  take(reader);
  return { name: plainName(token.text), place: placeOf(token) };
}

/** A name without square brackets and without a sign of its type. */
export const plainName = (text: string): string => text.replace(/^\[|\]$|[%&!@#$]$/g, "");

/** Passes over the rest of a line. */
export function skipLine(reader: Reader): void {
  while (reader.at < reader.tokens.length && !atNewLine(reader)) reader.at += 1;
}
