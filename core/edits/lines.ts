import { findHunks } from "../fixes/hunks.ts";
import { applyEdit, type Edit, type EditContext } from "./edit.ts";

/**
 * The lines (1-based, of the text before) that an edit is about, the likeliest first: those that go or become others; for
 * what is only put in the line before it, which it belongs to. Marks of a block belong to its header and to the statement
 * that was outside.
 */
export function linesOfEdit(context: EditContext, edit: Edit): number[] {
  if (edit.family === "block-marks") {
    const first = context.lineOf(edit.from);
    const header = context.code.findLast((token) => token.to <= edit.from)?.line ?? first;
    return [header, context.lineOf(Math.max(edit.from, edit.to - 1))];
  }
  // Where a function says nothing of names yet, a word about one is put in for the line that uses it.
  if (edit.family === "scope-word" && /[\r\n]/.test(edit.text)) {
    const used = context.code.find((token) => token.from >= edit.from && token.text === edit.parameters.name);
    if (used) return [used.line];
  }
  const hunks = findHunks(context.text, applyEdit(context.text, edit));
  const changed = hunks.filter((hunk) => hunk.before.length > 0);
  const putIn = hunks.filter((hunk) => hunk.before.length === 0);
  const codeBefore = (line: number) =>
    context.lines.slice(0, line).findLast((each) => each.code.length > 0)?.number ?? Math.max(1, line);
  return [
    ...new Set([
      ...changed.flatMap((hunk) => differing(hunk.start, hunk.before, hunk.after)),
      ...putIn.map((hunk) => codeBefore(hunk.start - 1)),
    ]),
  ];
}

/** The lines of a change that are others after it, at most the first two. */
function differing(start: number, before: readonly string[], after: readonly string[]): number[] {
  const lines = before.flatMap((line, index) => (line !== after[index] ? [start + index] : []));
  return lines.length > 0 ? lines.slice(0, 2) : [start];
}
