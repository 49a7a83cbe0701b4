import { afterAll, beforeAll, beforeEach, expect, test } from "vitest";
import * as z from "zod";
import type { Database } from "../database/database.ts";
import { openTestServices } from "../testServices.ts";
import { cancelPending, countPending, listPending } from "./jobStore.ts";
import { type JobKind, openQueue, type Queue, type Worker } from "./queue.ts";

let services: Awaited<ReturnType<typeof openTestServices>>;
let database: Database;
beforeAll(async () => {
  services = await openTestServices();
  ({ database } = services);
});
afterAll(() => services.close());

type Load = { boat: string; number: number };
let kind: JobKind<Load>;
let names = 0;
beforeEach(() => {
  names += 1;
  kind = {
    name: `loads-${names}`,
    schema: z.object({ boat: z.string(), number: z.number() }),
    about: (load) => `${load.boat} ${load.number}`,
    ...{ atOnce: 2, retries: 2, retryAfter: 0 },
  };
});

const workerOf = (work: (load: Load) => Promise<void>): Worker => ({
  ...kind,
  work: (data) => work(kind.schema.parse(data)),
});
const load = (number: number, boat = "Tern"): Load => ({ boat, number });

/** A queue of its own on the same data, as a server has it that was started after another one. */
async function started(...workers: Worker[]): Promise<Queue> {
  const queue = await openQueue(database);
  await queue.start(workers);
  return queue;
}

test("jobs are there if and only if the transaction that added them is", async () => {
  const done: number[] = [];
  const queue = await started(workerOf(async ({ number }) => void done.push(number)));
  await database
    .transaction(async (query) => {
      await queue.add(kind, [load(1)], query);
      throw new Error("taken back");
    })
    .catch(() => undefined);
  expect(await listPending(database, kind.name, "boat")).toEqual([]);
  await database.transaction((query) => queue.add(kind, [load(2), load(3)], query));
  queue.wake(kind);
  await queue.settled();
  expect(done.sort()).toEqual([2, 3]);
  await queue.stop();
});

test("a job that was going on when the server ended is begun again at the next start; nothing waits for ever", async () => {
  const begun: string[] = [];
  const first = await started(
    workerOf((one) => {
      begun.push(`first ${one.number}`);
      // It never comes to its end: the server is killed meanwhile.
      return new Promise(() => undefined);
    }),
  );
  await first.add(kind, [load(1), load(2), load(3)]);
  await expect.poll(() => begun.length).toBe(2);
  await first.stop();
  const second = await started(workerOf(async (one) => void begun.push(`second ${one.number}`)));
  await second.settled();
  expect(begun.slice(2).sort()).toEqual(["second 1", "second 2", "second 3"]);
  await second.stop();
});

test("one that fails is tried again and keeps none of the others from it", async () => {
  const tried: number[] = [];
  const queue = await started(
    workerOf(async ({ number }) => {
      tried.push(number);
      if (number === 1) throw new Error("no room on the deck");
    }),
  );
  await queue.add(kind, [load(1), load(2)]);
  await queue.settled();
  expect(tried.filter((number) => number === 1)).toHaveLength(1 + kind.retries);
  expect(tried.filter((number) => number === 2)).toHaveLength(1);
  await queue.stop();
});

test("what waits already is not added again; waiting ones are counted and given up by what they are about", async () => {
  const queue = await openQueue(database);
  await queue.add(kind, [load(1), load(1), load(2), load(1, "Gull")]);
  expect(await countPending(database, kind.name, "boat", "Tern")).toBe(2);
  expect((await listPending(database, kind.name, "boat")).sort()).toEqual(["Gull", "Tern"]);
  await cancelPending(database, kind.name, "boat", "Tern");
  const done: string[] = [];
  await queue.start([workerOf(async ({ boat }) => void done.push(boat))]);
  await queue.settled();
  expect(done).toEqual(["Gull"]);
  await queue.stop();
});

test("whoever follows the work hears of every job that ended, until they leave", async () => {
  const queue = await started(workerOf(async () => undefined));
  let heard = 0;
  const leave = queue.onDone(kind, () => {
    heard += 1;
  });
  await queue.add(kind, [load(1), load(2), load(3)]);
  await queue.settled();
  await expect.poll(() => heard).toBe(3);
  leave();
  await queue.add(kind, [load(4)]);
  await queue.settled();
  expect(heard).toBe(3);
  await queue.stop();
});

test("texts of a job are the same when it is begun, whatever they hold", async () => {
  const seen: string[] = [];
  const queue = await started(workerOf(async ({ boat }) => void seen.push(boat)));
  const boats = ["nul \0 here", "\ud800 alone", 'quote "', "\\u0000", "\uf8ff"];
  await queue.add(
    kind,
    boats.map((boat) => load(1, boat)),
  );
  await queue.settled();
  expect(seen.sort()).toEqual([...boats].sort());
  await queue.stop();
});
