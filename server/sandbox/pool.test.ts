import { afterEach, expect, test, vi } from "vitest";
import { StoppedByHand } from "./desk.ts";
import { createPool } from "./pool.ts";
import type { Worker } from "./warmWorker.ts";

/** What is settled from outside. */
function later<Value>() {
  let resolve: (value: Value) => void = () => undefined;
  let reject: (problem: Error) => void = () => undefined;
  const promise = new Promise<Value>((does, fails) => {
    resolve = does;
    reject = fails;
  });
  promise.catch(() => undefined);
  return { promise, resolve, reject };
}

/** A worker whose start, answers and end the test decides. */
function handWorker() {
  const up = later<string>();
  const end = later<void>();
  const jobs: Array<{ job: string; answer: ReturnType<typeof later<string>> }> = [];
  const worker: Worker<string, string> = {
    version: up.promise,
    exited: end.promise,
    gone: end.promise,
    stop: () => {
      end.resolve();
      up.reject(new Error("ended"));
      for (const { answer } of jobs) answer.reject(new Error("ended"));
    },
    run: (job) => {
      const answer = later<string>();
      jobs.push({ job, answer });
      return answer.promise;
    },
  };
  return { worker, up, end, jobs };
}

/** A pool over such workers, and those that it started. */
function handPool(usual: number, most = usual, patience = 500) {
  const workers: Array<ReturnType<typeof handWorker>> = [];
  const pool = createPool(
    () => {
      const made = handWorker();
      workers.push(made);
      return made.worker;
    },
    { usual, most, patience },
  );
  return { pool, workers, asked: () => workers.map(({ jobs }) => jobs.map(({ job }) => job)) };
}
afterEach(() => void vi.useRealTimers());
const settle = () => new Promise((resolve) => setImmediate(resolve));

test("work goes to the worker that is up, not to one that still starts", async () => {
  const { pool, workers, asked } = handPool(3);
  const all = Promise.all(["a", "b", "c"].map((job) => pool.run(job)));
  expect(workers).toHaveLength(3);
  workers[1]?.up.resolve("3.11");
  await settle();
  expect(asked()).toEqual([[], ["a"], []]);
  for (const at of [0, 1, 2]) {
    workers[1]?.jobs[at]?.answer.resolve(`${at}`);
    await settle();
  }
  expect(await all).toEqual(["0", "1", "2"]);
  expect(asked()).toEqual([[], ["a", "b", "c"], []]);
  expect(await pool.version()).toBe("3.11");
});

test("no more workers are started than there is work for, nor than the pool may have", async () => {
  const { pool, workers } = handPool(2);
  const first = pool.run("a");
  expect(workers).toHaveLength(1);
  workers[0]?.up.resolve("3.11");
  await settle();
  workers[0]?.jobs[0]?.answer.resolve("done");
  expect(await first).toBe("done");
  const others = ["b", "c", "d"].map((job) => pool.run(job));
  expect(workers).toHaveLength(2);
  for (const each of others) each.catch(() => undefined);
  await pool.close();
});

test("workers beyond the usual ones are started, one at a time, only while nothing is done and work waits", async () => {
  vi.useFakeTimers({ toFake: ["setTimeout", "clearTimeout"] });
  const { pool, workers, asked } = handPool(1, 3);
  const all = ["a", "b", "c", "d", "e"].map((job) => pool.run(job));
  for (const each of all) each.catch(() => undefined);
  workers[0]?.up.resolve("3.11");
  await settle();
  // What is done in time takes no rival on.
  for (const at of [0, 1]) {
    vi.advanceTimersByTime(400);
    expect(workers).toHaveLength(1);
    workers[0]?.jobs[at]?.answer.resolve("done");
    await settle();
  }
  expect(asked()).toEqual([["a", "b", "c"]]);
  vi.advanceTimersByTime(500);
  expect(workers).toHaveLength(2);
  workers[1]?.up.resolve("3.11");
  await settle();
  expect(asked()).toEqual([["a", "b", "c"], ["d"]]);
  vi.advanceTimersByTime(500);
  expect(workers).toHaveLength(3);
  vi.advanceTimersByTime(5000);
  expect(workers).toHaveLength(3);
  await pool.close();
});

