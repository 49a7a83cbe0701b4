import { editContext } from "../edits/context.ts";
import { calledName, ofKind } from "../edits/places.ts";
import type { Language } from "../languages/language.ts";
import type { SyntaxNode } from "../syntax/tree.ts";
import type { Trace } from "./trace.ts";

/**
 * What a read found waiting, took, and left, with line ends as `\n`; `line` is that of the read, from 1. `note` says why it got
 * nothing, where an earlier one left that behind.
 */
export type ReadStep = { line: number; read: string; before: string; took: string; left: string; note: string };

/** What a read takes: a whole line with its end; the next word, behind blanks and line ends; one sign; or the rest of the line. */
type Takes = "line" | "word" | "sign" | "rest";

/** Reads by the name that is called; the first that fits. A list: one for each thing that is read, in order. */
const kinds: ReadonlyArray<[RegExp, Takes]> = [
  [/^(?:input|raw_input|readline|nextline|fgets|gets|getline|fgetl|readln|readlines)$/i, "line"],
  [/^(?:getchar|getc|fgetc|read)$/i, "sign"],
  [/^(?:next\w*|scanf|fscanf)$/i, "word"],
];

/** Reads that are shown at most. */
const most = 200;

/**
 * What each read of a recorded run took of what was typed in, and what it left waiting: so that a read that seems to be skipped
 * is seen to have got what an earlier one left. By the ways in which each language's reads take their input.
 */
export function readSteps(language: Language, program: string, trace: Pick<Trace, "steps">): ReadStep[] {
  const context = editContext(language, program);
  if (!context) return [];
  const { library } = context.writing;
  const byLine = new Map<number, Array<{ name: string; takes: Takes[] }>>();
  for (const { node } of ofKind(context, "call")) {
    const name = calledName(node);
    if (!library.reads(name)) continue;
    const line = context.lineOf(node.from);
    const reads = byLine.get(line) ?? [];
    reads.push({ name, takes: takesOf(program, name, node) });
    byLine.set(line, reads);
  }
  const found: ReadStep[] = [];
  let waiting = "";
  let before: number | null = null;
  for (const step of trace.steps) {
    if (step.file !== 0) continue;
    const reads = byLine.get(step.line);
    if (step.in !== undefined) waiting += step.in.endsWith("\n") ? step.in : `${step.in}\n`;
    if (!reads || step.calls) continue;
    for (const read of reads) {
      if (found.length >= most) return found;
      const had = waiting;
      let took = "";
      for (const takes of read.takes) {
        const got = take(waiting, takes);
        took += got;
        waiting = waiting.slice(got.length);
      }
      const isEmpty = took.replace(/\n$/, "") === "" && had.startsWith("\n");
      const note =
        isEmpty && before !== null && before !== step.line && step.in === undefined
          ? `It got only the line end that the read in line ${before} had left.`
          : "";
      found.push({ line: step.line, read: read.name, before: had, took, left: waiting, note });
      before = step.line;
    }
  }
  return found;
}

function take(waiting: string, takes: Takes): string {
  const form = { line: /^[^\n]*\n?/, word: /^\s*\S+/, sign: /^[\s\S]?/, rest: /^[^\n]*/ }[takes];
  return form.exec(waiting)?.[0] ?? "";
}

function takesOf(program: string, name: string, node: SyntaxNode): Takes[] {
  const text = program.slice(node.from, node.to);
  if (/scanf$/i.test(name)) return formatTakes(text);
  if (/^read(?:ln)?$/i.test(name) && node.children.some((child) => child.role === "argument"))
    return typedTakes(program, name, node);
  return [kinds.find(([form]) => form.test(name))?.[1] ?? "line"];
}

/** By the letters of a format: `%c` takes one sign, unless a blank before it skips blanks first; the others the next word. */
function formatTakes(text: string): Takes[] {
  const format = /"((?:[^"\\]|\\.)*)"/.exec(text)?.[1] ?? "";
  return [...format.matchAll(/(\s?)%(?!%)(\*?)\d*(?:l{0,2}|h{0,2})(\[\^?\]?[^\]]*\]|[a-zA-Z])/g)].map(
    ([, blank, , letter]) => (letter === "c" && blank === "" ? "sign" : letter?.startsWith("[") ? "rest" : "word"),
  );
}

/** A variable of one sign takes one, a text the rest of the line, a number the next word; `readln` takes what is left of the line. */
function typedTakes(program: string, name: string, node: SyntaxNode): Takes[] {
  const typeOf = (variable: string) =>
    new RegExp(`\\b${variable}\\b[\\w\\s,]*:\\s*(\\w+)`, "i").exec(program)?.[1]?.toLowerCase() ?? "integer";
  const takes = node.children
    .filter((child) => child.role === "argument")
    .map((child): Takes => {
      const variable = /^\w+/.exec(program.slice(child.from, child.to))?.[0] ?? "";
      const type = variable ? typeOf(variable) : "integer";
      return type === "char" ? "sign" : type.endsWith("string") ? "rest" : "word";
    });
  return /ln$/i.test(name) ? [...takes, "line"] : takes;
}
