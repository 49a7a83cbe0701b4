import { atomsOf } from "../../core/fixes/atoms.ts";
import type { Hunk } from "../../core/fixes/hunks.ts";
import type { Repair } from "../../core/fixes/repairs.ts";

/** A whole mending of a program: every check passes. `steps` are the edits one after another, each in words. */
export type FoundFix = Repair & {
  text: string;
  hunks: Hunk[];
  steps: string[];
  /** The lines of the steps in the program given, the first step's first. */
  lines: number[];
  why: string;
  families: string[];
  checks: { passed: number; of: number };
  worth: number;
};

const rank = { repairs: 2, open: 1, hides: 0 } as const;

/** True where a mending does all that another one does, and more, and passes no more checks: what it has beside that is not needed. */
function isSurplus(fix: FoundFix, others: readonly FoundFix[]): boolean {
  const written = (one: FoundFix) => one.hunks.flatMap(atomsOf).map((atom) => JSON.stringify(atom));
  const own = new Set(written(fix));
  return others.some((other) => {
    const less = written(other);
    if (other.checks.passed < fix.checks.passed) return false;
    return less.length < own.size && less.every((atom) => own.has(atom));
  });
}

/**
 * Best first: what repairs before what hides, what passes more checks, one change before two, then the likelier. Of several at the same lines that come to the same one
 * stays: they pass the same checks, and what they write otherwise is no other meaning.
 */
export function inOrder(fixes: readonly FoundFix[]): FoundFix[] {
  const ordered = [...fixes].sort(
    (one, other) =>
      rank[other.repairs] - rank[one.repairs] ||
      other.checks.passed - one.checks.passed ||
      one.steps.length - other.steps.length ||
      other.worth - one.worth,
  );
  const places = new Set<string>();
  return ordered.filter((fix) => {
    if (
      isSurplus(
        fix,
        ordered.filter((other) => rank[other.repairs] >= rank[fix.repairs]),
      )
    )
      return false;
    const place = `${fix.repairs} ${fix.lines.join()} ${fix.checks.passed}`;
    if (places.has(place)) return false;
    places.add(place);
    return true;
  });
}
