import * as z from "zod";
import { type TableStyle, tableStyleSchema, usualStyle } from "../../core/trace/tableStyle.ts";
import type { Query } from "../database/database.ts";
import { asJson, jsonColumn } from "../database/rows.ts";
import { newKey } from "../keys.ts";

const styleRow = z.object({ content: jsonColumn(tableStyleSchema) });
type Reach = { query: Query };

/** The table styles that a course has kept, the newest version of each name; the one in use first. */
export async function listTableStyles({ query }: Reach, course: string): Promise<TableStyle[]> {
  const rows = await query(
    `select content from (select distinct on (name) content, created_at, version from table_style where course = $1
      order by name, version desc) newest order by created_at desc, version desc`,
    [course],
  );
  return z
    .array(styleRow)
    .parse(rows)
    .map((row) => row.content);
}

/** The table style in use in a course, the one that was kept last; the usual one for none and where none was kept. */
export async function tableStyleOf({ query }: Reach, course: string | null): Promise<TableStyle> {
  if (course === null) return usualStyle;
  const rows = await query(
    "select content from table_style where course = $1 order by created_at desc, version desc limit 1",
    [course],
  );
  return z.array(styleRow).parse(rows)[0]?.content ?? usualStyle;
}

/** Keeps a style as the next version of its name; from now on it is the course's. Exercises keep the one that they were made with. */
export async function keepTableStyle({ query }: Reach, course: string, style: TableStyle): Promise<void> {
  await query(
    `insert into table_style (key, course, name, version, content, created_at)
      select $1, $2, $3, coalesce(max(version), 0) + 1, $4::jsonb, clock_timestamp() from table_style where course = $2 and name = $3`,
    [newKey(), course, style.name, asJson(style)],
  );
}
