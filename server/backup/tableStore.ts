import * as z from "zod";
import type { Database, Query } from "../database/database.ts";

type Reach = { query: Query };

/** A table of the data, with the columns of its primary key. */
export type Table = { name: string; key: string[] };

const keyColumn = z.object({ table: z.string(), column: z.string() });

/** All tables of the data, but for the list of migrations; those of the queue are not among them: its work is found again at a start. */
export async function listTables({ query }: Reach): Promise<Table[]> {
  const rows = await query(
    `select c.relname as table, a.attname as column from pg_index i join pg_class c on c.oid = i.indrelid
       join pg_namespace n on n.oid = c.relnamespace
       join pg_attribute a on a.attrelid = c.oid and a.attnum = any (i.indkey)
     where i.indisprimary and n.nspname = 'public' and c.relname <> 'schema_migration'
     order by c.relname, array_position(i.indkey::int2[], a.attnum)`,
  );
  const tables = new Map<string, Table>();
  for (const { table, column } of z.array(keyColumn).parse(rows)) {
    const known = tables.get(table) ?? { name: table, key: [] };
    known.key.push(column);
    tables.set(table, known);
  }
  return [...tables.values()];
}

/** The number of the newest migration. */
export async function schemaNumber({ query }: Reach): Promise<number> {
  const rows = await query("select max(number)::integer as number from schema_migration");
  return z.object({ number: z.number() }).parse(rows[0]).number;
}

/** How many rows each table has. */
export async function countRows({ query }: Reach, tables: readonly Table[]): Promise<Map<string, number>> {
  const counts = new Map<string, number>();
  for (const { name } of tables) {
    const rows = await query(`select count(*)::integer as rows from "${name}"`);
    counts.set(name, z.object({ rows: z.number() }).parse(rows[0]).rows);
  }
  return counts;
}

const keyOf = ({ key }: Table) => `row(${key.map((column) => `t."${column}"`).join(", ")})::text`;
const textRow = z.object({ key: z.string(), text: z.string() });
/** A row as JSON, as PostgreSQL writes it (row_to_json), with its primary key as text. */
export type TextRow = z.infer<typeof textRow>;

/** A number that no change has yet that comes later. */
export async function markNow({ query }: Reach): Promise<string> {
  const rows = await query("select pg_current_xact_id()::text as mark");
  return z.object({ mark: z.string() }).parse(rows[0]).mark;
}

/** Rows of a table page by page of its file, from a page on; null behind its end. */
export async function readPages(
  { query }: Reach,
  table: Table,
  from: number,
  pages: number,
): Promise<TextRow[] | null> {
  const size = await query(`select pg_relation_size('public."${table.name}"') / 8192 as pages`);
  if (from >= Number(z.object({ pages: z.union([z.number(), z.bigint()]) }).parse(size[0]).pages)) return null;
  return z.array(textRow).parse(
    await query(
      `select ${keyOf(table)} as key, row_to_json(t)::text as text from "${table.name}" t
         where t.ctid >= '(${from},0)'::tid and t.ctid < '(${from + pages},0)'::tid`,
    ),
  );
}

/** Rows that were written since a mark. */
export async function readSince({ query }: Reach, table: Table, mark: string): Promise<TextRow[]> {
  return z.array(textRow).parse(
    await query(
      `select ${keyOf(table)} as key, row_to_json(t)::text as text from "${table.name}" t
         where t.xmin::text::bigint >= $1::bigint`,
      [mark],
    ),
  );
}

/** The keys of all rows of a table. */
export async function readKeys({ query }: Reach, table: Table): Promise<Set<string>> {
  const rows = await query(`select ${keyOf(table)} as key from "${table.name}" t`);
  return new Set(
    z
      .array(z.object({ key: z.string() }))
      .parse(rows)
      .map(({ key }) => key),
  );
}

/** Empties all tables and lets rows in as they come, whatever they refer to. */
export async function beginFilling(database: Database, tables: readonly Table[]): Promise<void> {
  await database.exec("set session_replication_role = replica");
  if (tables.length > 0) await database.exec(`truncate ${tables.map(({ name }) => `"${name}"`).join(", ")}`);
}

/** Puts rows into a table, each as JSON. */
export async function fillTable({ query }: Reach, table: string, rows: readonly string[]): Promise<void> {
  await query(`insert into "${table}" select * from json_populate_recordset(null::public."${table}", $1::text::json)`, [
    `[${rows.join(",")}]`,
  ]);
}

/** Looks after references and triggers again. */
export async function endFilling(database: Database): Promise<void> {
  await database.exec("set session_replication_role = origin");
}
