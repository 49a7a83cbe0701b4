import * as z from "zod";
import type { Language } from "../languages/language.ts";
import type { Writing } from "../languages/writing.ts";
import { lineTexts } from "../source/lines.ts";
import { lineAt, lineStarts } from "../syntax/placed.ts";
import { isStatement, type SyntaxNode, walk } from "../syntax/tree.ts";

/** Lines are those of the main file, from 1. Expressions and values are written in the program's language. */
export const probeSchema = z.discriminatedUnion("kind", [
  z.object({ kind: z.literal("off"), line: z.number().int().positive() }),
  z.object({
    kind: z.literal("print"),
    line: z.number().int().positive(),
    expression: z.string().trim().min(1).max(400),
  }),
  z.object({
    kind: z.literal("set"),
    line: z.number().int().positive(),
    name: z.string().trim().min(1).max(200),
    value: z.string().trim().min(1).max(400),
  }),
]);
/** A line switched off, a value printed behind a line, or a value tried there. */
export type Probe = z.infer<typeof probeSchema>;

/** A program with probes in it, every line where it was; or why it cannot have them, in words for a person. */
export type Probed = { ok: true; text: string } | { ok: false; message: string };

type Change = { from: number; to: number; text: string; order: number };

/** Text that stands before a printed value: which probe it is of, by its place from 1. */
export const mark = (place: number) => `<<${place}>> `;

/**
 * Puts probes into a copy of a program so that each of its lines keeps its number. What is switched off is the whole statement
 * that begins on the line, with its block. A value is printed, or set, behind a simple statement; before one that leaves; and
 * at the head of its block where the line opens one, so each time that it is entered.
 */
