import { ownOf } from "../source/ownOf.ts";
import { tokensWithin } from "../syntax/placed.ts";
import { isStatement, nodesOf, part, type SyntaxNode } from "../syntax/tree.ts";
import type { EditContext, EditLine, Placed } from "./edit.ts";

/** Where the operator of a binary node or an assignment stands: what lies between its two sides without blanks. */
export function signPlace(context: EditContext, node: SyntaxNode): { from: number; to: number } | null {
  const left = node.children[0];
  const right = node.children[1];
  const from = left?.to ?? node.from;
  const to = right?.from ?? node.to;
  const signs = tokensWithin(context.code, from, to);
  const words = (node.sign ?? "").split(" ");
  const first = signs.findIndex((token) => token.text.toLowerCase() === words[0]?.toLowerCase());
  const start = signs[first];
  const end = signs[first + words.length - 1];
  return start && end ? { from: start.from, to: end.to } : null;
}

/** True for a sign that puts two values in order. */
export function isOrder(sign: string | undefined): boolean {
  return /^(?:[<>]=?|=[<>]|[≤≥])$/.test(sign ?? "");
}

/** The other truth, in the letters of the one that is written; undefined for what is none. */
export function otherTruth(text: string): string | undefined {
  const other = ownOf({ true: "false", false: "true" }, text.toLowerCase());
  if (other === undefined) return undefined;
  if (text === text.toLowerCase()) return other;
  return text === text.toUpperCase() ? other.toUpperCase() : other.charAt(0).toUpperCase() + other.slice(1);
}

/** Statements that stand one after another in the same block (or at the top of the program). */
export function blocksOf(
  context: EditContext,
): Array<{ block: SyntaxNode; statements: SyntaxNode[]; around: readonly SyntaxNode[] }> {
  return context.nodes.flatMap(({ node, around }) => {
    if (node.kind !== "block" && node.kind !== "program" && node.kind !== "case") return [];
    const statements = node.children.filter((child) => isStatement(child));
    return statements.length > 0 ? [{ block: node, statements, around }] : [];
  });
}

/**
 * The whole lines that a node stands on, if nothing else stands there (a comment may): offsets from the first line's
 * beginning to behind the last one's line end.
 */
export function wholeLines(
  context: EditContext,
  node: { from: number; to: number },
): { from: number; to: number; first: EditLine; last: EditLine } | null {
  const first = context.lines[context.lineOf(node.from) - 1];
  const last = context.lines[context.lineOf(Math.max(node.from, node.to - 1)) - 1];
  if (!first || !last) return null;
  const before = first.code.some((token) => token.from < node.from);
  const after = last.code.some((token) => token.from >= node.to && token.text !== context.writing.statementEnd);
  if (before || after) return null;
  const next = context.lines[last.number];
  return { from: first.from, to: next ? next.from : context.text.length, first, last };
}

/** The blanks by which a block is usually indented further than what is around it. */
export function indentUnit(context: EditContext): string {
  const found = new Map<string, number>();
  let before = "";
  for (const line of context.lines) {
    if (line.code.length === 0) continue;
    if (line.indent.length > before.length && line.indent.startsWith(before)) {
      const unit = line.indent.slice(before.length);
      found.set(unit, (found.get(unit) ?? 0) + 1);
    }
    before = line.indent;
  }
  return [...found].sort((one, other) => other[1] - one[1])[0]?.[0] ?? "    ";
}

/** Lines (each with its end) moved to another indentation, by what the first of them has and is to have. */
export function reindent(text: string, from: string, to: string): string {
  return text
    .split(/(?<=\n)/)
    .map((line) =>
      line.trim() === "" ? line : line.startsWith(from) ? to + line.slice(from.length) : to + line.trimStart(),
    )
    .join("");
}

/** The line end that a program uses. */
export function lineEndOf(context: EditContext): string {
  return /\r\n|\n|\r/.exec(context.text)?.[0] ?? "\n";
}

