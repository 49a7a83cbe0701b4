import type { FaultClass } from "../verdict/verdict.ts";

/** A change that was found, as far as a proposal looks at it. `lines`: of its steps, the first step's first. */
type Found = { repairs: "repairs" | "hides" | "open"; steps: readonly string[]; lines: readonly number[] };

/**
 * What is proposed for a fault: its class by the evidence, a change that was found (never one that only hides the fault), and
 * the faulty lines: those that a teacher has marked, else those of the change (of several steps the first one's, since the
 * others belong to the next layers), else the first suspected one. Null where no fault shows.
 */
export function proposeFor<Fix extends Found>(given: {
  class: FaultClass | null;
  kind: "form" | "meaning" | null;
  /** Suspected lines of the main file, the likeliest first, and those that are marked already. */
  suspected: readonly number[];
  marked: readonly number[];
  fixes: readonly Fix[];
}): { class: FaultClass; kind: "form" | "meaning" | null; lines: readonly number[]; fix: Fix | null } | null {
  if (given.class === null) return null;
  const fix = given.fixes.find((each) => each.repairs !== "hides") ?? null;
  const ofFix = fix ? (fix.steps.length === 1 ? fix.lines : fix.lines.slice(0, 1)) : [];
  const lines = [given.marked, ofFix, given.suspected.slice(0, 1)].find((each) => each.length > 0) ?? [];
  return { class: given.class, kind: given.kind, lines, fix };
}
