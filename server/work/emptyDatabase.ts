import { openDatabase } from "../database/database.ts";
import { keepEmptyFolder } from "../database/emptyFolder.ts";
import { createTraceCache } from "../judge/traceCache.ts";
import { createToolchains } from "../toolchains/toolchains.ts";
import { allJobs } from "./jobs.ts";
import { createLoading } from "./loading.ts";
import { openQueue } from "./queue.ts";

/**
 * Keeps an empty database for new folders, with the tables of the queue and of every kind of work, which take longer to
 * make than all the others. Does nothing if one is kept.
 */
export async function keepEmptyDatabase(): Promise<void> {
  await keepEmptyFolder(async (folder) => {
    const database = await openDatabase(folder);
    const toolchains = createToolchains();
    const queue = await openQueue(database);
    await queue.start(
      allJobs({
        ...{ database, folder, toolchains, queue },
        ...{ traces: createTraceCache(), loading: createLoading(), searchesSets: false },
      }),
    );
    await queue.stop();
    await toolchains.close();
    await database.close();
  });
}
