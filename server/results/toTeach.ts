import { patternOfFault } from "../../core/patterns/patternOfFault.ts";
import type { EditionContent } from "../sheets/sheetStore.ts";

/** What share of its marks an exercise earned a class; null where none is marked. */
export type ShareOfExercise = { key: string; share: number | null };

/** A kind of mistake as a class met it on a sheet: the share of marks that its exercises earned, and their titles. */
export type PatternResult = { id: string; name: string; share: number; exercises: string[] };

/** Below this share of the marks a kind of mistake is worth a lesson. */
const worthTeaching = 0.75;

/**
 * Which kinds of mistake to teach next, the one that went worst first: those of the sheet's exercises that earned a class
 * less than three quarters of their marks. An exercise with several faults counts for each kind of them.
 */
export function toTeachNext(
  exercises: EditionContent["exercises"],
  results: readonly ShareOfExercise[],
): PatternResult[] {
  const found = new Map<string, { id: string; name: string; shares: number[]; exercises: string[] }>();
  for (const { key, title, content } of exercises) {
    const share = results.find((each) => each.key === key)?.share ?? null;
    if (share === null) continue;
    const kinds = new Map(
      content.faults.flatMap((fault) => {
        const kind = patternOfFault(content, fault);
        return kind ? [[kind.id, kind.name] as const] : [];
      }),
    );
    for (const [id, name] of kinds) {
      const known = found.get(id) ?? { id, name, shares: [], exercises: [] };
      found.set(id, { ...known, shares: [...known.shares, share], exercises: [...known.exercises, title] });
    }
  }
  return [...found.values()]
    .map(({ id, name, shares, exercises: titles }) => ({
      ...{ id, name, exercises: titles },
      share: shares.reduce((sum, share) => sum + share, 0) / shares.length,
    }))
    .filter(({ share }) => share < worthTeaching)
    .sort((one, other) => one.share - other.share);
}