/** The function that a place stands in; the innermost where one stands in another. */
export function functionAround(around: readonly SyntaxNode[]): SyntaxNode | undefined {
  return around.findLast((each) => each.kind === "function");
}

/** True where a text takes the address of a name: it may be given a value that the text does not show. */
export function isAddressTaken(text: string, name: string): boolean {
  // Where a text is read that is none, a name may be any sign.
  return /^[\p{L}\p{N}_]+$/u.test(name) && new RegExp(String.raw`(?<!&)&\s*${name}\b`).test(text);
}

/** The nearest loop around a place. */
export function loopAround(around: readonly SyntaxNode[]): SyntaxNode | undefined {
  return around.findLast((each) => ["while", "do", "for", "foreach"].includes(each.kind));
}

/** The name that a call calls, without what stands before it: "upper" of name.upper(). */
export function calledName(node: SyntaxNode): string {
  return node.kind === "call" ? (part(node, "callee")?.sign ?? part(node, "type")?.sign ?? "") : "";
}

/** Names in a tree, each once. */
export function namesIn(node: SyntaxNode): string[] {
  const names = new Set<string>();
  const look = (each: SyntaxNode) => {
    if (each.kind === "name" && each.role !== "callee") names.add(each.sign ?? "");
    for (const child of each.children) look(child);
  };
  look(node);
  return [...names];
}

/** Names that something inside gives a value, as often as it does. */
export function namesGivenIn(node: SyntaxNode): string[] {
  return nodesOf(node).flatMap((each) => {
    const target = each.kind === "assignment" ? part(each, "target") : undefined;
    return target?.kind === "name" ? [target.sign ?? ""] : [];
  });
}

/** Nodes of some kinds, with those around them. */
export function ofKind(context: EditContext, ...kinds: Array<SyntaxNode["kind"]>): Placed[] {
  return context.nodes.filter(({ node }) => kinds.includes(node.kind));
}

/** True if a value may stand beside an operator of any strength without brackets. */
export function isSimple(node: SyntaxNode): boolean {
  return ["name", "number", "text", "constant", "call", "index", "field", "group", "list"].includes(node.kind);
}

/** The text of a value with brackets around it where it needs them beside other operators. */
export function bracketed(context: EditContext, node: SyntaxNode): string {
  const text = context.sourceOf(node);
  return isSimple(node) ? text : `(${text})`;
}

/** What a loop counts by, or the name that its elements get: none or one. */
export function countersOf(loop: SyntaxNode): string[] {
  const start = part(loop, "start") ?? part(loop, "target");
  return start ? namesIn(start).slice(0, 1) : [];
}

/** The names of a function's parameters, "" for one without; what results are given by is none of them. */
export function parametersOf(node: SyntaxNode): string[] {
  return node.children.flatMap(({ kind, role, sign }) =>
    kind === "parameter" && role !== "target" ? [sign ?? ""] : [],
  );
}

/** The name that a function is given where it is made; "" where it has none. */
export function nameOfFunction(node: SyntaxNode | undefined): string {
  return node?.children.find((child) => child.role === "definition" && child.kind === "name")?.sign ?? "";
}

/**
 * Functions whose result goes by their own name and that give it no value, nor in another way; with the last statement of
 * each. None in a language where results are given back by a word alone.
 */
export function functionsWithoutResult(
  context: EditContext,
): Array<{ name: string; body: SyntaxNode; last: SyntaxNode }> {
  const { resultByName } = context.writing;
  if (!resultByName) return [];
  return ofKind(context, "function").flatMap(({ node }) => {
    const name = nameOfFunction(node);
    const body = part(node, "body");
    const last = body?.children.at(-1);
    if (!body || !last || !resultByName.header.test(context.sourceOf(node))) return [];
    // A call of itself gives it none; anywhere else its name may get one, also as an argument.
    const isGiven = nodesOf(body).some(
      ({ kind, role, sign }) => kind === "name" && role !== "callee" && sign?.toLowerCase() === name.toLowerCase(),
    );
    return isGiven || resultByName.otherwise?.test(context.sourceOf(body)) ? [] : [{ name, body, last }];
  });
}