test("a pool where nothing waits starts no more workers, however long its work takes", async () => {
  vi.useFakeTimers({ toFake: ["setTimeout", "clearTimeout"] });
  const { pool, workers } = handPool(2, 4);
  const both = ["a", "b"].map((job) => pool.run(job));
  for (const each of both) each.catch(() => undefined);
  for (const { up } of workers) up.resolve("3.11");
  await settle();
  vi.advanceTimersByTime(60_000);
  expect(workers).toHaveLength(2);
  await pool.close();
});

test("a worker that breaks is replaced, and what it did is tried again by two others at most", async () => {
  const { pool, workers, asked } = handPool(1);
  const work = expect(pool.run("a")).rejects.toThrow("broken 2");
  for (const at of [0, 1, 2]) {
    workers[at]?.up.resolve("3.11");
    await settle();
    workers[at]?.jobs[0]?.answer.reject(new Error(`broken ${at}`));
    await settle();
  }
  await work;
  expect(asked()).toEqual([["a"], ["a"], ["a"]]);
  const next = pool.run("b");
  workers[3]?.up.resolve("3.11");
  await settle();
  workers[3]?.jobs[0]?.answer.resolve("done");
  expect(await next).toBe("done");
});

test("workers that do not come up end the work after the third, with their reason", async () => {
  const { pool, workers } = handPool(1);
  const work = expect(pool.run("a")).rejects.toThrow("no start 2");
  for (const at of [0, 1, 2]) {
    workers[at]?.end.resolve();
    workers[at]?.up.reject(new Error(`no start ${at}`));
    await settle();
  }
  await work;
  expect(workers).toHaveLength(3);
  const failing = createPool((): Worker<string, string> => {
    throw new Error("bubblewrap is not installed");
  });
  const several = await Promise.allSettled(["a", "b", "c"].map((job) => failing.run(job)));
  expect(several.map(({ status }) => status)).toEqual(["rejected", "rejected", "rejected"]);
});

test("what is stopped by hand leaves the queue, or takes its worker with it; other work goes on", async () => {
  const { pool, workers, asked } = handPool(1);
  const [waiting, doing] = [new AbortController(), new AbortController()];
  const done = pool.run("a", doing.signal);
  const stopped = pool.run("b", waiting.signal);
  const other = pool.run("c");
  workers[0]?.up.resolve("3.11");
  await settle();
  waiting.abort();
  await expect(stopped).rejects.toThrow(StoppedByHand);
  doing.abort();
  await expect(done).rejects.toThrow(StoppedByHand);
  await settle();
  workers[1]?.up.resolve("3.11");
  await settle();
  workers[1]?.jobs[0]?.answer.resolve("done");
  expect(await other).toBe("done");
  expect(asked()).toEqual([["a"], ["c"]]);
  await expect(pool.run("d", waiting.signal)).rejects.toThrow(StoppedByHand);
});

test("a closed pool lets nobody wait", async () => {
  const { pool, workers } = handPool(1);
  const both = ["a", "b"].map((job) => pool.run(job));
  const settled = Promise.allSettled(both);
  workers[0]?.up.resolve("3.11");
  await settle();
  await pool.close();
  expect((await settled).map(({ status }) => status)).toEqual(["rejected", "rejected"]);
  await expect(pool.run("c")).rejects.toThrow("closed");
  expect(await pool.version()).toBe("3.11");
  const unused = handPool(1);
  await unused.pool.close();
  await expect(unused.pool.version()).rejects.toThrow("closed");
  expect([workers.length, unused.workers.length]).toEqual([1, 0]);
});
