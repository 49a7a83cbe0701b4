import { ownOf } from "../../../source/ownOf.ts";
import type { Token } from "../../token.ts";
import {
  ended,
  expect,
  herePlace,
  lineEnded,
  note,
  peek,
  plainName,
  type Reader,
  readerOf,
  refuse,
  take,
  takeIf,
  takeName,
  word,
} from "./reader.ts";
import type { Expression, Place, TypeName } from "./tree.ts";

/**
 * Operators by strength (language reference, "Operator precedence"): a larger number binds more strongly; `^` and all others group from the left.
 */
const strength: Readonly<Record<string, number>> = {
  ...{ xor: 1, or: 2, orelse: 2, and: 3, andalso: 3 },
  ...{ "=": 5, "<>": 5, "<": 5, "<=": 5, ">": 5, ">=": 5, like: 5, is: 5, isnot: 5 },
  ...{ "<<": 6, ">>": 6, "&": 7, "+": 8, "-": 8, mod: 9, "\\": 10, "*": 11, "/": 11, "^": 13 },
};
const notStrength = 4;
const signStrength = 12;

const typeWords = new Set(
  "boolean byte char date decimal double integer long object sbyte short single string uinteger ulong ushort".split(
    " ",
  ),
);
const conversions = new Set("cbool cbyte cchar cdate cdbl cdec cint clng cobj cshort csng cstr".split(" "));

const spanned = (from: Place, reader: Reader): Place => {
  const last = reader.tokens[reader.at - 1];
  const length = last && last.line === from.line ? last.offset + last.text.length - from.column + 1 : from.length;
  return { ...from, length: Math.max(1, length) };
};

/** A type behind As, Of or New; its array ranks where they hold no numbers. */
export function readTypeName(reader: Reader, ranks = true): TypeName {
  const token = peek(reader);
  const begin = herePlace(reader);
  if (!token || lineEnded(reader)) return refuse(reader, "BC30182", "A type is expected here.");
  const isType = token.kind === "keyword" && typeWords.has(token.text.toLowerCase());
  if (token.kind === "keyword" && !isType) return refuse(reader, "BC30180", `“${token.text}” names no type.`);
  if (token.kind !== "name" && !isType) return refuse(reader, "BC30182", "A type is expected here.");
  take(reader);
  let name = plainName(token.text);
  while (word(reader) === "." && !lineEnded(reader)) {
    take(reader);
    name += `.${plainName(take(reader).text)}`;
  }
  const of: TypeName[] = [];
  if (word(reader) === "(" && word(reader, 1) === "of" && !lineEnded(reader)) {
    take(reader);
    take(reader);
    do of.push(readTypeName(reader));
    while (takeIf(reader, ","));
    expect(reader, ")", "BC30198", "The bracket behind Of is not closed: ) is expected.");
  }
  const optional = takeIf(reader, "?") !== null;
  const found: number[] = [];
  while (ranks && word(reader) === "(" && !lineEnded(reader) && /^[,)]$/.test(word(reader, 1))) {
    take(reader);
    let rank = 1;
    while (takeIf(reader, ",")) rank += 1;
    expect(reader, ")", "BC30198", "The bracket of an array is not closed: ) is expected.");
    found.push(rank);
  }
  return { name, of, ranks: found, optional, place: spanned(begin, reader) };
}

/** A value. Refuses what is none. */
export function readExpression(reader: Reader, weakest = 0): Expression {
  let left = readUnary(reader, weakest);
  for (;;) {
    const sign = word(reader);
    const power = ownOf(strength, sign);
    if (power === undefined || power <= weakest || ended(reader)) return left;
    const begin = left.place;
    take(reader);
    if (ended(reader) || !peek(reader)) refuse(reader, "BC30201", `A value is expected behind “${sign}”.`);
    const right = readExpression(reader, power);
    left = { kind: "binary", sign, left, right, place: spanned(begin, reader) };
  }
}

function readUnary(reader: Reader, weakest: number): Expression {
  const begin = herePlace(reader);
  const sign = word(reader);
  if ((sign === "-" || sign === "+") && !lineEnded(reader)) {
    take(reader);
    return { kind: "unary", sign, value: readExpression(reader, signStrength), place: spanned(begin, reader) };
  }
  if (sign === "not" && weakest <= notStrength) {
    take(reader);
    return { kind: "unary", sign, value: readExpression(reader, notStrength), place: spanned(begin, reader) };
  }
  if (sign === "addressof") {
    take(reader);
    return { kind: "addressOf", of: readExpression(reader, signStrength), place: spanned(begin, reader) };
  }
  if (sign === "typeof") {
    take(reader);
    const value = readExpression(reader, strength.is);
    const not = takeIf(reader, "isnot") !== null;
    if (!not) expect(reader, "is", "BC30201", "Is is expected behind what TypeOf asks about.");
    return { kind: "isType", value, type: readTypeName(reader), not, place: spanned(begin, reader) };
  }
  return readSuffixes(reader, readPrimary(reader), begin);
}

