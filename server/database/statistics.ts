import * as z from "zod";
import { log } from "../log.ts";
import type { Database } from "./query.ts";

/** How long it waits before it looks again, in milliseconds. */
const pause = 60_000;
const grown = z.array(z.object({ name: z.string() }));

/**
 * Has the database count anew what lies in tables that have grown much since it last did, so that it goes by the indexes
 * and not through whole tables. A server of its own does so by itself; inside this process nobody else does. Returns the
 * names of those tables.
 */
export async function refreshStatistics({ query, exec }: Database): Promise<string[]> {
  // What was written a moment ago counts, too.
  await query("select pg_stat_force_next_flush()");
  const tables = grown.parse(
    await query(
      `select format('%I.%I', schemaname, relname) as name from pg_stat_user_tables
       where n_mod_since_analyze > 200 + n_live_tup / 5 order by relname`,
    ),
  );
  for (const { name } of tables) await exec(`vacuum (analyze) ${name}`);
  return tables.map(({ name }) => name);
}

/** Looks every minute whether tables have grown, from now on; the returned function ends it. */
export function keepStatistics(database: Database): () => void {
  let working = Promise.resolve();
  const look = () => {
    working = refreshStatistics(database).then(
      (tables) => void (tables.length > 0 && log.debug({ tables }, "statistics were made anew")),
      (problem) => log.warn({ err: problem }, "statistics could not be made anew"),
    );
  };
  look();
  const clock = setInterval(() => void working.then(look), pause);
  clock.unref();
  return () => clearInterval(clock);
}