export function applyProbes(language: Language, program: string, probes: readonly Probe[]): Probed {
  const { writing } = language;
  if (!language.syntax || !writing)
    return { ok: false, message: `Nothing can be put into a program in ${language.name} here.` };
  const tree = language.syntax(program);
  const starts = lineStarts(program);
  const texts = lineTexts(program);
  const firsts = statementsByLine(tree, program, starts);
  const off = probes.filter((probe) => probe.kind === "off").map((probe) => probe.line);
  const changes: Change[] = [];
  const isOff = new Set<number>();
  for (const line of [...new Set(off)].sort((one, other) => one - other)) {
    // It is off already with the statement around it.
    if (isOff.has(line)) continue;
    const own = firsts.get(line);
    if (!own) return { ok: false, message: nothingThere(line, texts) };
    const last = lineAt(starts, own.node.to - 1);
    const rest = program.slice(own.node.to, (starts[last] ?? program.length + 1) - 1).trim();
    if (!/^;?\s*(?:$|#|\/\/|%|\{|\(\*|\/\*)/.test(rest))
      return {
        ok: false,
        message: `Line ${last} holds more than the statement that begins in line ${line}, so it cannot be switched off alone.`,
      };
    for (let at = line; at <= last; at++) isOff.add(at);
    const indent = /^[ \t]*/.exec(texts[line - 1] ?? "")?.[0] ?? "";
    for (let at = line; at <= last; at++) {
      const from = starts[at - 1] ?? 0;
      const text = texts[at - 1] ?? "";
      const instead = at === line ? `${indent}${writing.narrowing.nothing}` : indent;
      changes.push({
        from,
        to: from + text.length,
        text: `${instead}${writing.narrowing.comment} ${text.trim()}`,
        order: 0,
      });
    }
  }
  for (const [place, probe] of probes.entries()) {
    if (probe.kind === "off" || isOff.has(probe.line)) continue;
    const own = firsts.get(probe.line);
    if (!own) return { ok: false, message: nothingThere(probe.line, texts) };
    const words =
      probe.kind === "print"
        ? writing.narrowing.print(mark(place + 1), probe.expression)
        : `${probe.name} ${writing.assign} ${probe.value}`;
    const put = putBeside(own, words, program, writing, place);
    if (!put)
      return { ok: false, message: `Line ${probe.line} opens nothing that a value could be printed or set in.` };
    const within = put.map((change) => lineAt(starts, change.from)).find((line) => isOff.has(line));
    if (within !== undefined)
      return {
        ok: false,
        message: `What is to stand at line ${probe.line} would be in line ${within}, which is switched off.`,
      };
    changes.push(...put);
  }
  const ordered = changes.sort((one, other) => one.from - other.from || one.to - other.to || one.order - other.order);
  let text = "";
  let at = 0;
  for (const change of ordered) {
    text += program.slice(at, change.from) + change.text;
    at = change.to;
  }
  return { ok: true, text: text + program.slice(at) };
}

function nothingThere(line: number, texts: readonly string[]): string {
  return line > texts.length
    ? `There is no line ${line}.`
    : `No statement begins in line ${line}. Choose the line where one begins.`;
}

type Own = { node: SyntaxNode; parent: SyntaxNode | null };

/** The outermost statement or function that begins each line. */
function statementsByLine(tree: SyntaxNode, program: string, starts: readonly number[]): Map<number, Own> {
  const found = new Map<number, Own>();
  walk(tree, (node, around) => {
    if (!isStatement(node) && node.kind !== "function") return;
    const line = lineAt(starts, node.from);
    const before = program.slice(starts[line - 1] ?? 0, node.from);
    if (before.trim() === "" && !found.has(line)) found.set(line, { node, parent: around.at(-1) ?? null });
  });
  return found;
}

/** The offset behind the sign or word that opens a block; null where only its layout does. */
export function behindOpener(program: string, block: SyntaxNode): number | null {
  const opener = /^(?:\{|begin\b)/i.exec(program.slice(block.from, block.from + 6))?.[0];
  return opener === undefined ? null : block.from + opener.length;
}

/** The changes that put a statement beside another. */
function putBeside(own: Own, words: string, program: string, writing: Writing, order: number): Change[] | null {
  const { node, parent } = own;
  const insert = (at: number, text: string, ahead = 0): Change => ({ from: at, to: at, text, order: order + ahead });
  const { ends, wrap } = writing.narrowing;
  const block = node.children.find((child) => child.kind === "block");
  const isHeader =
    node.kind === "function" || ["if", "while", "do", "for", "foreach", "try", "switch"].includes(node.kind);
  if (isHeader) {
    const body = node.children.find((child) => child.role === "body") ?? block;
    if (!body) return null;
    if (body.kind !== "block") return putBeside({ node: body, parent: node }, words, program, writing, order);
    const head = behindOpener(program, body);
    if (head !== null) return [insert(head, ` ${words}${ends}`)];
    const first = body.children.find((child) => isStatement(child));
    if (!first) return null;
    const isPlain = !first.children.some((child) => child.kind === "block") && !["if", "try"].includes(first.kind);
    return writing.blocks.by === "indentation" && !isPlain
      ? putBeside({ node: first, parent: body }, words, program, writing, order)
      : [insert(first.from, `${words}${writing.blocks.by === "indentation" ? ";" : ends} `)];
  }
  const isAlone = parent !== null && parent.kind !== "block" && (node.role === "body" || node.role === "otherwise");
  const whole = program.slice(node.from, node.to);
  // Where a sign parts statements, it stays behind what is put there.
  const end = writing.blocks.by === "two words" && whole.endsWith(";") ? node.to - 1 : node.to;
  const leaves = node.kind === "return" || node.kind === "leave";
  const separator = writing.narrowing.between(whole);
  const text = leaves ? "" : `${separator}${words}${writing.blocks.by === "two words" ? "" : ends}`;
  const ahead = leaves ? `${words}${writing.blocks.by === "indentation" ? ";" : ends} ` : "";
  if (isAlone && wrap)
    return [insert(node.from, `${wrap[0]} ${ahead}`, -1000), insert(end, `${text} ${wrap[1]}`, 1000)];
  return [...(ahead ? [insert(node.from, ahead)] : []), ...(text ? [insert(end, text)] : [])];
}

/** A piece of what came out: a printed value with the place of its probe from 1, or anything else of the program's own. */
export type ProbedPiece = { probe: number | null; text: string };

/** Takes printed values out of what a program with probes wrote; each ends at its line's end. */
export function readProbed(output: string): ProbedPiece[] {
  const pieces: ProbedPiece[] = [];
  let at = 0;
  for (const found of output.matchAll(/<<(\d{1,3})>> ([^\n]*)\n?/g)) {
    if (found.index > at) pieces.push({ probe: null, text: output.slice(at, found.index) });
    pieces.push({ probe: Number(found[1]), text: (found[2] ?? "").trimEnd() });
    at = found.index + found[0].length;
  }
  if (at < output.length) pieces.push({ probe: null, text: output.slice(at) });
  return pieces;
}

/** A probe in words: "line 4 off", "print total behind line 4". */
export function probeWords(probe: Probe): string {
  if (probe.kind === "off") return `line ${probe.line} off`;
  return probe.kind === "print"
    ? `print ${probe.expression} at line ${probe.line}`
    : `${probe.name} set to ${probe.value} at line ${probe.line}`;
}
