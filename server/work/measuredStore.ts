import * as z from "zod";
import type { Database } from "../database/database.ts";
import { asBytes, asJson, textBytes } from "../database/rows.ts";

/**
 * Long work on one thing, of which the newest answer is kept in a table of its own: `checks` (the editions that it was made
 * for), `state`, `tried`, `of`, `result`, `measured_at`.
 */
export type Measured<Result> = {
  checks: string;
  state: "waiting" | "done" | "stopped";
  tried: number;
  of: number;
  result: Result | null;
};

/** The table of such work; `key` is its column that names the thing. Names come from the code, never from a person. */
export function measuredTable<Result extends { tried: number }>(table: string, key: string, schema: z.ZodType<Result>) {
  const row = z.object({
    ...{ checks: z.string(), state: z.enum(["waiting", "done", "stopped"]), tried: z.number(), of: z.number() },
    result: textBytes.transform((text) => schema.parse(JSON.parse(text))).nullable(),
  });
  return {
    /** What is kept, or how far it is; null where nothing was begun. */
    find: async (database: Database, thing: string): Promise<Measured<Result> | null> => {
      const [found] = await database.query(`select checks, state, tried, of, result from ${table} where ${key} = $1`, [
        thing,
      ]);
      return found ? row.parse(found) : null;
    },
    /** Begins anew, whatever was kept before. */
    begin: async (database: Database, thing: string, checks: string): Promise<void> => {
      await database.query(
        `insert into ${table} (${key}, checks) values ($1, $2)
         on conflict (${key}) do update set checks = excluded.checks, state = 'waiting', tried = 0, of = 0, result = null,
           measured_at = now()`,
        [thing, checks],
      );
    },
    /** Notes how far it is. */
    note: async (database: Database, thing: string, tried: number, of = 0): Promise<void> => {
      await database.query(`update ${table} set tried = $2, of = $3 where ${key} = $1`, [thing, tried, of]);
    },
    /** Keeps the answer; what was stopped by hand stays stopped. */
    keep: async (database: Database, thing: string, result: Result): Promise<void> => {
      await database.query(
        `update ${table} set result = $2, tried = $3, measured_at = now(),
           state = case when state = 'stopped' then state else 'done' end where ${key} = $1`,
        [thing, asBytes(asJson(result)), result.tried],
      );
    },
    /** Notes that it was stopped by hand. */
    stop: async (database: Database, thing: string): Promise<void> => {
      await database.query(`update ${table} set state = 'stopped' where ${key} = $1 and state = 'waiting'`, [thing]);
    },
  };
}
