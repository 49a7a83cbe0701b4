import type { FaultClass } from "../../core/verdict/verdict.ts";
import { findCase, type WholeCase } from "../cases/caseStore.ts";
import { type Change, type Refused, staleWords } from "../cases/changeCase.ts";
import { decideClass, markFaultyLines } from "../judge/decisions.ts";
import type { Services } from "../services.ts";
import { foundFor } from "./findFixes.ts";
import { type TriedFix, tryFix } from "./tryFix.ts";

/** What a teacher accepts at once: the class as the evidence suggests it, the faulty lines, and a change that was found. */
export type Proposal = {
  class: FaultClass;
  kind: "form" | "meaning" | null;
  lines: readonly number[];
  /** The whole text with the change; null where none is accepted. */
  fix: string | null;
};

/** The case after a change of ours; words where another window changed it between. */
async function after(services: Services, key: string, revision: number): Promise<WholeCase | Refused> {
  const found = await findCase(services.database, key);
  return found?.revision === revision ? found : { ok: false, stale: true, message: staleWords };
}

/**
 * Accepts a proposal: the class is decided, the lines are marked, the change is run once more, whole and alone, and kept as
 * the fix where it passes. What comes before a refusal stays; all of it is one press to be undone. `tried`: what became of
 * the change, null where none was accepted.
 */
export async function acceptProposal(
  services: Services,
  found: WholeCase,
  change: Omit<Change, "key" | "reason" | "text">,
  proposal: Proposal,
): Promise<Refused | { ok: true; tried: TriedFix | null }> {
  if (proposal.fix !== null) {
    const kept = await foundFor(services, found);
    const known = kept?.fixes.find((fix) => fix.text === proposal.fix);
    if (!known || kept?.outOfDate)
      return { ok: false, message: "This change is not proposed any more. Look at what is, and accept that." };
    if (known.repairs === "hides")
      return { ok: false, message: "This change hides the fault; take it under Mend if you mean it." };
  }
  let { revision } = change;
  const { class: chosen, kind } = proposal;
  const decided = await decideClass(services, found, change, { class: chosen, kind, reason: "" });
  if (!decided.ok) return decided;
  revision += 1;
  let now = await after(services, found.key, revision);
  if ("ok" in now) return now;
  if (proposal.lines.length > 0) {
    const places = proposal.lines.map((line) => ({ line }));
    const marked = await markFaultyLines(services, now, { ...change, revision, reason: "" }, places);
    if (!marked.ok) return marked;
    revision += 1;
    now = await after(services, found.key, revision);
    if ("ok" in now) return now;
  }
  if (proposal.fix === null) return { ok: true, tried: null };
  const tried = await tryFix(services, now, { ...change, revision }, proposal.fix, false, {
    origin: "mended by a change that was found",
  });
  return tried.ok ? { ok: true, tried } : tried;
}
