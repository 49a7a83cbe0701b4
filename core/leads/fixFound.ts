import type { Lead } from "./lead.ts";

/** What a lead weighs that a proven change gives: more than all others together. */
const proven = 300;

/** From which weight on a lead is a mistake that the text itself shows, and not a line that a wrong value came through. */
const shown = 94;

/** True for another value in the place of one that the program is given, which passes its only check: it may be fitted to what comes out. */
function mayBeFitted({ repairs, families }: { repairs: string; families?: readonly string[] }): boolean {
  return repairs === "open" && families?.length === 1 && /^(?:constant|text-literal)$/.test(families[0] ?? "");
}

/**
 * Leads with those of changes that were found and proven before all others. A change that only hides the fault gives none.
 * Of several changes the first gives the first lead; the others follow it. What may only be fitted comes behind a mistake that
 * the text shows elsewhere.
 */
export function withFixes(
  leads: readonly Lead[],
  fixes: ReadonlyArray<{
    lines: readonly number[];
    repairs: "repairs" | "hides" | "open";
    why: string;
    checks: { of: number };
    families?: readonly string[];
  }>,
): Lead[] {
  const honest = fixes.filter((fix) => fix.repairs !== "hides");
  const noticed = Math.max(0, ...leads.map(({ weight }) => weight));
  const found = new Map<number, Lead>();
  for (const [rank, fix] of honest.entries())
    for (const [at, line] of fix.lines.entries()) {
      if (found.has(line)) continue;
      const checks = fix.checks.of === 1 ? "its check passes" : `all ${fix.checks.of} checks pass`;
      const why =
        at === 0
          ? `After a small change here ${checks}. ${fix.why}`.trim()
          : `The same change touches this line. ${fix.why}`.trim();
      const weight = mayBeFitted(fix) && noticed >= shown ? noticed - 0.5 : proven;
      found.set(line, { line, why, weight: weight - (rank * 10 + at) / (weight === proven ? 1 : 1000) });
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
