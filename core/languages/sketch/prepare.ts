import { ownOf } from "../../source/ownOf.ts";
import { lineStarts, type PlacedToken, placed } from "../../syntax/placed.ts";
import { sketchTokens } from "./tokens.ts";

/** What is put in the place of `length` characters at an offset (UTF-16) of the student's text. No change holds a line end but the last. */
export type Change = { at: number; length: number; put: string };

/** A sketch as it is translated: every line has its number, whatever was put into it. */
export type Prepared = { text: string; changes: readonly Change[] };

/** The class that a sketch becomes, and the one that has what it can draw with (runners/sketch). */
export const sketchClass = "TheSketch";
const above = "bentnail.sketch.Drawing";

const conversions: Readonly<Record<string, string>> = {
  ...{ int: "parseInt", float: "parseFloat", boolean: "parseBoolean", char: "parseChar", byte: "parseByte" },
};
const classWords = new Set(["class", "interface", "enum", "record"]);
const access = new Set(["public", "private", "protected"]);

/** The tokens without comments, each with its place in the text. */
const codeOf = (text: string): PlacedToken[] =>
  placed(text, sketchTokens(text)).filter(({ kind }) => kind !== "comment");

/** The place of the bracket that closes the one at a place; the end where none does. */
function closing(code: readonly PlacedToken[], open: number): number {
  let depth = 0;
  for (let at = open; at < code.length; at++) {
    if (code[at]?.text === "(") depth += 1;
    if (code[at]?.text === ")" && --depth === 0) return at;
  }
  return code.length;
}

/** True where a function is defined whose name stands at a place: a type before it, brackets and a block behind it. */
function isDefined(code: readonly PlacedToken[], at: number): boolean {
  const [type, name] = [code[at - 1], code[at]];
  if (name?.kind !== "name" || code[at + 1]?.text !== "(") return false;
  if (!type || !(type.kind === "name" || type.kind === "keyword" || type.text === "]" || type.text === ">"))
    return false;
  if (type.text === "new" || type.text === "return" || type.text === "else") return false;
  const next = code[closing(code, at + 1) + 1]?.text;
  return next === "{" || next === "throws";
}

/** Where the definition that a place belongs to begins: behind the last end of a statement or brace. */
function beginning(code: readonly PlacedToken[], at: number): number {
  let from = at;
  while (from > 0 && !/^[;{}]$/.test(code[from - 1]?.text ?? "")) from -= 1;
  return from;
}

/** The functions that are defined in a class or outside of everything: where each begins, and whether it says who may call it. */
function functionsOf(code: readonly PlacedToken[]): Array<{ begin: number; outside: boolean; open: boolean }> {
  const found: Array<{ begin: number; outside: boolean; open: boolean }> = [];
  const blocks: Array<"class" | "code"> = [];
  for (const [at, token] of code.entries()) {
    if (token.text === "{") {
      const isClass = code.slice(beginning(code, at), at).some((each) => classWords.has(each.text));
      blocks.push(isClass ? "class" : "code");
    } else if (token.text === "}") blocks.pop();
    else if (blocks.at(-1) !== "code" && isDefined(code, at)) {
      const begin = beginning(code, at);
      const open = !code.slice(begin, at).some((each) => access.has(each.text));
      found.push({ begin, outside: blocks.length === 0, open });
    }
  }
  return found;
}

/** True for a sketch that is a list of statements without functions: all of it is its setup. */
export function isPlain(text: string): boolean {
  return !functionsOf(codeOf(text)).some(({ outside }) => outside);
}

/**
 * A sketch as a class: what it imports stands before, in the first line, too; its functions can be called; decimal numbers are floats;
 * `int(...)` and the like are calls; colours are whole numbers. `mainEnd`: where its main file ends, if others stand behind it (tabs.ts).
 */