function readSuffixes(reader: Reader, from: Expression, begin: Place): Expression {
  let value = from;
  while (!lineEnded(reader)) {
    if (word(reader) === "." || word(reader) === "?." || word(reader) === "!") {
      if (word(reader) === "!") return value;
      take(reader);
      const token = peek(reader);
      if (!token || lineEnded(reader) || (token.kind !== "name" && token.kind !== "keyword"))
        refuse(reader, "BC30203", "The name of a member is expected behind the dot.");
      take(reader);
      value = { kind: "member", owner: value, name: plainName(token?.text ?? ""), place: spanned(begin, reader) };
    } else if (word(reader) === "(") {
      value = { kind: "apply", of: value, given: readGiven(reader), place: spanned(begin, reader) };
    } else return value;
  }
  return value;
}

/** What stands between the brackets of a call. */
export function readGiven(reader: Reader): Array<{ name: string | null; value: Expression | null }> {
  take(reader);
  const given: Array<{ name: string | null; value: Expression | null }> = [];
  if (word(reader) === "of") refuse(reader, "BC30201", "A value is expected here; what follows Of belongs to a type.");
  if (takeIf(reader, ")")) return given;
  do {
    if (word(reader) === "," || word(reader) === ")") given.push({ name: null, value: null });
    else if (peek(reader)?.kind === "name" && word(reader, 1) === ":=") {
      const name = plainName(take(reader).text);
      take(reader);
      given.push({ name, value: readExpression(reader) });
    } else given.push({ name: null, value: readExpression(reader) });
  } while (takeIf(reader, ","));
  expect(reader, ")", "BC30198", "A bracket is not closed: ) is expected.");
  return given;
}

function readList(reader: Reader): Expression {
  const begin = herePlace(reader);
  expect(reader, "{", "BC30987", "{ is expected before a list of values.");
  const items: Expression[] = [];
  if (!takeIf(reader, "}")) {
    do items.push(word(reader) === "{" ? readList(reader) : readExpression(reader));
    while (takeIf(reader, ","));
    expect(reader, "}", "BC30370", "A list of values is not closed: } is expected.");
  }
  return { kind: "list", items, place: spanned(begin, reader) };
}

function readNew(reader: Reader, begin: Place): Expression {
  take(reader);
  return readMade(reader, begin);
}

/** What stands behind New: a type, what is handed over, and what it is filled with. */
export function readMade(reader: Reader, begin: Place): Expression {
  const type = readTypeName(reader, false);
  const given: Expression[] = [];
  if (word(reader) === "(" && !lineEnded(reader)) {
    for (const each of readGiven(reader)) if (each.value) given.push(each.value);
  }
  if (word(reader) === "{" && !lineEnded(reader)) {
    const items = readList(reader);
    return { kind: "array", type, bounds: given, items, place: spanned(begin, reader) };
  }
  let from: Expression | null = null;
  const members: Array<{ name: string; value: Expression; place: Place }> = [];
  if (takeIf(reader, "from")) from = readList(reader);
  else if (word(reader) === "with" && word(reader, 1) === "{" && !lineEnded(reader)) {
    take(reader);
    take(reader);
    if (!takeIf(reader, "}")) {
      do {
        expect(reader, ".", "BC30985", "A name with a dot before it is expected here.");
        const { name, place } = takeName(reader, ".");
        expect(reader, "=", "BC30249", "= is expected here.");
        members.push({ name, value: readExpression(reader), place });
      } while (takeIf(reader, ","));
      expect(reader, "}", "BC30370", "A list of values is not closed: } is expected.");
    }
  }
  return { kind: "new", type, given, from, members, place: spanned(begin, reader) };
}

