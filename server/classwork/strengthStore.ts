import { z } from "zod";
import type { Database } from "../database/database.ts";
import { asBytes, asJson, textBytes } from "../database/rows.ts";
import type { Strength } from "./strength.ts";

const strength: z.ZodType<Strength> = z.object({
  noticed: z.number(),
  killable: z.number(),
  alike: z.array(z.string()),
  unnoticed: z.array(z.object({ says: z.string(), line: z.number(), input: z.string() })),
  missing: z.array(z.string()),
  tried: z.number(),
  inputs: z.number(),
  seconds: z.number(),
  notMeasured: z.string().optional(),
});
const row = z.object({
  checks: z.string(),
  state: z.enum(["waiting", "done", "stopped"]),
  tried: z.number(),
  of: z.number(),
  result: textBytes.transform((text) => strength.parse(JSON.parse(text))).nullable(),
});
/** A measurement of the strength of an assignment's checks, or how far it is. */
export type KeptStrength = z.output<typeof row>;

export async function findStrength(database: Database, assignment: string): Promise<KeptStrength | null> {
  const [found] = await database.query(
    "select checks, state, tried, of, result from check_strength where assignment = $1",
    [assignment],
  );
  return found ? row.parse(found) : null;
}

/** Begins a measurement anew. */
export async function beginStrength(database: Database, assignment: string, checks: string): Promise<void> {
  await database.query(
    `insert into check_strength (assignment, checks) values ($1, $2)
     on conflict (assignment) do update set checks = excluded.checks, state = 'waiting', tried = 0, of = 0, result = null,
       measured_at = now()`,
    [assignment, checks],
  );
}

/** Notes how far a measurement is. */
export async function noteProgress(database: Database, assignment: string, tried: number, of: number): Promise<void> {
  await database.query("update check_strength set tried = $2, of = $3 where assignment = $1", [assignment, tried, of]);
}

/** Keeps what was measured; what was stopped by hand stays stopped. */
export async function keepStrength(database: Database, assignment: string, result: Strength): Promise<void> {
  await database.query(
    `update check_strength set result = $2, tried = $3, measured_at = now(),
       state = case when state = 'stopped' then state else 'done' end where assignment = $1`,
    [assignment, asBytes(asJson(result)), result.tried],
  );
}

export async function noteStrengthStopped(database: Database, assignment: string): Promise<void> {
  await database.query("update check_strength set state = 'stopped' where assignment = $1 and state = 'waiting'", [
    assignment,
  ]);
}
