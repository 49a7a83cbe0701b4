import type { Entry } from "../../core/collecting/entries.ts";
import type { Database } from "../database/database.ts";
import { listCourses } from "../people/courseStore.ts";
import { dropCollection, findCollection } from "./collectionStore.ts";
import { arrangeCollection, keepCollection } from "./collections.ts";
import { takeSet } from "./takeSet.ts";

/** What was taken of a set, or would be: programs in the order of their paths. */
export type Collected = {
  rule: string;
  programs: Array<{
    program: string;
    student: string;
    language: string | null;
    outputs: Array<{ path: string | null; why: string }>;
    sameAs: string[];
    joins: string | null;
    taken: boolean;
  }>;
  unpaired: string[];
  refused: Array<{ path: string; reason: string }>;
  /** Key of the set and of its cases; empty for a try without effect. */
  collection: string | null;
  cases: string[];
};

/**
 * Takes a set in without looking through it first, as it is found; with `dryRun` only says what would be taken. Words
 * for the person if it cannot be.
 */
export async function collectNow(
  database: Database,
  courseName: string,
  given: readonly Entry[],
  dryRun: boolean,
): Promise<{ ok: true; collected: Collected } | { ok: false; message: string }> {
  const course = (await listCourses(database)).find((each) => each.key === courseName || each.name === courseName);
  if (!course) return { ok: false, message: `there is no course ${courseName}` };
  const taken = await takeSet(database, course.key, given);
  if (!taken.ok) return taken;
  const collection = await findCollection(database, taken.key);
  if (!collection) return { ok: false, message: "the set was put away meanwhile" };
  const { arrangement } = await arrangeCollection(database, collection);
  const cases = dryRun ? null : await keepCollection(database, collection);
  if (dryRun) await dropCollection(database, collection.key);
  return {
    ok: true,
    collected: {
      rule: arrangement.rule,
      programs: arrangement.programs.map((program) => ({
        program: program.id,
        student: program.student,
        language: program.language,
        outputs: program.outputs.map(({ path, why }) => ({ path, why })),
        sameAs: program.sameAs,
        joins: program.joins?.kind === "case" ? program.joins.title : (program.joins?.id ?? null),
        taken: !program.alreadyHere && program.language !== null,
      })),
      unpaired: arrangement.unpaired.map((output) => output.path),
      refused: collection.refused,
      collection: dryRun ? null : collection.key,
      cases: cases ?? [],
    },
  };
}
