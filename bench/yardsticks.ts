import { once } from "node:events";
import { Worker } from "node:worker_threads";
import { bundle } from "../tools/run-source.mjs";

/**
 * What a measure is compared with, taken in the same run on the same machine: a bound in milliseconds would say more of
 * the machine than of us.
 */

/** The time of one call, in milliseconds. */
export function milliseconds(work: () => void): number {
  const start = performance.now();
  work();
  return performance.now() - start;
}

/** The time below which the given part of all times lies; infinite if there are none. */
export function percentile(times: readonly number[], part: number): number {
  return [...times].sort((one, other) => one - other)[Math.floor(times.length * part)] ?? Number.POSITIVE_INFINITY;
}

/** The plain embedded database in a thread of its own, asked in its own way for a query that does nothing. */
async function openPlainDatabase() {
  const thread = new Worker(await bundle("bench/plainDatabase.ts"));
  thread.unref();
  await once(thread, "message");
  return async () => {
    thread.postMessage("SELECT 1");
    await once(thread, "message");
  };
}
let plain: ReturnType<typeof openPlainDatabase> | undefined;
const plainDatabase = () => {
  plain ??= openPlainDatabase();
  return plain;
};

/**
 * The median time of a query that does nothing, there and back, in milliseconds: of the plain embedded database, not of
 * ours, which would make every page look worse the quicker it gets.
 */
export async function emptyQuery(): Promise<number> {
  const ask = await plainDatabase();
  const times: number[] = [];
  for (let round = 0; round < 220; round++) {
    const start = performance.now();
    await ask();
    times.push(performance.now() - start);
  }
  return percentile(times.slice(20), 0.5);
}

/**
 * The time below which 95 of 100 rounds of some work lie, against the median of empty queries asked in turn with them:
 * the same machine is twice as quick from one minute to the next, and a loop that does nothing else is quicker than
 * whoever asks now and then. The first five rounds are not counted. Both in milliseconds.
 */
export async function againstEmptyQuery(
  rounds: number,
  work: () => Promise<unknown>,
): Promise<{ time: number; query: number; value: number }> {
  const ask = await plainDatabase();
  const [queries, times]: [number[], number[]] = [[], []];
  for (let round = 0; round < rounds + 5; round++) {
    const start = performance.now();
    await ask();
    const between = performance.now();
    await work();
    queries.push(between - start);
    times.push(performance.now() - between);
  }
  const query = percentile(queries.slice(5), 0.5);
  const time = percentile(times.slice(5), 0.95);
  return { time, query, value: time / query };
}

/** One plain pass over a text: every word. Returns how many there are. */
export function plainPass(text: string): number {
  let found = 0;
  for (const _ of text.matchAll(/\w+/g)) found += 1;
  return found;
}
