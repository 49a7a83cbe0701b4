import { atomsOf } from "../../core/fixes/atoms.ts";
import { applyHunks, type Hunk } from "../../core/fixes/hunks.ts";
import type { WholeCase } from "../cases/caseStore.ts";
import type { Version } from "../cases/versionStore.ts";
import { keptVerdict } from "../judge/faultFields.ts";
import { type CheckResult, judgeProgram, requestFor, type VersionJudgement } from "../judge/judge.ts";
import type { Services } from "../services.ts";

/** A fix of more changes is a rewrite; only its places are tried, and of so many none. */
const mostAtoms = 24;
const mostPlaces = 12;

/** A version's files with another text of the main one. */
export function withMainText(version: Version, text: string): Array<{ name: string; bytes: Uint8Array }> {
  return version.files.map(({ name, bytes }, index) => ({
    name,
    bytes: index === 0 ? Buffer.from(text, "utf8") : bytes,
  }));
}

/**
 * The smallest part of a change that does what the whole of it does: every place, then every line within, is tried
 * without, by real runs with every check and under the course's policies. What it does without is marked `extra`. A
 * comment or a neighbour touched along with the fix is such an extra.
 */
export async function smallestPart(
  services: Pick<Services, "toolchains">,
  found: WholeCase,
  before: Version,
  hunks: readonly Hunk[],
  judged: VersionJudgement,
): Promise<Hunk[]> {
  if (hunks.length > mostPlaces) return [...hunks];
  // The check that decides comes first: it tells most changes apart.
  const results = [judged.deciding, ...judged.results.filter((each) => each !== judged.deciding)];
  const text = before.files[0]?.text ?? "";
  const doesAll = async (part: readonly Hunk[]): Promise<boolean> => {
    const files = withMainText(before, applyHunks(text, part));
    for (const result of results) {
      const request = { ...requestFor(found, judged.version, result.check), closely: false, files };
      const tried = await judgeProgram(services.toolchains, request);
      if (!tried.outcome || tried.unknown !== null || !sameResult(tried, result)) return false;
    }
    return true;
  };
  /** One part alone, if one does it all; else what is left when one after another is left out that is not needed. */
  const without = async (parts: readonly (readonly Hunk[])[]) => {
    if (parts.length < 2) return [...parts];
    for (const part of parts) if (await doesAll(part)) return [part];
    let kept = [...parts];
    for (const part of parts) {
      const rest = kept.filter((each) => each !== part);
      if (rest.length > 0 && (await doesAll(rest.flat()))) kept = rest;
    }
    return kept;
  };
  const places = hunks.map(atomsOf);
  const neededPlaces = await without(places);
  const atoms = neededPlaces.flat();
  const needed =
    atoms.length > 1 && atoms.length <= mostAtoms
      ? (await without(atoms.map((atom) => [atom]))).flat()
      : neededPlaces.flat();
  if (needed.length === places.flat().length) return [...hunks];
  return joined(places.map((place) => place.map((atom) => (needed.includes(atom) ? atom : { ...atom, extra: true }))));
}

/** True if a judgement comes to the same as that of a check with the whole change. */
function sameResult(tried: Pick<CheckResult, "judgement">, whole: CheckResult): boolean {
  const [now, then] = [keptVerdict(tried.judgement), keptVerdict(whole.judgement)];
  const passes = (each: Pick<CheckResult, "judgement">) => each.judgement.gates.map((gate) => gate.passes).join();
  return now.class === then.class && now.message === then.message && passes(tried) === passes(whole);
}

/** Changes that follow one another in a place and are of one sort become one hunk again. */
function joined(places: readonly (readonly Hunk[])[]): Hunk[] {
  return places.flatMap((place) => {
    const hunks: Hunk[] = [];
    for (const atom of place) {
      const last = hunks.at(-1);
      const follows = last !== undefined && last.start + last.before.length === atom.start;
      if (last && follows && (last.extra ?? false) === (atom.extra ?? false)) {
        last.before.push(...atom.before);
        last.after.push(...atom.after);
      } else hunks.push({ ...atom, before: [...atom.before], after: [...atom.after] });
    }
    return hunks;
  });
}
