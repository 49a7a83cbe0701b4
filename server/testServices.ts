import { existsSync, mkdirSync, renameSync } from "node:fs";
import { join } from "node:path";
import { openDatabase } from "./database/database.ts";
import { emptyDatabaseName } from "./database/emptyFolder.ts";
import { createTraceCache } from "./judge/traceCache.ts";
import { firstTeacher } from "./people/teacherStore.ts";
import { productFolder } from "./productFolder.ts";
import type { Services } from "./services.ts";
import { createToolchains } from "./toolchains/toolchains.ts";
import { allJobs } from "./work/jobs.ts";
import { createLoading } from "./work/loading.ts";
import { openQueue } from "./work/queue.ts";

/**
 * Services as a running server has them, on a database in memory: for tests. The empty tables are loaded from a dump
 * kept between runs.
 */
export async function openTestServices({
  searchesSets = false,
  folder: data = null,
}: {
  searchesSets?: boolean;
  folder?: string | null;
} = {}): Promise<Services & { close: () => Promise<void> }> {
  const folder = join(productFolder, "node_modules/.cache/bent-nail");
  const template = join(folder, `${emptyDatabaseName()}.tar`);
  if (!existsSync(template)) {
    mkdirSync(folder, { recursive: true });
    const fresh = await openDatabase(null);
    await (await openQueue(fresh)).stop();
    await fresh.dump(`${template}.${process.pid}`);
    await fresh.close();
    renameSync(`${template}.${process.pid}`, template);
  }
  const database = await openDatabase(null, template);
  const queue = await openQueue(database);
  const services: Services = {
    ...{ database, folder: data, toolchains: createToolchains(), traces: createTraceCache(), queue },
    loading: createLoading(),
    searchesSets,
  };
  await queue.start(allJobs(services));
  return {
    ...services,
    close: async () => {
      await queue.stop();
      await services.toolchains.close();
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
