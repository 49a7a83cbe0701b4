import type { Database, Query } from "../database/database.ts";
import { newKey } from "../keys.ts";
import type { Who } from "../people/teacherStore.ts";
import { findCase, takeRevision, type WholeCase } from "./caseStore.ts";
import { type Former, keepFormer } from "./formerStore.ts";
import { keepStep, type Press } from "./undoStore.ts";

/**
 * Why nothing was changed, in words for the person. `stale`: somebody else wrote meanwhile. `both`: what the person wanted to write and what stands there now,
 * where somebody else wrote meanwhile.
 */
export type Refused = { ok: false; message: string; stale?: boolean; both?: { yours: string; theirs: string } };
/** What a change to a case gives back. */
export type Changed = { ok: true } | Refused;

/** Who changes a case, at which revision it was read, and why ("" where no reason was given). */
export type Change = {
  key: string;
  revision: number;
  who: Who;
  reason: string;
  /** The press that it belongs to, so that it can be undone with all of that; absent where nobody pressed anything. */
  press?: Press;
  /** What the person wants to write, where it is text, and what of the case it would stand in place of. */
  text?: { yours: string; theirs: (now: WholeCase) => string };
};

/** What the writing of a change is given: the transaction's query, and how to keep what was there before. */
export type CaseWriter = {
  query: Query;
  keep: (about: Former["about"], aboutKey: string, former: unknown) => Promise<void>;
};

/** The words for a person whose page was out of date. */
export const staleWords =
  "This case was changed in another window meanwhile. Nothing was overwritten: the page shows the newer state now. Look at it, and do this again if you still mean it.";

/** Takes a transaction back when its writing is refused. */
class TakenBack extends Error {
  readonly refused: Refused;
  constructor(refused: Refused) {
    super(refused.message);
    this.refused = refused;
  }
}

/** A transaction that leaves nothing behind where its work is refused. */
export async function refusable(database: Database, work: (query: Query) => Promise<Changed>): Promise<Changed> {
  try {
    return await database.transaction(async (query) => {
      const done = await work(query);
      if (!done.ok) throw new TakenBack(done);
      return done;
    });
  } catch (problem) {
    if (problem instanceof TakenBack) return problem.refused;
    throw problem;
  }
}

/**
 * The one way in which a case is changed by a person: the case is locked, a stale revision is refused with both texts,
 * former values are kept with who and why, and the revision goes up. `write` gives words where it finds that the change
 * cannot be made; then nothing of it is.
 */
export async function changeCase(
  database: Database,
  change: Change,
  write: (writer: CaseWriter) => Promise<Refused | undefined>,
): Promise<Changed> {
  const { key, revision, who, reason, text, press = { key: newKey(), says: "" } } = change;
  return refusable(database, async (query) => {
    if (!(await takeRevision(query, key, revision))) {
      const now = text ? await findCase({ query }, key) : null;
      const theirs = text && now ? text.theirs(now) : "";
      return text && theirs !== text.yours
        ? { ok: false, stale: true, message: staleWords, both: { yours: text.yours, theirs } }
        : { ok: false, stale: true, message: staleWords };
    }
    await keepStep(query, key, press, who);
    const refused = await write({
      query,
      keep: (about, aboutKey, former) => keepFormer(query, { about, aboutKey, former, who, reason, faultyCase: key }),
    });
    return refused ?? { ok: true };
  });
}
