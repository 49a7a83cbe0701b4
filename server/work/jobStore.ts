import * as z from "zod";
import type { Database, Query } from "../database/database.ts";

/**
 * The queue's own tables are those of pg-boss (its schema `pgboss`). A job's state is one of created, retry, active (these
 * are to be done), completed, cancelled and failed.
 */
const unfinished = "state in ('created', 'retry', 'active')";

/** What pg-boss is given to speak to the database: statements without values may be several in one text. */
export function executor(database: { query: Query; exec?: Database["exec"] }) {
  return async (text: string, values: unknown[] = []): Promise<{ rows: unknown[] }> => {
    if (values.length > 0 || !database.exec || !/;\s*\S/.test(text))
      return { rows: await database.query(text, values) };
    await database.exec(text);
    return { rows: [] };
  };
}

/** Jobs that were going on when the server ended are put back, to be begun again. One server works on a database. */
export async function putBackActive(database: Database): Promise<void> {
  await database.query("update pgboss.job set state = 'retry', start_after = now() where state = 'active'");
}

/** How many jobs are to be done, of all kinds. */
export async function countJobs(database: Database): Promise<number> {
  const rows = await database.query(`select count(*)::integer as count from pgboss.job where ${unfinished}`);
  return z.object({ count: z.number() }).parse(rows[0]).count;
}

/**
 * A field of the jobs of a kind that are to be done, e.g. which sittings are to be marked; with `where` of those that have a
 * value in another field.
 */
export async function listPending(
  database: Database,
  name: string,
  field: string,
  where?: { field: string; value: string },
): Promise<string[]> {
  const rows = await database.query(
    `select distinct data ->> $2 as value from pgboss.job where name = $1 and ${unfinished} and data ->> $2 is not null
     and ($3::text is null or data ->> $3 = $4)`,
    [name, field, where?.field ?? null, where?.value ?? null],
  );
  return z
    .array(z.object({ value: z.string() }))
    .parse(rows)
    .map((row) => row.value);
}

/** How many jobs of a kind are to be done that have a value in a field. */
export async function countPending(database: Database, name: string, field: string, value: string): Promise<number> {
  const rows = await database.query(
    `select count(*)::integer as count from pgboss.job where name = $1 and ${unfinished} and data ->> $2 = $3`,
    [name, field, value],
  );
  return z.object({ count: z.number() }).parse(rows[0]).count;
}

/** Gives up the jobs of a kind that have a value in a field; one that goes on comes to its end. */
export async function cancelPending(database: Database, name: string, field: string, value: string): Promise<void> {
  await database.query(
    `update pgboss.job set state = 'cancelled', completed_on = now()
     where name = $1 and state in ('created', 'retry') and data ->> $2 = $3`,
    [name, field, value],
  );
}

/** Has waiting jobs of a kind that have a value in a field worked on before those of less priority. */
export async function raisePending(
  database: Database,
  name: string,
  field: string,
  value: string,
  priority: number,
): Promise<void> {
  await database.query(
    `update pgboss.job set priority = $4 where name = $1 and state in ('created', 'retry') and data ->> $2 = $3`,
    [name, field, value, priority],
  );
}
