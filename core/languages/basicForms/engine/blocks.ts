import { atNewLine, herePlace, Misread, note, peek, placeOf, type Reader, skipLine, take, word } from "./reader.ts";
import type { Place } from "./tree.ts";

/** What a block is closed with, and how its ends and beginnings are refused where the other is missing (language reference, "Error messages"). */
type BlockRule = { closer: readonly string[]; open: string; unopened: string };

const blockRules: Readonly<Record<string, BlockRule>> = {
  if: { closer: ["end", "if"], open: "BC30081", unopened: "BC30087" },
  select: { closer: ["end", "select"], open: "BC30095", unopened: "BC30088" },
  for: { closer: ["next"], open: "BC30084", unopened: "BC30092" },
  do: { closer: ["loop"], open: "BC30083", unopened: "BC30091" },
  while: { closer: ["end", "while"], open: "BC30082", unopened: "BC30090" },
  with: { closer: ["end", "with"], open: "BC30085", unopened: "BC30093" },
  try: { closer: ["end", "try"], open: "BC30384", unopened: "BC30383" },
  using: { closer: ["end", "using"], open: "BC36008", unopened: "BC36007" },
  sub: { closer: ["end", "sub"], open: "BC30026", unopened: "BC30429" },
  function: { closer: ["end", "function"], open: "BC30027", unopened: "BC30430" },
  property: { closer: ["end", "property"], open: "BC30025", unopened: "BC30431" },
  get: { closer: ["end", "get"], open: "BC30631", unopened: "BC30630" },
  set: { closer: ["end", "set"], open: "BC30633", unopened: "BC30632" },
  module: { closer: ["end", "module"], open: "BC30625", unopened: "BC30622" },
  class: { closer: ["end", "class"], open: "BC30481", unopened: "BC30460" },
  structure: { closer: ["end", "structure"], open: "BC30624", unopened: "BC30621" },
  enum: { closer: ["end", "enum"], open: "BC30185", unopened: "BC30184" },
};

const capital = (text: string) => text[0]?.toUpperCase() + text.slice(1);

/** The end of a block as it is written. */
const closerOf = (block: string): string => (blockRules[block]?.closer ?? []).map(capital).join(" ");

/** How a block's beginning is called. */
const openerOf = (block: string): string => capital(block);

/** The block that the next words close; null where they close none. */
export function closes(reader: Reader): string | null {
  const first = word(reader);
  if (first === "next") return "for";
  if (first === "loop") return "do";
  if (first === "wend") return "while";
  if (first === "endif") return "if";
  if (first !== "end" || lineEndedBehind(reader)) return null;
  const second = word(reader, 1);
  return Object.hasOwn(blockRules, second) && blockRules[second]?.closer[1] === second ? second : null;
}

const lineEndedBehind = (reader: Reader): boolean => {
  const [one, next] = [peek(reader), peek(reader, 1)];
  return !next || !one || (next.line !== one.line && !next.carried);
};

/** Takes the words that close a block. */
function takeCloser(reader: Reader): void {
  if (/^(?:next|loop|wend|endif)$/.test(word(reader))) take(reader);
  else {
    take(reader);
    take(reader);
  }
}

/** The blocks that are open, the innermost last, with the place where each begins. */
export type Open = { reader: Reader; blocks: Array<{ block: string; place: Place }> };

/**
 * Closes a block that begins at a place; returns the line of its end. Where another end stands, this one's is missing: it is said of its
 * beginning, and the other end is left for the block that it belongs to.
 */
export function close(open: Open, block: string, place: Place): number {
  const { reader } = open;
  open.blocks.pop();
  if (closes(reader) === block) {
    const { line } = placeOf(peek(reader));
    takeCloser(reader);
    return line;
  }
  note(
    reader,
    place,
    blockRules[block]?.open ?? "BC30035",
    `${openerOf(block)} is opened here and never closed: ${closerOf(block)} is missing.`,
  );
  return placeOf(reader.tokens[reader.at - 1]).line;
}

const routineBlocks = new Set(["sub", "function", "get", "set"]);
const accessWords = new Set(["public", "private", "friend", "protected", "shared", "overrides", "overridable"]);

/** True where a routine, a property or a class begins. */
function beginsRoutine(reader: Reader): boolean {
  let at = 0;
  while (accessWords.has(word(reader, at))) at += 1;
  return /^(?:sub|function|property|class|module|structure)$/.test(word(reader, at));
}

/**
 * Reads what stands in a block, line by line, up to an end that closes an open block or to one of the words that part it. An end that closes
 * nothing is refused and passed over; a statement that cannot be read costs its line only.
 */
export function readLines(open: Open, parts: readonly string[], readOne: () => void): void {
  const { reader } = open;
  while (peek(reader)) {
    if (word(reader) === ":") {
      take(reader);
      continue;
    }
    // What stands there begins a line, as a statement does.
    reader.begin = reader.at;
    if (parts.includes(word(reader))) return;
    // A routine that begins inside of another says that the other one's end is missing.
    if (open.blocks.some(({ block }) => routineBlocks.has(block)) && beginsRoutine(reader)) return;
    const closed = closes(reader);
    if (closed !== null) {
      if (open.blocks.some(({ block }) => block === closed)) return;
      note(
        reader,
        herePlace(reader),
        blockRules[closed]?.unopened ?? "BC30035",
        `${closerOf(closed)} closes nothing here: ${openerOf(closed)} is missing above.`,
      );
      takeCloser(reader);
      skipLine(reader);
      continue;
    }
    const before = reader.at;
    try {
      readOne();
      if (reader.at > before && peek(reader) && !atNewLine(reader) && word(reader) !== ":") {
        note(reader, herePlace(reader), "BC30205", `The statement is over before “${peek(reader)?.text}”.`);
        skipLine(reader);
      }
    } catch (problem) {
      if (!(problem instanceof Misread)) throw problem;
      skipLine(reader);
    }
    if (reader.at === before) {
      take(reader);
      skipLine(reader);
    }
  }
}
