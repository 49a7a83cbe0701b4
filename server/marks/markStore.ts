import * as z from "zod";
import type { Database, Query } from "../database/database.ts";
import { asBytes, asJson, textBytes } from "../database/rows.ts";
import { newKey } from "../keys.ts";

const number = z.coerce.number();
const markRow = z.object({
  sitting: z.string(),
  task: z.string(),
  item: z.string(),
  earned: number.nullable(),
  possible: number,
  suggested: number.nullable(),
  reason: textBytes,
  marker: z.enum(["program", "teacher"]),
  scheme: z.number(),
});
export type Mark = z.infer<typeof markRow>;

/** The marks of some sittings, by task and item. */
export async function listMarks(database: Database, sittings: readonly string[]): Promise<Mark[]> {
  if (sittings.length === 0) return [];
  return z.array(markRow).parse(
    await database.query(
      `select sitting, task, item, earned, possible, suggested, reason, marker, scheme from mark
         where sitting in (select jsonb_array_elements_text($1::jsonb)) order by task, item`,
      [asJson(sittings)],
    ),
  );
}

/** What marks come to in all, with what hints cost taken off, never below nothing; what waits counts for nothing yet. */
export function earnedInAll(marks: ReadonlyArray<Pick<Mark, "earned">>): number {
  return Math.max(
    0,
    marks.reduce((sum, { earned }) => sum + (earned ?? 0), 0),
  );
}

/** A mark's key among former values. */
export function markKey(mark: Pick<Mark, "sitting" | "task" | "item">): string {
  return `${mark.sitting} ${mark.task} ${mark.item}`;
}

/** Handed-in sittings of a sheet (null: of all sheets) with how many marks each has, not counting what hints cost; in the order in which they came, of one moment by students. */
export async function countMarks(
  database: Database,
  sheet: string | null,
): Promise<Array<{ key: string; edition: string; scene: number; marks: number }>> {
  const rows = await database.query(
    `select i.key, i.edition, i.scene, count(m.key)::int as marks from sitting i join sheet_edition e on e.key = i.edition
     join student s on s.key = i.student left join mark m on m.sitting = i.key and m.task not like 'hints %'
     where i.handed_in_at is not null and ($1::text is null or e.sheet = $1) group by i.key, i.edition, i.scene, i.handed_in_at, s.position, s.label
     order by i.handed_in_at, s.position, s.label`,
    [sheet],
  );
  return z.array(z.object({ key: z.string(), edition: z.string(), scene: z.number(), marks: z.number() })).parse(rows);
}

export type NewMark = {
  sitting: string;
  task: string;
  item: string;
  earned: number | null;
  possible: number;
  suggested?: number;
  reason: string;
  marker: "program" | "teacher";
  /** Which state of the scheme it is given by. */
  scheme?: number;
};

/** Writes a mark in place of the former one of the same item. */
export async function putMark(query: Query, mark: NewMark): Promise<void> {
  await query(
    `insert into mark (key, sitting, task, item, earned, possible, suggested, reason, marker, scheme) values ($1, $2, $3, $4, $5, $6, $7, $8, $9, $10)
     on conflict (sitting, task, item) do update set earned = excluded.earned, possible = excluded.possible, suggested = excluded.suggested, reason = excluded.reason, marker = excluded.marker, scheme = excluded.scheme, made_at = now()`,
    [
      newKey(),
      mark.sitting,
      mark.task,
      mark.item,
      mark.earned,
      mark.possible,
      mark.suggested ?? null,
      asBytes(mark.reason),
      mark.marker,
      mark.scheme ?? 1,
    ],
  );
}