function readPrimary(reader: Reader): Expression {
  const token = peek(reader);
  const place = herePlace(reader);
  if (!token || lineEnded(reader)) return refuse(reader, "BC30201", "A value is expected here.");
  const text = token.text.toLowerCase();
  if (token.kind === "number") {
    take(reader);
    return { kind: "number", text: token.text, place };
  }
  if (token.kind === "text") return readText(reader, token, place);
  if (token.kind === "name") {
    take(reader);
    return { kind: "name", name: plainName(token.text), place };
  }
  if (text === "(") {
    take(reader);
    const value = readExpression(reader);
    expect(reader, ")", "BC30198", "A bracket is not closed: ) is expected.");
    return { kind: "unary", sign: "(", value, place: spanned(place, reader) };
  }
  if (text === "{") return readList(reader);
  if (text === ".") {
    take(reader);
    const { name } = takeName(reader, ".");
    return { kind: "member", owner: null, name, place: spanned(place, reader) };
  }
  if (token.kind !== "keyword") return refuse(reader, "BC30201", `A value is expected here, not “${token.text}”.`);
  switch (text) {
    case "true":
    case "false":
      take(reader);
      return { kind: "truth", value: text === "true", place };
    case "nothing":
      take(reader);
      return { kind: "nothing", place };
    case "me":
    case "myclass":
      take(reader);
      return { kind: "me", place };
    case "mybase":
      take(reader);
      return { kind: "base", place };
    case "new":
      return readNew(reader, place);
    case "if": {
      take(reader);
      if (word(reader) !== "(") refuse(reader, "BC30201", "A value is expected here; If( ) chooses one of two.");
      const given = readGiven(reader).flatMap(({ value }) => (value ? [value] : []));
      if (given.length < 2 || given.length > 3)
        refuse(reader, "BC33104", "If( ) takes two values, or a condition and two values.", place);
      return { kind: "choose", given, place: spanned(place, reader) };
    }
    case "ctype":
    case "directcast":
    case "trycast": {
      take(reader);
      expect(reader, "(", "BC30199", "( is expected here.");
      const value = readExpression(reader);
      expect(reader, ",", "BC30196", "A comma and a type are expected here.");
      const type = readTypeName(reader);
      expect(reader, ")", "BC30198", "A bracket is not closed: ) is expected.");
      return { kind: "convert", word: text, type, value, place: spanned(place, reader) };
    }
  }
  if (conversions.has(text)) {
    take(reader);
    expect(reader, "(", "BC30199", "( is expected here.");
    const value = readExpression(reader);
    expect(reader, ")", "BC30198", "A bracket is not closed: ) is expected.");
    return { kind: "convert", word: text, type: null, value, place: spanned(place, reader) };
  }
  // The name of a type before a dot, as in Integer.Parse.
  if (typeWords.has(text) && word(reader, 1) === ".") {
    take(reader);
    return { kind: "name", name: token.text, place };
  }
  return refuse(reader, "BC30201", `A value is expected here, not “${token.text}”.`);
}

function readText(reader: Reader, token: Token, place: Place): Expression {
  take(reader);
  if (token.open) refuse(reader, "BC30648", "A text in quotes is not closed on its line.", place);
  const next = peek(reader);
  const begins = token.text.startsWith("$") ? 2 : 1;
  const inner = token.text.slice(begins, -1).replaceAll('""', '"');
  if (begins === 1) {
    const isSign =
      next?.text.toLowerCase() === "c" && next.line === token.line && next.offset === token.offset + token.text.length;
    if (!isSign) return { kind: "text", value: inner, sign: false, place };
    take(reader);
    if ([...inner].length !== 1)
      note(reader, place, "BC30004", "A sign is one letter, digit or mark between its quotes.");
    return { kind: "text", value: inner, sign: true, place };
  }
  return { kind: "pieces", parts: piecesOf(reader, inner, place), place };
}

/** The parts of a text with values in braces. */
function piecesOf(reader: Reader, text: string, place: Place): Array<string | { value: Expression; form: string }> {
  const parts: Array<string | { value: Expression; form: string }> = [];
  let plain = "";
  for (let at = 0; at < text.length; at++) {
    const sign = text[at] ?? "";
    if ((sign === "{" || sign === "}") && text[at + 1] === sign) {
      plain += sign;
      at += 1;
    } else if (sign === "{") {
      let end = at + 1;
      for (let depth = 0; end < text.length; end++) {
        if (/[([{]/.test(text[end] ?? "")) depth += 1;
        if (text[end] === "}" && depth === 0) break;
        if (/[)\]}]/.test(text[end] ?? "")) depth -= 1;
      }
      if (end >= text.length) refuse(reader, "BC30370", "A value in a text is not closed: } is expected.", place);
      const [value, form] = formOf(text.slice(at + 1, end));
      if (plain) parts.push(plain);
      plain = "";
      const inner = readerOf(value);
      if (inner.tokens.length === 0) refuse(reader, "BC30201", "A value is expected between the braces.", place);
      try {
        const read = readExpression(inner);
        if (peek(inner)) refuse(reader, "BC30370", "} is expected behind the value in a text.", place);
        parts.push({ value: moved(read, place), form });
      } catch (problem) {
        for (const each of inner.problems) note(reader, place, each.code, each.says);
        throw problem;
      }
      at = end;
    } else plain += sign;
  }
  if (plain) parts.push(plain);
  return parts;
}

/** What stands between braces, parted at the colon or comma that no bracket holds: the value and how it is written. */
function formOf(text: string): [value: string, form: string] {
  let depth = 0;
  for (let at = 0; at < text.length; at++) {
    if (/[([{]/.test(text[at] ?? "")) depth += 1;
    if (/[)\]}]/.test(text[at] ?? "")) depth -= 1;
    if (depth === 0 && (text[at] === ":" || text[at] === ",")) return [text.slice(0, at), text.slice(at)];
  }
  return [text, ""];
}

/** Says of a value and all that it holds that it is at a place. */
function moved(value: Expression, place: Place): Expression {
  const move = (each: unknown): unknown => {
    if (Array.isArray(each)) return each.map(move);
    if (typeof each !== "object" || each === null) return each;
    return Object.fromEntries(Object.entries(each).map(([key, inner]) => [key, key === "place" ? place : move(inner)]));
  };
  return move(value) as Expression;
}
