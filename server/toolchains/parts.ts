import { c } from "../../core/languages/c/c.ts";
import { pascal } from "../../core/languages/pascal/pascal.ts";
import { type PlacedToken, placed } from "../../core/syntax/placed.ts";

/** A variant as a part of one program with many others; `beside`: what all parts of a program must have in common. */
export type Part = { text: string; beside: string };

/** Spaces in the place of a stretch, its line ends kept. */
function blanked(text: string): string {
  return text.replace(/[^\n]/g, " ");
}

const pairs: Readonly<Record<string, string>> = { "(": ")", "[": "]", "{": "}" };

/** The place of the bracket that closes the one at a place, or -1; other kinds of brackets may be left open between. */
function closing(code: readonly PlacedToken[], at: number): number {
  const opening = code[at]?.text ?? "";
  let depth = 0;
  for (let index = at; index < code.length; index++) {
    if (code[index]?.text === opening) depth += 1;
    else if (code[index]?.text === pairs[opening] && --depth === 0) return index;
  }
  return -1;
}

/** Names that a C program makes known outside of its functions: functions, variables, types, tags, enumerated constants. */
function outerNames(code: readonly PlacedToken[]): Set<string> {
  const names = new Set<string>();
  let inValue = false;
  for (let at = 0; at < code.length; at++) {
    const [before, token, next] = [code[at - 1]?.text, code[at], code[at + 1]?.text ?? ";"];
    if (!token) break;
    if (token.text === "=") inValue = true;
    else if (token.text === ";" || token.text === ",") inValue = false;
    else if (token.text === "{") {
      const end = closing(code, at);
      const isEnumeration = before === "enum" || code[at - 2]?.text === "enum";
      for (let inside = at + 1; isEnumeration && inside < end; inside++)
        if (code[inside]?.kind === "name" && /^[,=}]$/.test(code[inside + 1]?.text ?? ""))
          names.add(code[inside]?.text ?? "");
      at = end < 0 ? code.length : end;
    } else if (token.text === "(" || token.text === "[") {
      // `(*name)(...)` makes a pointer known.
      if (next === "*" && code[at + 3]?.text === ")" && code[at + 2]?.kind === "name")
        names.add(code[at + 2]?.text ?? "");
      const end = closing(code, at);
      at = end < 0 ? code.length : end;
    } else if (token.kind === "name" && !inValue) {
      const isTag = before === "struct" || before === "union" || before === "enum";
      if (isTag || /^[(=;,[{)]$/.test(next)) names.add(token.text);
    }
  }
  return names;
}

/**
 * A C program as a part: every name that it makes known outside of its functions is renamed by the preprocessor, so that
 * parts do not meet, its main function too; lines keep their numbers. Null for one that has to be built by itself.
 */
export function partOfC(text: string, number: number): Part | null {
  const included: string[] = [];
  const defined: string[] = [];
  let isPlain = !/\\\r?$/m.test(text) && !text.includes("??");
  const body = text.replace(/^[ \t]*#[^\n]*/gm, (line) => {
    const include = /^[ \t]*#[ \t]*include[ \t]*(<[\w./]+>)[ \t\r]*(?:\/\/.*)?$/.exec(line);
    const define = /^[ \t]*#[ \t]*define[ \t]+(\w+)/.exec(line);
    if (include) included.push(include[1] ?? "");
    else if (define) defined.push(define[1] ?? "");
    else isPlain = false;
    return include ? "" : line;
  });
  const tokens = c.tokens(body.replace(/^[ \t]*#[^\n]*/gm, blanked));
  const code = placed(
    body,
    tokens.filter((token) => token.kind !== "comment"),
  );
  // A text that is not closed ends with its line, as the translator takes it; a comment would go on into the next part.
  const isOpen = tokens.some((token) => token.open && token.kind === "comment");
  const count = (sign: string) => code.filter((token) => token.text === sign).length;
  if (!isPlain || isOpen || count("{") !== count("}")) return null;
  const names = outerNames(code);
  const main = code.findIndex((token, at) => token.text === "main" && code[at + 1]?.text === "(");
  const begin = closing(code, main + 1) + 1;
  const end = closing(code, begin);
  if (!names.has("main") || main < 0 || code[begin]?.text !== "{" || end < 0) return null;
  // A main function that ends without an answer answers 0; only by that name.
  const answer = code[main - 1]?.text === "void" ? "" : "return 0;";
  const last = code[end]?.from ?? 0;
  const renamed = [...names].map((name) => `#define ${name} bn${number}_${name}\n`).join("");
  const forgotten = [...names, ...defined].map((name) => `#undef ${name}\n`).join("");
  return {
    text: `${included.map((name) => `#include ${name}\n`).join("")}${renamed}#line 1 "t${number}.c"\n${body.slice(0, last)}${answer}${body.slice(last)}\n${forgotten}`,
    beside: "",
  };
}

/** What has an end of its own in some forms only, belongs to the program's own block, or changes the terminal. */
const ownWays: ReadonlySet<string> = new Set(["class", "object", "crt", "label", "goto"]);
const openers: ReadonlySet<string> = new Set(["begin", "case", "record", "try", "asm"]);

/**
 * A Pascal program as a part: a unit whose only known procedure is what the program does; lines keep their numbers. Null
 * for one that has to be built by itself. `beside` are the units that it uses: some of them change how any program ends.
 */
export function partOfPascal(text: string, number: number): Part | null {
  const tokens = pascal.tokens(text);
  const code = placed(
    text,
    tokens.filter((token) => token.kind !== "comment"),
  );
  const word = (at: number) => code[at]?.text.toLowerCase() ?? "";
  const end = code.findLastIndex((_, at) => word(at) === "end" && word(at + 1) === ".");
  if (end < 0 || tokens.some((token) => token.open) || /\{\$(?!mode\b|r[+-]|q[+-]|h[+-])/i.test(text)) return null;
  let depth = 0;
  let begin = end;
  for (; begin >= 0; begin--) {
    const text = word(begin);
    if (ownWays.has(text)) return null;
    if (text === "end") depth += 1;
    else if (openers.has(text) && --depth === 0) break;
  }
  const between = code.slice(0, Math.max(0, begin)).map((token) => token.text.toLowerCase());
  if (word(begin) !== "begin" || between.some((text) => ownWays.has(text))) return null;
  if (hasVariantRecord(between)) return null;
  const header = between[0] === "program" ? between.indexOf(";") : -1;
  const first = code[0]?.from ?? 0;
  const rest = header >= 0 ? (code[header]?.to ?? 0) : first;
  const lost = text.slice(first, rest).replace(/[^\n]/g, "");
  const unit = `unit t${number}; interface procedure bn${number}_go; implementation ${lost}`;
  const [mainFrom, endTo] = [code[begin]?.from ?? 0, code[end]?.to ?? 0];
  const uses = between[header + 1] === "uses" ? between.slice(header + 2, between.indexOf(";", header + 1)) : [];
  return {
    text: `${text.slice(0, first)}${unit}${text.slice(rest, mainFrom)}procedure bn${number}_go; ${text.slice(mainFrom, endTo)}; end.\n`,
    beside: uses
      .filter((name) => name !== ",")
      .sort()
      .join(),
  };
}

/** A case in a record has no end of its own. */
function hasVariantRecord(words: readonly string[]): boolean {
  let depth = 0;
  for (const word of words) {
    if (word === "record") depth += 1;
    else if (word === "end") depth = Math.max(0, depth - 1);
    else if (word === "case" && depth > 0) return true;
  }
  return false;
}
