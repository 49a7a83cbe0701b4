import type { Language } from "../languages/language.ts";
import { lineAt, lineStarts } from "../syntax/placed.ts";
import { isLoop, part, type SyntaxNode, walk } from "../syntax/tree.ts";
import type { Trace } from "./trace.ts";

/**
 * A loop of the text by its lines (from 1): those of its header or condition, and those of what is done in it. `within` is the
 * number of loops around it.
 */
export type Loop = { header: number; from: number; to: number; within: number };

/** In which pass of a loop a step is, from 1; 0 on a header after which no pass has begun yet. */
export type PassOf = { loop: Loop; pass: number };

/** The loops of a text whose body stands on lines of its own, the outer ones first. */
export function loopsIn(language: Language, text: string): Loop[] {
  if (!language.syntax) return [];
  const starts = lineStarts(text);
  const found: Loop[] = [];
  walk(language.syntax(text), (node: SyntaxNode, around) => {
    if (!isLoop(node)) return;
    const body = part(node, "body");
    const inside = body?.kind === "block" ? body.children : body ? [body] : [];
    const [first, last] = [inside[0], inside.at(-1)];
    if (!first || !last) return;
    const condition = part(node, "condition");
    const header = node.kind === "do" && condition ? lineAt(starts, condition.from) : lineAt(starts, node.from);
    const loop = {
      ...{ header, from: lineAt(starts, first.from), to: lineAt(starts, Math.max(first.from, last.to - 1)) },
      within: around.filter(isLoop).length,
    };
    if (header < loop.from || header > loop.to) found.push(loop);
  });
  return found;
}

/**
 * The passes in which each step of a recorded run is, by the step's place, of every loop around its line (outer ones first): a pass
 * begins with what is done in the loop, after its header or from outside. Each call counts its own. Main file only.
 */
export function passesOf(language: Language, text: string, { steps }: Pick<Trace, "steps">): Map<number, PassOf[]> {
  const loops = loopsIn(language, text);
  const found = new Map<number, PassOf[]>();
  if (loops.length === 0) return found;
  /** By call: where each loop is, and the line before. */
  const calls = new Map<number, { line: number; counts: Map<Loop, number> }>();
  for (const [place, step] of steps.entries()) {
    if (step.file !== 0) continue;
    const call = calls.get(step.frame) ?? { line: 0, counts: new Map<Loop, number>() };
    calls.set(step.frame, call);
    const own: PassOf[] = [];
    for (const loop of loops) {
      const isIn = (line: number) => line >= loop.from && line <= loop.to;
      const was = isIn(call.line) || call.line === loop.header;
      if (step.line === loop.header && step.call === undefined) {
        if (!was) call.counts.set(loop, 0);
        own.push({ loop, pass: call.counts.get(loop) ?? 0 });
      } else if (isIn(step.line)) {
        if (!was) call.counts.set(loop, 1);
        else if (call.line === loop.header) call.counts.set(loop, (call.counts.get(loop) ?? 0) + 1);
        own.push({ loop, pass: call.counts.get(loop) ?? 1 });
      }
    }
    call.line = step.line;
    if (own.length > 0) found.set(place, own);
  }
  return found;
}

/** A pass as it is written: the outer loop's before the inner one's (`2.3`); "" outside of every loop. */
export function passText(passes: readonly PassOf[] | undefined): string {
  return (passes ?? [])
    .filter(({ pass }) => pass > 0)
    .map(({ pass }) => pass)
    .join(".");
}
