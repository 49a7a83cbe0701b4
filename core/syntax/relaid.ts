import type { Language } from "../languages/language.ts";
import { lineTexts } from "../source/lines.ts";
import { lineAt, lineStarts, type PlacedToken, placed } from "./placed.ts";
import { isStatement, type SyntaxKind, type SyntaxNode, walk } from "./tree.ts";

/**
 * A line of a copy that is laid out as the translator reads the program. `line` is where it stands in the original, from 1;
 * `depth` how many blocks it lies in. `note` says what the original's layout hides; "" where it hides nothing.
 */
export type RelaidLine = { line: number; depth: number; text: string; note: string };

/** The copy; `upTo`: the line from which on it is a guess, since the text does not fit the grammar there; null where it fits. */
export type Relaid = { lines: RelaidLine[]; upTo: number | null };

const heads: ReadonlySet<SyntaxKind> = new Set(["function", "class", "case", "import"] as const);
const controls: ReadonlySet<SyntaxKind> = new Set(["if", "while", "do", "for", "foreach"] as const);
/** What a statement of its own may follow on one line. */
const before = new Set("; { } ) : begin then do else repeat try finally of , end".split(" "));
/** Words that go on with the statement before them. */
const onward = new Set("else elseif elsif elif except catch finally until otherwise".split(" "));
const openers = new Set(["{", "begin", ":"]);
const closers = /^(?:\}|end\w*|end_try_catch)$/;

/** Characters of a program beyond which none is laid out. */
const longest = 100_000;

/** What is known of a place where a statement begins: those beside it in its block, and the statement that it goes on with. */
type Begun = { node: SyntaxNode; parent: SyntaxNode };

/**
 * Lays a program out anew by its structure alone: each statement on a line of its own, indented by the blocks that it is in.
 * A statement that stands indented under a block that it does not belong to goes where it does, and says so; so does an
 * `else` under another `if`. Nothing of the text but its layout is changed.
 */
export function relaid(language: Language, program: string): Relaid | null {
  if (!language.syntax || program.length > longest) return null;
  const tree = language.syntax(program);
  const tokens = placed(program, language.tokens(program));
  const starts = lineStarts(program);
  const texts = lineTexts(program);
  const begun = new Map<number, Begun>();
  let upTo: number | null = null;
  const depths = depthChanges(tree, program, tokens);
  walk(tree, (node, around) => {
    const parent = around.at(-1);
    if (node.kind === "error") upTo = Math.min(upTo ?? Number.POSITIVE_INFINITY, lineAt(starts, node.from));
    if (parent && (isStatement(node) || heads.has(node.kind)) && !begun.has(node.from))
      begun.set(node.from, { node, parent });
  });
  const pieces = cut(tokens, begun);
  const width = (line: number) => /^[ \t]*/.exec(texts[line - 1] ?? "")?.[0].replaceAll("\t", "    ").length ?? 0;
  const notes = createNotes(begun, tokens, starts, width);
  const lines: RelaidLine[] = [];
  let depth = 0;
  let at = 0;
  const changes = [...depths].sort(([one], [other]) => one - other);
  for (const [number, piece] of pieces.entries()) {
    for (; (changes[at]?.[0] ?? Number.POSITIVE_INFINITY) <= piece.from; at++) depth += changes[at]?.[1] ?? 0;
    const text = program.slice(piece.from, pieces[number + 1]?.from ?? program.length).trimEnd();
    lines.push({
      line: piece.line,
      depth: depth + Number(piece.goesFurther),
      text,
      note: piece.startsLine ? notes(piece) : "",
    });
  }
  return { lines, upTo };
}

/** The copy as a text that can be run: each block four blanks further in. */
export function relaidText({ lines }: Pick<Relaid, "lines">): string {
  return lines.map(({ depth, text }) => `${"    ".repeat(depth)}${text}\n`).join("");
}

type Piece = { from: number; line: number; text: string; startsLine: boolean; goesFurther: boolean };

