import { type Assignment, findAssignment, takeAssignmentRevision } from "../assignments/assignmentStore.ts";
import { type Changed, type Refused, refusable } from "../cases/changeCase.ts";
import { keepFormer } from "../cases/formerStore.ts";
import type { Database, Query } from "../database/database.ts";
import type { Who } from "../people/teacherStore.ts";

/** Who changes an assignment, at which revision it was read, and why ("" where no reason was given). */
export type AssignmentChange = {
  key: string;
  revision: number;
  who: Who;
  reason: string;
  /** What the person wants to write, where it is text, and what would be overwritten. */
  text?: { yours: string; theirs: (now: Assignment, query: Query) => Promise<string> };
};

/** What writing is given: the transaction's query, and how to keep what was there before. */
export type AssignmentWriter = {
  query: Query;
  keep: (about: "assignment" | "check", aboutKey: string, former: unknown) => Promise<void>;
};

const staleWords =
  "This assignment was changed in another window meanwhile. Nothing was overwritten: the page shows the newer state now. Look at it, and do this again if you still mean it.";

/**
 * The one way in which an assignment is changed by a person: it is locked, a stale revision is refused with both texts,
 * former values are kept with who and why, and the revision goes up. `write` gives words where the change cannot be
 * made; then nothing of it is.
 */
export async function changeAssignment(
  database: Database,
  change: AssignmentChange,
  write: (writer: AssignmentWriter) => Promise<Refused | undefined>,
): Promise<Changed> {
  const { key, revision, who, reason, text } = change;
  return refusable(database, async (query) => {
    if (!(await takeAssignmentRevision(query, key, revision))) {
      const now = await findAssignment({ query }, key);
      if (!now) return { ok: false, message: "This assignment is not there any more. Nothing was changed." };
      const theirs = text ? await text.theirs(now, query) : "";
      return text && theirs !== text.yours
        ? { ok: false, stale: true, message: staleWords, both: { yours: text.yours, theirs } }
        : { ok: false, stale: true, message: staleWords };
    }
    const refused = await write({
      query,
      keep: (about, aboutKey, former) => keepFormer(query, { about, aboutKey, former, who, reason, assignment: key }),
    });
    return refused ?? { ok: true };
  });
}
