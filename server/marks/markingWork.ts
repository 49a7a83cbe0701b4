import * as z from "zod";
import type { Services } from "../services.ts";
import { type Sheet, setSheetState } from "../sheets/sheetStore.ts";
import { findSitting, type HandedInBy, handIn, handInAll } from "../sittings/sittingStore.ts";
import { defineJob } from "../work/job.ts";
import { listPending } from "../work/jobStore.ts";
import { markSitting, RunRefused, unmarkedSittings } from "./marking.ts";

/** Marks one sitting behind the pages; where a run was refused it is marked again a little later. */
export const markWork = defineJob({
  name: "mark",
  schema: z.object({ sitting: z.string() }),
  about: (data) => data.sitting,
  atOnce: 2,
  retries: 3,
  retryAfter: 20,
  work: async (services, data) => {
    const sitting = await findSitting(services.database, data.sitting);
    if (!sitting?.handed_in_at) return;
    const { refused } = await services.toolchains.desk.behind("marking", () => markSitting(services, sitting));
    if (refused !== null) throw new RunRefused(refused);
  },
});

/** The keys of the sittings that are being marked, or wait for it. */
export async function beingMarked(services: Pick<Services, "database">): Promise<ReadonlySet<string>> {
  return new Set(await listPending(services.database, markWork.name, "sitting"));
}

/** Has sittings marked; one that is marked or waits for it already is not marked twice. */
export async function markBehind(
  services: Pick<Services, "queue">,
  sittings: ReadonlyArray<{ key: string }>,
): Promise<void> {
  await services.queue.add(
    markWork,
    sittings.map((sitting) => ({ sitting: sitting.key })),
  );
}

/**
 * Hands a sitting in and has it marked: both or none, so that nothing is handed in that nobody marks. False if it had
 * been handed in before.
 */
export async function handInSitting(
  services: Pick<Services, "database" | "queue">,
  sitting: { key: string },
  by: HandedInBy = "student",
): Promise<boolean> {
  const done = await services.database.transaction(async (query) => {
    if (!(await handIn({ query }, sitting.key, by))) return false;
    await services.queue.add(markWork, [{ sitting: sitting.key }], query);
    return true;
  });
  if (done) services.queue.wake(markWork);
  return done;
}

/** Closes a sheet: no answer is taken any more, and what students had saved is handed in and marked. */
export async function closeSheet(services: Pick<Services, "database" | "queue">, sheet: Sheet): Promise<void> {
  await services.database.transaction(async (query) => {
    await setSheetState({ query }, sheet.key, "closed");
    const open = await handInAll(query, sheet.key);
    await services.queue.add(
      markWork,
      open.map((sitting) => ({ sitting })),
      query,
    );
  });
  services.queue.wake(markWork);
}

/** Has marked what was handed in and has no marks: data of before there was a queue, or of a job that failed. */
export async function resumeMarking(services: Services): Promise<void> {
  await markBehind(services, await unmarkedSittings(services, null));
}
