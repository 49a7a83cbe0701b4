import * as z from "zod";
import type { Language } from "../languages/language.ts";
import { lineTexts } from "../source/lines.ts";
import { lineStarts, placed } from "../syntax/placed.ts";
import { nodesOf, part, type SyntaxNode, walk } from "../syntax/tree.ts";

/**
 * One number of a program's data, changed for a check of its own: `line` is the text of its line (blanks at the ends aside),
 * `name` what it is put into, `which` the how-manieth number of that line it is, from 0.
 */
export const dataChangeSchema = z.object({
  line: z.string(),
  name: z.string(),
  which: z.number().int().min(0),
  from: z.string(),
  to: z.string(),
});
export type DataChange = z.infer<typeof dataChangeSchema>;

type NumberOfData = { from: number; to: number; name: string; line: number; rank: number };

/**
 * Numbers in a program, those first that are data for sure: in a list, then what is put into a name once and never again, then
 * others (what is given to a function, a part of a formula). A start of a sum or a count is none of them.
 */
function numbersOfData(language: Language, text: string): NumberOfData[] {
  const tree = language.syntax?.(text);
  if (!tree) return [];
  const starts = lineStarts(text);
  const nodes = nodesOf(tree);
  const nameOf = (node: SyntaxNode | undefined) =>
    node?.kind === "index" ? (node.children[0]?.sign ?? "") : (node?.sign ?? "");
  const targets = nodes.flatMap((node) => (node.kind === "assignment" ? [nameOf(node.children[0])] : []));
  const oftenPut = new Set(targets.filter((name, at) => targets.indexOf(name) !== at));
  const found: NumberOfData[] = [];
  walk(tree, (node, around) => {
    if (node.kind !== "number") return;
    const put = around.findLast((each) => each.kind === "assignment");
    const inList = around.some((each) => each.kind === "list");
    const name = nameOf(put?.children[0]);
    const alone = put !== undefined && part(put, "value") === node;
    if (alone && oftenPut.has(name)) return;
    // What a loop counts by, and a length in a declaration, belong to how it is done.
    if (around.some((each) => each.role === "start" || each.role === "step" || each.role === "type")) return;
    if (!inList && around.some((each) => each.kind === "index")) return;
    const line = starts.findLastIndex((start) => start <= node.from) + 1;
    found.push({ from: node.from, to: node.to, name, line, rank: inList ? 0 : alone ? 1 : 2 });
  });
  return found;
}

/**
 * Changes of numbers in lines that a program and its mended one have in common and that belong to no fault: each number
 * becomes a little larger, at most `most` changes.
 */
export function proposeDataChanges(
  language: Language,
  program: string,
  faulty: ReadonlySet<number>,
  most: number,
): DataChange[] {
  const lines = lineTexts(program);
  const found: DataChange[] = [];
  const all = numbersOfData(language, program);
  for (const { from, to, name, line } of [...all].sort((one, other) => one.rank - other.rank)) {
    if (faulty.has(line)) continue;
    const text = program.slice(from, to);
    const number = Number(text);
    if (!Number.isFinite(number)) continue;
    const which = all.filter((each) => each.line === line && each.from < from).length;
    for (const other of [number + 3, number + 1])
      found.push({ line: (lines[line - 1] ?? "").trim(), name, which, from: text, to: String(other) });
  }
  return found.slice(0, most);
}

/**
 * A program with a number of its data changed: on the same line, else where the same value is put into the same name, else
 * where it is put into any. Null where it is put into nothing: then the program does not work with that data.
 */
export function withChangedData(language: Language, program: string, change: DataChange): string | null {
  const numbers = numbersOfData(language, program).filter(({ from, to }) => program.slice(from, to) === change.from);
  const lines = lineTexts(program);
  const all = numbersOfData(language, program);
  const found =
    numbers.find(
      (each) =>
        (lines[each.line - 1] ?? "").trim() === change.line &&
        all.filter((other) => other.line === each.line && other.from < each.from).length === change.which,
    ) ??
    numbers.find((each) => each.name === change.name) ??
    numbers[0] ??
    anywhere(language, program, change);
  return found ? program.slice(0, found.from) + change.to + program.slice(found.to) : null;
}

/** The first number of that value that is no part of what is printed as it stands. */
function anywhere(
  language: Language,
  program: string,
  { from: text }: DataChange,
): { from: number; to: number } | null {
  const tokens = placed(program, language.tokens(program)).filter((token) => token.kind === "number");
  return tokens.find((token) => token.text === text) ?? null;
}
