import type { Database } from "../server/database/database.ts";

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

/** The median time of a query that does nothing, there and back, in milliseconds. */
export async function emptyQuery(database: Database): Promise<number> {
  const times: number[] = [];
  for (let round = 0; round < 220; round++) {
    const start = performance.now();
    await database.query("SELECT 1");
    times.push(performance.now() - start);
  }
  return percentile(times.slice(20), 0.5);
}

/** One plain pass over a text: every word. Returns how many there are. */
export function plainPass(text: string): number {
  let found = 0;
  for (const _ of text.matchAll(/\w+/g)) found += 1;
  return found;
}
