import * as z from "zod";
import { findCase, versionOf } from "../cases/caseStore.ts";
import { listWithoutFinding } from "../cases/findingStore.ts";
import type { Services } from "../services.ts";
import { defineJob } from "../work/job.ts";
import { noteFinding } from "./findings.ts";
import { judgeVersion } from "./judge.ts";

/** Cases that are looked through at a start at most: data of before findings were kept. */
const most = 20_000;

/** Notes what the evidence says of a case that nothing is kept of yet; kept runs are not made again. */
export const noteCase = defineJob({
  name: "note-finding",
  schema: z.object({ case: z.string() }),
  about: (data) => data.case,
  atOnce: 1,
  retries: 0,
  retryAfter: 0,
  work: async (services, data) => {
    const found = await findCase(services.database, data.case);
    if (!found || found.deleted_at !== null) return;
    await services.toolchains.desk.behind("finding", async () =>
      noteFinding(
        services.database,
        found,
        await judgeVersion(services, found, versionOf(found, found.current_version)),
      ),
    );
  },
});

/** Has it noted for every case that was judged before such notes were kept. */
export async function startNoting(services: Services): Promise<void> {
  const keys = await listWithoutFinding(services.database.query, most);
  await services.queue.add(
    noteCase,
    keys.map((key) => ({ case: key })),
  );
}
