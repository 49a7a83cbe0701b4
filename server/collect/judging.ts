import * as z from "zod";
import { findAssignment, setAssignmentOfCases } from "../assignments/assignmentStore.ts";
import { findCase, versionOf } from "../cases/caseStore.ts";
import { judgeOfAssignment, startJudgingAssignment } from "../classwork/judgeAssignment.ts";
import { noteFinding } from "../judge/findings.ts";
import { judgeVersion } from "../judge/judge.ts";
import { listCasesWithRuns } from "../judge/runStore.ts";
import { countToSearch, stopSearchingSet } from "../mend/findFixes.ts";
import type { Services } from "../services.ts";
import { defineJob } from "../work/job.ts";
import { cancelPending, countPending } from "../work/jobStore.ts";
import {
  type Collection,
  findCollection,
  listKeptCollections,
  setCollectionAssignment,
  setJudgingState,
} from "./collectionStore.ts";

/** How far the judging of a set is, and in how many of its programs small changes are still to be looked for. */
export type JudgingProgress = {
  total: number;
  done: number;
  state: "running" | "stopped" | "done";
  toSearch: number;
};

/** Whether something of it still goes on. */
export function goesOn(progress: JudgingProgress | null): boolean {
  return progress !== null && (progress.state === "running" || progress.toSearch > 0);
}

/** Judges one case of a set behind the pages; its runs are kept. */
export const judgeCase = defineJob({
  name: "judge",
  schema: z.object({ collection: z.string(), case: z.string() }),
  about: (data) => `${data.collection} ${data.case}`,
  atOnce: 3,
  // One program that cannot be judged keeps none of the others from it; its own page says why.
  retries: 2,
  retryAfter: 2,
  work: async (services, data) => {
    await services.toolchains.desk.behind("collection", async () => {
      const found = await findCase(services.database, data.case);
      if (!found || found.deleted_at !== null) return;
      if (found.assignment === null)
        await noteFinding(
          services.database,
          found,
          await judgeVersion(services, found, versionOf(found, found.current_version)),
        );
      else await judgeOfAssignment(services, found.key);
    });
  },
});

/** Has the cases of a set judged behind the pages, but for those that are judged already. */
export async function startJudging(services: Services, collection: string, cases: readonly string[]): Promise<void> {
  const judged = await listCasesWithRuns(services.database, cases);
  const waiting = cases.filter((key) => !judged.includes(key));
  await services.queue.add(
    judgeCase,
    waiting.map((key) => ({ collection, case: key })),
  );
}

/**
 * Stops the judging of a set, or where that is done the looking for changes; what is in the Tray stays there and is judged
 * and looked at when it is opened.
 */
export async function stopJudging(services: Services, collection: string): Promise<void> {
  const left = await countPending(services.database, judgeCase.name, "collection", collection);
  await cancelPending(services.database, judgeCase.name, "collection", collection);
  if (left > 0) await setJudgingState(services.database, collection, "stopped");
  await stopSearchingSet(services, collection);
}

/** How far a set is: by what is left of the work, and by what was kept of it. */
export async function judgingProgress(services: Services, key: string): Promise<JudgingProgress | null> {
  const collection = await findCollection(services.database, key);
  if (!collection || collection.state === "open") return null;
  const total = collection.cases.length;
  const toSearch = await countToSearch(services, key);
  if (collection.state === "judged") return { total, done: total, state: "done", toSearch };
  if (collection.state === "stopped") {
    const judged = await listCasesWithRuns(services.database, collection.cases);
    return { total, done: judged.length, state: "stopped", toSearch };
  }
  const left = await countPending(services.database, judgeCase.name, "collection", key);
  if (left > 0) return { total, done: Math.max(0, total - left), state: "running", toSearch };
  await setJudgingState(services.database, key, "judged");
  return { total, done: total, state: "done", toSearch };
}

/** Has sets judged that were taken in and have no work waiting: data of before there was a queue. */
export async function resumeJudging(services: Services): Promise<void> {
  for (const key of await listKeptCollections(services.database)) {
    const collection = await findCollection(services.database, key);
    if (collection) await startJudging(services, key, collection.cases);
  }
}

/**
 * Says which assignment the programs of a set were written for, or that it is none; those that were taken in already belong
 * to it from now on, and are judged by its checks. False where it is none of the set's course: nothing is changed.
 */
export async function setWrittenFor(services: Services, set: Collection, assignment: string | null): Promise<boolean> {
  const found = assignment === null ? null : await findAssignment(services.database, assignment);
  if (assignment !== null && (!found || found.course !== set.course)) return false;
  await services.database.transaction(async (query) => {
    await setCollectionAssignment(query, set.key, assignment);
    await setAssignmentOfCases(query, set.cases, assignment);
  });
  if (assignment !== null) await startJudgingAssignment(services, assignment, set.cases);
  return true;
}
