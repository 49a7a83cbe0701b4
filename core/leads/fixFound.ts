import type { Lead } from "./lead.ts";

/** What a lead weighs that a proven change gives: more than all others together. */
const proven = 300;

/**
 * Leads with those of changes that were found and proven before all others. A change that only hides the fault gives none.
 * Of several changes the first gives the first lead; the others follow it.
 */
export function withFixes(
  leads: readonly Lead[],
  fixes: ReadonlyArray<{
    lines: readonly number[];
    repairs: "repairs" | "hides" | "open";
    why: string;
    checks: { of: number };
  }>,
): Lead[] {
  const honest = fixes.filter((fix) => fix.repairs !== "hides");
  const found = new Map<number, Lead>();
  for (const [rank, fix] of honest.entries())
    for (const [at, line] of fix.lines.entries()) {
      if (found.has(line)) continue;
      const checks = fix.checks.of === 1 ? "its check passes" : `all ${fix.checks.of} checks pass`;
      const why =
        at === 0
          ? `After a small change here ${checks}. ${fix.why}`.trim()
          : `The same change touches this line. ${fix.why}`.trim();
      found.set(line, { line, why, weight: proven - rank * 10 - at });
    }
  const others = leads.map((lead) => {
    const known = lead.file === undefined ? found.get(lead.line) : undefined;
    if (known) known.why = `${known.why} ${lead.why}`;
    return known ? null : lead;
  });
  return [...found.values(), ...others.filter((lead): lead is Lead => lead !== null)].sort(
    (one, other) => other.weight - one.weight || one.line - other.line,
  );
}
