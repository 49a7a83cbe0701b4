import { existsSync, statfsSync } from "node:fs";
import { tmpdir } from "node:os";
import { takeTestDatabase } from "./database/testDatabase.ts";
import { createTraceCache } from "./judge/traceCache.ts";
import { firstTeacher } from "./people/teacherStore.ts";
import type { Services } from "./services.ts";
import { sharedToolchains } from "./testToolchains.ts";
import { keepEmptyDatabase } from "./work/emptyDatabase.ts";
import { allJobs } from "./work/jobs.ts";
import { createLoading } from "./work/loading.ts";
import { openQueue } from "./work/queue.ts";

/** Where folders of tests lie: in memory where the system has room for them there, which no disk is quick enough for. */
function quickestFolder(): string {
  const memory = "/dev/shm";
  if (!existsSync(memory)) return tmpdir();
  const { bavail, bsize } = statfsSync(memory);
  return bavail * bsize > 2 ** 30 ? memory : tmpdir();
}

/** Services as a running server has them, on an empty database in a folder of their own: for tests. */
export async function openTestServices({
  searchesSets = false,
  folder: data = null,
}: {
  searchesSets?: boolean;
  folder?: string | null;
} = {}): Promise<Services & { close: () => Promise<void> }> {
  await keepEmptyDatabase();
  const database = await takeTestDatabase(quickestFolder());
  const queue = await openQueue(database);
  const services: Services = {
    ...{ database, folder: data, toolchains: sharedToolchains(), traces: createTraceCache(), queue },
    loading: createLoading(),
    searchesSets,
  };
  await queue.start(allJobs(services));
  return {
    ...services,
    close: async () => {
      await queue.stop();
      await database.close();
    },
  };
}

/** A change of the first teacher's to a case as it was read: for tests. */
export function byTeacher(found: { revision: number }, reason = "") {
  return { who: { role: "teacher" as const, teacher: firstTeacher }, revision: found.revision, reason };
}

/** The same services with every statement counted, those of transactions too: for tests of what a use case costs. */
export function counted<Held extends Services>(services: Held): Held & { statements: () => number } {
  let count = 0;
  const { database } = services;
  return {
    ...services,
    statements: () => count,
    database: {
      ...database,
      query: (sql, values) => {
        count += 1;
        return database.query(sql, values);
      },
      transaction: (work) =>
        database.transaction((query) =>
          work((sql, values) => {
            count += 1;
            return query(sql, values);
          }),
        ),
    },
  };
}
