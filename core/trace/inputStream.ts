import { editContext } from "../edits/context.ts";
import { calledName, ofKind } from "../edits/places.ts";
import type { Language } from "../languages/language.ts";
import type { Takes } from "../languages/takes.ts";
import type { Trace } from "./trace.ts";

/**
 * What a read found waiting, took, and left, with line ends as `\n`; `line` is that of the read, from 1. `note` says why it got
 * nothing, where an earlier one left that behind; `step` is the recorded step.
 */
export type ReadStep = {
  step: number;
  line: number;
  read: string;
  before: string;
  took: string;
  left: string;
  note: string;
};

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
    reads.push({ name, takes: context.writing.takes({ name, program, node }) });
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
      found.push({ step: step.index, line: step.line, read: read.name, before: had, took, left: waiting, note });
      before = step.line;
    }
  }
  return found;
}

function take(waiting: string, takes: Takes): string {
  const form = { line: /^[^\n]*\n?/, word: /^\s*\S+/, sign: /^[\s\S]?/, rest: /^[^\n]*/, all: /^[\s\S]*/ }[takes];
  return form.exec(waiting)?.[0] ?? "";
}
