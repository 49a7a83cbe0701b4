import { EventEmitter } from "node:events";
import PgBoss from "pg-boss";
import type { z } from "zod";
import type { Database, Query } from "../database/database.ts";
import { asJson, fromJson } from "../database/rows.ts";
import { log } from "../log.ts";
import { countJobs, executor, putBackActive } from "./jobStore.ts";

/** A kind of work that is done behind the pages, one file each beside what it works on. */
export type JobKind<Data> = {
  name: string;
  schema: z.ZodType<Data>;
  /** One that waits already for the same thing is not added again. */
  about: (data: Data) => string;
  /** What is worked on before the others that wait; 0 if it is not said. */
  priority?: (data: Data) => number;
  /** How many are worked on at once; the desk gives turns to people in between. */
  atOnce: number;
  /** How often it is tried again after it failed, and after how many seconds. */
  retries: number;
  retryAfter: number;
};

/** A kind with what does its work. What it throws is written to the log, and it is tried again. */
export type Worker = Omit<JobKind<unknown>, "schema" | "about" | "priority"> & {
  work: (data: unknown) => Promise<void>;
};

/**
 * Work that outlives the server: jobs lie in the database, and one that was cut off by the server's end is begun again
 * at the next start.
 */
export type Queue = {
  /** Adds jobs of a kind; inside a transaction they are there if and only if all the rest of it is. */
  add: <Data>(kind: JobKind<Data>, all: readonly Data[], query?: Query) => Promise<void>;
  /** Has waiting jobs looked at now; whoever added some inside a transaction calls it afterwards. */
  wake: (kind: Pick<JobKind<unknown>, "name">) => void;
  /** Begins to work on these kinds of jobs. */
  start: (all: readonly Worker[]) => Promise<void>;
  /** Calls `listener` whenever a job of a kind has ended, until the returned function is called. */
  onDone: (kind: Pick<JobKind<unknown>, "name">, listener: () => void) => () => void;
  /** Resolves when nothing waits and nothing is worked on. */
  settled: () => Promise<void>;
  stop: () => Promise<void>;
};

/** Seconds between two looks for jobs that nobody said anything of: those that are to be tried again. */
const betweenLooks = 5;
/** Milliseconds between two looks at whether all is done. */
const betweenCounts = 25;

/** Opens the queue of a database; its tables are made if they are not there. Nothing is worked on before `start`. */
export async function openQueue(database: Database): Promise<Queue> {
  const boss = new PgBoss({
    db: { executeSql: executor(database) },
    schema: "pgboss",
    schedule: false,
    archiveCompletedAfterSeconds: 3600,
    deleteAfterDays: 7,
  });
  boss.on("error", (problem) => log.error({ err: problem }, "the queue of work"));
  await boss.start();
  const done = new EventEmitter().setMaxListeners(0);
  const workers = new Map<string, string[]>();
  const known = new Set<string>();

  const know = async (kind: Pick<JobKind<unknown>, "name" | "retries" | "retryAfter">) => {
    if (known.has(kind.name)) return;
    await boss.createQueue(kind.name, {
      name: kind.name,
      policy: "short",
      retryLimit: kind.retries,
      retryDelay: kind.retryAfter,
      expireInHours: 12,
    });
    known.add(kind.name);
  };
  const wake = ({ name }: { name: string }) => {
    for (const worker of workers.get(name) ?? []) boss.notifyWorker(worker);
  };

  return {
    add: async (kind, all, query) => {
      if (!known.has(kind.name) && query) throw new Error(`the queue ${kind.name} is to be started before`);
      await know(kind);
      for (const data of all)
        await boss.send(kind.name, JSON.parse(asJson(data)), {
          singletonKey: kind.about(data),
          ...(kind.priority ? { priority: kind.priority(data) } : {}),
          ...(query ? { db: { executeSql: executor({ query }) } } : {}),
        });
      if (!query) wake(kind);
    },
    wake,
    start: async (all) => {
      await putBackActive(database);
      for (const kind of all) {
        await know(kind);
        const work = async (job: { data: unknown } | undefined) => {
          if (!job) return;
          const given = fromJson(typeof job.data === "string" ? job.data : JSON.stringify(job.data));
          try {
            await kind.work(given);
          } catch (problem) {
            log.error({ err: problem, job: kind.name, data: given }, "some work failed");
            throw problem;
          } finally {
            // The job itself is still counted as going on until this function has returned.
            setTimeout(() => done.emit(kind.name), 0);
          }
        };
        const ids = await Promise.all(
          Array.from({ length: kind.atOnce }, () =>
            boss.work(kind.name, { pollingIntervalSeconds: betweenLooks, batchSize: 1 }, ([job]) => work(job)),
          ),
        );
        workers.set(kind.name, ids);
        // A worker that has done one job looks for the next one at once.
        done.on(kind.name, () => wake(kind));
      }
    },
    onDone: ({ name }, listener) => {
      done.on(name, listener);
      return () => void done.off(name, listener);
    },
    settled: async () => {
      while ((await countJobs(database)) > 0) await new Promise((resolve) => setTimeout(resolve, betweenCounts));
    },
    stop: async () => {
      await boss.stop({ graceful: false, wait: false, close: false });
    },
  };
}
