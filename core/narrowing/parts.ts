import type { Language } from "../languages/language.ts";
import { lineAt, lineStarts } from "../syntax/placed.ts";
import { isStatement, nodesOf, part, parts, type SyntaxNode, walk } from "../syntax/tree.ts";
import { behindOpener, mark } from "./probes.ts";

/** A part of a program: a function with its lines (first and last, from 1) and the names of what it is given. */
export type ProgramPart = { name: string; from: number; to: number; parameters: string[]; calls: string[] };

/** Parts of a plan at most. */
const mostParts = 40;

/**
 * The functions of a program in an order in which they can be written and tested one by one: each behind those that it calls, as
 * far as they do not call one another. The one that the program starts with is none.
 */
export function partsOf(language: Language, program: string): ProgramPart[] {
  if (!language.syntax) return [];
  const starts = lineStarts(program);
  const found = new Map<string, ProgramPart>();
  const tree = language.syntax(program);
  walk(tree, (node) => {
    const name = node.kind === "function" ? part(node, "definition")?.sign : undefined;
    if (!name || isMain(name) || found.has(name)) return;
    const names = node.children.filter((child) => child.kind === "parameter" && child.role !== "target");
    const own = names.flatMap((child) => (child.sign ?? lastName(program, child)) || []);
    const [from, to] = [lineAt(starts, node.from), lineAt(starts, Math.max(node.from, node.to - 1))];
    found.set(name, { name, from, to, parameters: own, calls: [] });
  });
  walk(tree, (node, around) => {
    const inside = around.findLast((each) => each.kind === "function");
    const caller = found.get((inside && part(inside, "definition")?.sign) ?? "");
    const callee = node.kind === "call" ? part(node, "callee") : undefined;
    const name = callee?.sign ?? (callee ? lastName(program, callee) : "");
    if (caller && name !== caller.name && found.has(name) && !caller.calls.includes(name)) caller.calls.push(name);
  });
  const ordered: ProgramPart[] = [];
  const place = (one: ProgramPart, way: readonly string[]) => {
    if (ordered.includes(one) || way.includes(one.name)) return;
    for (const name of one.calls) {
      const called = found.get(name);
      if (called) place(called, [...way, one.name]);
    }
    ordered.push(one);
  };
  for (const one of found.values()) place(one, []);
  return ordered.slice(0, mostParts);
}

function isMain(name: string): boolean {
  return name.toLowerCase() === "main";
}

/** The last name in a piece of text, as of a parameter behind its type. */
function lastName(program: string, node: SyntaxNode): string {
  const text = program.slice(node.from, node.to).replace(/\s*[=:].*$/s, "");
  return /([\p{L}_][\p{L}\d_]*)\s*(?:\[\s*\])*\s*$/u.exec(text)?.[1] ?? "";
}

/**
 * A copy of a program that first prints the value of an expression: at the head of the function that it starts with, of its main
 * block, or before the first statement behind its last function. Null where it has no such place.
 */
export function withPartCheck(language: Language, program: string, expression: string): string | null {
  const { writing, syntax } = language;
  if (!writing || !syntax) return null;
  const tree = syntax(program);
  const words = `${writing.narrowing.print(mark(1), expression)}${writing.narrowing.ends}`;
  const put = (at: number, text: string) => program.slice(0, at) + text + program.slice(at);
  const main = nodesOf(tree).find((node) => node.kind === "function" && isMain(part(node, "definition")?.sign ?? ""));
  const block = (main && part(main, "body")) ?? (writing.blocks.by === "two words" ? mainBlock(tree) : undefined);
  const head = block ? behindOpener(program, block) : null;
  if (head !== null) return put(head, ` ${words}`);
  if (writing.blocks.by === "braces" || writing.blocks.by === "two words") return null;
  const behind = Math.max(0, ...tree.children.filter((node) => node.kind === "function").map((node) => node.to));
  const first = tree.children.find((node) => node.from >= behind && isStatement(node));
  if (first) return put(first.from, `${words}\n`);
  return `${program}${program.endsWith("\n") || program === "" ? "" : "\n"}${words}\n`;
}

function mainBlock(tree: SyntaxNode): SyntaxNode | undefined {
  return parts(tree, "body").at(-1) ?? tree.children.findLast((node) => node.kind === "block");
}
