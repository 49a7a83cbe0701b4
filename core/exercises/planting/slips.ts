import { editContext } from "../../edits/context.ts";
import { applyEdit, type Edit } from "../../edits/edit.ts";
import { proposeEdits } from "../../edits/families.ts";
import { findHunks } from "../../fixes/hunks.ts";
import type { Language } from "../../languages/language.ts";
import { patterns } from "../../patterns/patterns.ts";
import { plantsOf } from "../../patterns/plant.ts";

/** A change that makes a slip, with the program that it makes. */
export type Slip = { edit: Edit; program: string; line: number };

const mostSlips = 160;
/** Slips of as many families and lines as there is room for, in turn. */
export function slipsIn(language: Language, program: string, pattern?: string): Slip[] {
  if (pattern !== undefined)
    return plantsOf(pattern, language, program)
      .filter((planted) => isOneLine(planted.program, program))
      .slice(0, mostSlips);
  const context = editContext(language, program);
  if (!context) return [];
  const byFamily = new Map<string, Slip[]>();
  const seen = new Set<string>();
  const keep = (edit: Edit) => {
    const faulty = applyEdit(program, edit);
    const hunks = findHunks(faulty, program);
    const line = hunks[0]?.start;
    // One line is what a faulty twin differs in.
    if (line === undefined || seen.has(faulty) || hunks.some((hunk) => hunk.before.length > 1 || hunk.after.length > 1))
      return;
    if (hunks.length > 1) return;
    seen.add(faulty);
    byFamily.set(edit.family, [...(byFamily.get(edit.family) ?? []), { edit, program: faulty, line }]);
  };
  for (const { id, plants } of patterns)
    for (const proposal of plants?.(context) ?? []) keep({ ...proposal, family: id });
  for (const edit of proposeEdits(context, "plant").sort((one, other) => other.odds - one.odds)) keep(edit);
  const found: Slip[] = [];
  const families = [...byFamily.values()].map(spread);
  for (let round = 0; found.length < mostSlips && families.some((slips) => slips.length > round); round++)
    for (const slips of families) {
      const slip = slips[round];
      if (slip && found.length < mostSlips) found.push(slip);
    }
  return found;
}

/** One line is what a faulty twin differs in. */
function isOneLine(faulty: string, right: string): boolean {
  const [hunk, other] = findHunks(faulty, right);
  return hunk !== undefined && other === undefined && hunk.before.length <= 1 && hunk.after.length <= 1;
}

/** Slips of one family with those of different lines first. */
function spread(slips: readonly Slip[]): Slip[] {
  const perLine = new Map<number, Slip[]>();
  for (const slip of slips) perLine.set(slip.line, [...(perLine.get(slip.line) ?? []), slip]);
  const rounds = Math.max(0, ...[...perLine.values()].map((each) => each.length));
  return Array.from({ length: rounds }, (_, round) =>
    [...perLine.values()].flatMap((each) => each[round] ?? []),
  ).flat();
}