/** Where lines of the copy begin: at every line of the original that holds a token, and before each further statement on one. */
function cut(tokens: readonly PlacedToken[], begun: ReadonlyMap<number, Begun>): Piece[] {
  const pieces: Piece[] = [];
  let last: PlacedToken | undefined;
  let open = false;
  for (const token of tokens) {
    const word = token.text.toLowerCase();
    const startsLine = !last || token.line > last.line + (last.text.match(/\n/g)?.length ?? 0);
    const former = last?.text.toLowerCase() ?? "";
    const own = begun.get(token.from);
    const isChain = former === "else" && own?.node.kind === "if";
    const begins = own !== undefined && !isChain && (startsLine || before.has(former) || open);
    const closes = closers.test(word) && last !== undefined && !openers.has(former);
    const goesOn = onward.has(word) && token.kind !== "text" && !closers.test(former);
    // What closes a block on the line where that was opened stays there only if nothing lies between.
    if (startsLine || ((begins || closes || goesOn) && token.kind !== "comment")) {
      const isSign = closers.test(word) || onward.has(word) || openers.has(word) || token.kind === "comment";
      const goesFurther = !begins && !isSign && isInside(token, begun);
      pieces.push({ from: token.from, line: token.line, text: word, startsLine, goesFurther });
    }
    open = openers.has(word);
    if (token.kind !== "comment" || startsLine) last = token;
  }
  return pieces;
}

/** True for a token within a simple statement or a header that began before it. */
function isInside(token: PlacedToken, begun: ReadonlyMap<number, Begun>): boolean {
  for (const [from, { node }] of begun) {
    if (from >= token.from || token.from >= node.to) continue;
    const body = node.children.find((child) => child.kind === "block" || child.role === "body" || isStatement(child));
    if (token.from < (body?.from ?? node.to)) return true;
  }
  return false;
}

/** By how much the depth changes at an offset. */
function depthChanges(tree: SyntaxNode, program: string, tokens: readonly PlacedToken[]): Map<number, number> {
  const changes = new Map<number, number>();
  const deeper = (from: number, to: number) => {
    if (to <= from) return;
    changes.set(from, (changes.get(from) ?? 0) + 1);
    changes.set(to, (changes.get(to) ?? 0) - 1);
  };
  const byStart = new Map(tokens.map((token) => [token.from, token]));
  walk(tree, (node, around) => {
    const parent = around.at(-1);
    if (node.kind === "block") {
      const opener = byStart.get(node.from);
      const isOpened = opener !== undefined && openers.has(opener.text.toLowerCase());
      const closer = /(?:\}|end)$/i.exec(program.slice(node.from, node.to).trimEnd());
      const to = node.from + program.slice(node.from, node.to).trimEnd().length;
      deeper(isOpened ? (opener?.to ?? node.from) : node.from, isOpened && closer ? to - closer[0].length : to);
    } else if (parent && controls.has(parent.kind) && isStatement(node)) {
      const isChain = node.role === "otherwise" && node.kind === "if";
      if ((node.role === "body" || node.role === "otherwise") && !isChain) deeper(node.from, node.to);
    } else if (node.kind === "case" && parent?.kind === "switch") deeper(node.from, node.to);
    else if (parent?.kind === "case" && isStatement(node)) deeper(node.from, node.to);
    // What follows a case in the block of its switch belongs to it.
    if (parent?.kind === "block" && around.at(-2)?.kind === "switch" && node.kind !== "case")
      deeper(node.from, node.to);
  });
  return changes;
}

/** What the layout of a line hides: the block that it is indented under and does not belong to, or the `if` of an `else`. */
function createNotes(
  begun: ReadonlyMap<number, Begun>,
  tokens: readonly PlacedToken[],
  starts: readonly number[],
  width: (line: number) => number,
): (piece: Piece) => string {
  const lineOf = (offset: number) => lineAt(starts, offset);
  const code = tokens.filter((token) => token.kind !== "comment");
  const firstOf = new Map<number, PlacedToken>();
  for (const token of code) if (!firstOf.has(token.line)) firstOf.set(token.line, token);
  return (piece) => {
    const own = begun.get(piece.from);
    if (own) {
      const beside = own.parent.children.filter((child) => begun.get(child.from)?.node === child);
      const former = beside.filter((child) => child.from < own.node.from).at(-1);
      if (!former || !controls.has(former.kind)) return "";
      const head = lineOf(former.from);
      if (lineOf(former.to - 1) >= piece.line || width(piece.line) <= width(head)) return "";
      return `does not belong to the ${former.sign ?? former.kind} of line ${head}: it runs whatever comes of that`;
    }
    if (piece.text !== "else") return "";
    // The innermost `if` that this word lies in is its own.
    let owner: SyntaxNode | null = null;
    for (const { node } of begun.values())
      if (node.kind === "if" && node.from < piece.from && piece.from < node.to && (!owner || node.from > owner.from)) {
        const otherwise = node.children.find((child) => child.role === "otherwise");
        if (otherwise && otherwise.from >= piece.from) owner = node;
      }
    if (!owner) return "";
    const head = lineOf(owner.from);
    return width(piece.line) < width(head) && firstOf.get(head)?.from === owner.from
      ? `belongs to the if of line ${head}, the nearest one without an else`
      : "";
  };
}