export function prepareSketch(text: string, mainEnd = text.length): Prepared {
  const code = codeOf(text);
  const functions = functionsOf(code);
  const plain = !functions.some(({ outside, begin }) => outside && (code[begin]?.from ?? 0) < mainEnd);
  const changes: Change[] = [];
  // What stands in other files is no part of the setup; it begins on a line of its own.
  if (plain && mainEnd < text.length)
    changes.push({ at: mainEnd + (text.startsWith("\r\n", mainEnd) ? 2 : 1), length: 0, put: "}" });
  // Known without being asked for.
  const imports = ["import java.util.ArrayList;", "import java.util.HashMap;"];
  for (const [at, token] of code.entries()) {
    const [before, next] = [code[at - 1], code[at + 1]];
    if (token.text === "import" && (before === undefined || before.text === ";")) {
      const end = code.findIndex((each, place) => place > at && each.text === ";");
      const last = code[end];
      if (last && last.line === token.line) {
        const length = last.to - token.from;
        imports.push(text.slice(token.from, token.from + length));
        changes.push({ at: token.from, length, put: " ".repeat(length) });
      }
    }
    const written = token.text;
    if (token.kind === "number" && written.startsWith("#"))
      changes.push({ at: token.from, length: 1, put: written.length === 7 ? "0xff" : "0x" });
    else if (
      token.kind === "number" &&
      /^(?:\d[\d_]*\.[\d_]*|\.\d[\d_]*|\d[\d_]*(?=[eE]))(?:[eE][+-]?\d+)?$/.test(written)
    )
      changes.push({ at: token.from + written.length, length: 0, put: "f" });
    else if (written === "color" && token.kind === "name" && next?.text !== "(" && before?.text !== ".") {
      if (next?.kind === "name" || next?.text === "[" || next?.text === ">" || next?.text === ")")
        changes.push({ at: token.from, length: written.length, put: "int  " });
    } else if (token.kind === "name" && next?.text === "(" && ownOf(conversions, written))
      changes.push({ at: token.from, length: written.length, put: ownOf(conversions, written) ?? written });
  }
  for (const { begin, open } of functions)
    if (open) changes.push({ at: code[begin]?.from ?? 0, length: 0, put: "public " });
  // In the order of the text; of two at one place the one that was found first.
  changes.sort((one, other) => one.at - other.at || one.length - other.length);
  changes.unshift({
    ...{ at: 0, length: 0 },
    put: `${imports.join(" ")} public class ${sketchClass} extends ${above} { ${plain ? "/**/public void setup() { " : ""}`,
  });
  // A text may end in the first half of a line end.
  const lineEnd = text.endsWith("\r") ? " \n" : "\n";
  changes.push({ at: text.length, length: 0, put: `${lineEnd}${plain && mainEnd === text.length ? "}}" : "}"}` });
  return { text: changed(text, changes), changes };
}

function changed(text: string, changes: readonly Change[]): string {
  const parts: string[] = [];
  let from = 0;
  for (const { at, length, put } of changes) {
    parts.push(text.slice(from, at), put);
    from = at + length;
  }
  return `${parts.join("")}${text.slice(from)}`;
}

/** The offset in the student's text that an offset in the prepared one belongs to. */
export function ownOffset({ changes }: Pick<Prepared, "changes">, offset: number): number {
  let shift = 0;
  for (const { at, length, put } of changes) {
    const begins = at + shift;
    if (offset < begins) break;
    if (offset < begins + put.length) return at + Math.min(offset - begins, length);
    shift += put.length - length;
  }
  return offset - shift;
}

/** Lines, with an empty one behind a last line end. */
const linesOf = (text: string) => text.split(/\r\n|\n|\r/);

/**
 * What the translator said of a prepared text, as of the student's own: the lines that it quotes are the student's, with the arrow under the same place.
 * `file` is the name under which it was translated.
 */
export function ownMessages(said: string, file: string, own: string, prepared: Prepared): string {
  const [ownLines, madeLines] = [linesOf(own), linesOf(prepared.text)];
  const [ownBegins, madeBegins] = [lineStarts(own), lineStarts(prepared.text)];
  // What the translator misses at the end it looks for behind the last brace, which is not the student's.
  const lastLine = Math.max(1, ownLines.findLastIndex((each) => each.trim() !== "") + 1);
  const ownLine = (made: number) => (made > ownLines.length ? lastLine : made);
  let line = 0;
  let quoted = false;
  return said
    .split("\n")
    .map((each) => {
      const place = each.startsWith(`${file}:`) ? /^(\d+): /.exec(each.slice(file.length + 1)) : null;
      if (place) {
        line = Number(place[1]);
        quoted = false;
        return `${file}:${ownLine(line)}: ${each.slice(file.length + 1 + place[0].length)}`;
      }
      if (line > 0 && !quoted && each === madeLines[line - 1]) {
        quoted = true;
        return ownLines[ownLine(line) - 1] ?? "";
      }
      if (!quoted || !/^ *\^$/.test(each)) return each;
      const offset = ownOffset(prepared, (madeBegins[line - 1] ?? 0) + each.length - 1);
      const text = ownLines[ownLine(line) - 1] ?? "";
      const column = line > ownLines.length ? text.trimEnd().length - 1 : offset - (ownBegins[line - 1] ?? own.length);
      line = 0;
      return `${" ".repeat(Math.max(0, Math.min(column, text.length)))}^`;
    })
    .join("\n");
}
