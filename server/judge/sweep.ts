import * as z from "zod";
import { log } from "../log.ts";
import { defineJob } from "../work/job.ts";
import { sweepRuns } from "./runStore.ts";

/** Throws away runs that nothing asks for any more; once at every start of the server. */
export const sweepOldRuns = defineJob({
  name: "sweep",
  schema: z.object({}),
  about: () => "runs",
  atOnce: 1,
  retries: 0,
  retryAfter: 0,
  work: async ({ database }) => {
    const swept = await sweepRuns(database);
    if (swept > 0) log.info({ runs: swept }, "old runs were thrown away");
  },
});
