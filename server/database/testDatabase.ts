import { mkdtempSync, rmSync } from "node:fs";
import { join } from "node:path";
import { z } from "zod";
import { type Database, openDatabase } from "./database.ts";
import type { Query } from "./query.ts";

/** What a fresh database holds in one table, and where a series of numbers begins in it. */
type Initial = {
  rows: ReadonlyArray<{ table: string; columns: string; json: string }>;
  numbers: ReadonlyArray<{ sequence: string; value: string; taken: boolean }>;
};
/** `tables`: those that are emptied; `all`: these and those that say how others are made. */
type Held = { database: Database; all: readonly string[]; tables: readonly string[]; initial: Initial };

const parseRows = <Shape extends z.ZodType>(shape: Shape, rows: readonly unknown[]) => z.array(shape).parse(rows);

/** Databases of this process that no file of tests has at the moment. */
const free: Held[] = [];

/** Tables that say how others are made: of the migrations, and of the queue's kinds of work. */
const kept = ["pgboss.queue", "pgboss.version"];

const tablesSql = `
  select quote_ident(nspname) || '.' || quote_ident(relname) as name
  from pg_class join pg_namespace on pg_namespace.oid = relnamespace
  where relkind in ('r', 'p') and not relispartition and nspname in ('public', 'pgboss')
  order by 1`;
const columnsSql = `
  select string_agg(quote_ident(column_name), ', ' order by ordinal_position) as names
  from information_schema.columns
  where quote_ident(table_schema) || '.' || quote_ident(table_name) = $1 and is_generated = 'NEVER'`;
const numbersSql = `
  select quote_ident(schemaname) || '.' || quote_ident(sequencename) as sequence,
         coalesce(last_value, start_value)::text as value, last_value is not null as taken
  from pg_sequences where schemaname in ('public', 'pgboss')`;

async function tablesWithRows(query: Query, tables: readonly string[]): Promise<string[]> {
  const asked = tables.map((name) => `select '${name}' as name where exists (select 1 from ${name})`);
  return parseRows(z.object({ name: z.string() }), await query(asked.join(" union all "))).map(({ name }) => name);
}

async function initialOf(query: Query, tables: readonly string[]): Promise<Initial> {
  const rows: Array<Initial["rows"][number]> = [];
  for (const table of await tablesWithRows(query, tables)) {
    const [columns] = parseRows(z.object({ names: z.string() }), await query(columnsSql, [table]));
    const [held] = parseRows(
      z.object({ json: z.string() }),
      await query(`select json_agg(held)::text as json from ${table} held`),
    );
    rows.push({ table, columns: columns?.names ?? "", json: held?.json ?? "[]" });
  }
  const numbered = z.object({ sequence: z.string(), value: z.string(), taken: z.boolean() });
  return { rows, numbers: parseRows(numbered, await query(numbersSql)) };
}

async function tableNames(query: Query): Promise<string[]> {
  return parseRows(z.object({ name: z.string() }), await query(tablesSql)).map(({ name }) => name);
}

/** Makes a database what it was when it was fresh: the tests' own tables go, too. */
async function empty({ database, all, tables, initial }: Held): Promise<void> {
  await database.transaction(async (query) => {
    for (const name of await tableNames(query)) if (!all.includes(name)) await query(`drop table ${name} cascade`);
    const filled = await tablesWithRows(query, tables);
    if (filled.length > 0) await query(`truncate ${filled.join(", ")} cascade`);
    for (const { table, columns, json } of initial.rows)
      await query(
        `insert into ${table} (${columns}) overriding system value
         select ${columns} from json_populate_recordset(null::${table}, $1::json)`,
        [json],
      );
    for (const { sequence, value, taken } of initial.numbers)
      await query("select setval($1::regclass, $2::bigint, $3)", [sequence, value, taken]);
  });
}

/** A database in a folder of its own below `under`, that ends with the process. */
async function openHeld(under: string): Promise<Held> {
  const place = mkdtempSync(join(under, "bent-nail-test-"));
  process.once("exit", () => rmSync(place, { recursive: true, force: true }));
  const database = await openDatabase(place);
  const all = await tableNames(database.query);
  const tables = all.filter((name) => !kept.includes(name) && !name.includes("migration"));
  return { database, all, tables, initial: await initialOf(database.query, tables) };
}

/**
 * An empty database for a file of tests, in a folder below `under`: one that another file of this process is done with, emptied,
 * or a new one. After `close` it answers this file nothing more, whatever of its work still goes on behind the pages.
 */
export async function takeTestDatabase(under: string): Promise<Database> {
  const former = free.pop();
  if (former) await empty(former);
  const held = former ?? (await openHeld(under));
  let closed = false;
  const open = <Arguments extends readonly unknown[], Result>(call: (...given: Arguments) => Promise<Result>) => {
    return async (...given: Arguments): Promise<Result> => {
      if (closed) throw new Error("these tests are over");
      return await call(...given);
    };
  };
  return {
    query: open(held.database.query),
    exec: open(held.database.exec),
    transaction: (work) =>
      closed ? Promise.reject(new Error("these tests are over")) : held.database.transaction(work),
    dump: open(held.database.dump),
    close: async () => {
      if (closed) return;
      closed = true;
      free.push(held);
    },
  };
}
