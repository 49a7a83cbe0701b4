import { z } from "zod";
import type { Database, Query } from "../database/database.ts";
import { newKey } from "../keys.ts";
import { asBytes, oneRow, textBytes, timeColumn } from "./rows.ts";

const sittingRow = z.object({
  key: z.string(),
  edition: z.string(),
  student: z.string(),
  label: z.string(),
  started_at: timeColumn,
  handed_in_at: timeColumn.nullable(),
});
export type Sitting = z.infer<typeof sittingRow>;
const select = "select i.key, i.edition, i.student, s.label, i.started_at, i.handed_in_at from sitting i join student s on s.key = i.student";
const answerRow = z.object({ task: z.string(), revision: z.number(), content: textBytes, saved_at: timeColumn });
export type Answer = { task: string; revision: number; content: unknown; savedAt: string };
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
});
export type Mark = z.infer<typeof markRow>;

/** Begins a student's sitting of an edition, or finds the one begun before. */
export async function beginSitting(database: Database, edition: string, student: string): Promise<string> {
  return database.transaction(async (query) => {
    await query("insert into sitting (key, edition, student) values ($1, $2, $3) on conflict (edition, student) do nothing", [newKey(), edition, student]);
    const rows = await query("select key from sitting where edition = $1 and student = $2", [edition, student]);
    return z.object({ key: z.string() }).parse(rows[0]).key;
  });
}

export async function findSitting(database: Database, key: string): Promise<Sitting | null> {
  return oneRow(sittingRow, await database.query(`${select} where i.key = $1`, [key]));
}

/** Sittings of all editions of a sheet, by student. */
export async function listSittings(database: Database, sheet: string): Promise<Sitting[]> {
  return z
    .array(sittingRow)
    .parse(await database.query(`${select} join sheet_edition e on e.key = i.edition where e.sheet = $1 order by s.position, s.label, e.number`, [sheet]));
}

export async function listAnswers(database: Database, sitting: string): Promise<Answer[]> {
  const rows = z.array(answerRow).parse(await database.query("select task, revision, content, saved_at from answer where sitting = $1", [sitting]));
  return rows.map((row) => ({ task: row.task, revision: row.revision, content: JSON.parse(row.content), savedAt: row.saved_at }));
}

/** Saves an answer unless a newer one is there (late and repeated saves lose), or the sitting is handed in. Returns what happened. */
export async function saveAnswer(
  database: Database,
  sitting: string,
  task: string,
  revision: number,
  content: unknown,
): Promise<"saved" | "older" | "handed in"> {
  // One statement, so that nothing comes between looking and writing.
  const saved = await database.query(
    `insert into answer (sitting, task, revision, content) select key, $2, $3, $4 from sitting where key = $1 and handed_in_at is null
     on conflict (sitting, task) do update set revision = excluded.revision, content = excluded.content, saved_at = now() where answer.revision < excluded.revision
     returning revision`,
    [sitting, task, revision, asBytes(JSON.stringify(content))],
  );
  if (saved.length === 1) return "saved";
  const open = await database.query("select key from sitting where key = $1 and handed_in_at is null", [sitting]);
  return open.length === 1 ? "older" : "handed in";
}

/** Closes a sitting; false if it was handed in before. */
export async function handIn(database: Database, sitting: string): Promise<boolean> {
  return (await database.query("update sitting set handed_in_at = now() where key = $1 and handed_in_at is null returning key", [sitting])).length === 1;
}

export async function listMarks(database: Database, sittings: readonly string[]): Promise<Mark[]> {
  if (sittings.length === 0) return [];
  const places = sittings.map((_, index) => `$${index + 1}`).join(", ");
  return z
    .array(markRow)
    .parse(
      await database.query(
        `select sitting, task, item, earned, possible, suggested, reason, marker from mark where sitting in (${places}) order by task, item`,
        sittings,
      ),
    );
}

/** Handed-in sittings of a sheet (null: of all sheets) with how many marks each has. */
export async function countMarks(database: Database, sheet: string | null): Promise<Array<{ key: string; edition: string; marks: number }>> {
  const rows = await database.query(
    `select i.key, i.edition, count(m.key)::int as marks from sitting i join sheet_edition e on e.key = i.edition left join mark m on m.sitting = i.key
     where i.handed_in_at is not null and ($1::text is null or e.sheet = $1) group by i.key, i.edition, i.handed_in_at order by i.handed_in_at`,
    [sheet],
  );
  return z.array(z.object({ key: z.string(), edition: z.string(), marks: z.number() })).parse(rows);
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
};

/** Writes a mark in place of the former one of the same item. */
export async function putMark(query: Query, mark: NewMark): Promise<void> {
  await query(
    `insert into mark (key, sitting, task, item, earned, possible, suggested, reason, marker) values ($1, $2, $3, $4, $5, $6, $7, $8, $9)
     on conflict (sitting, task, item) do update set earned = excluded.earned, possible = excluded.possible, suggested = excluded.suggested, reason = excluded.reason, marker = excluded.marker, made_at = now()`,
    [newKey(), mark.sitting, mark.task, mark.item, mark.earned, mark.possible, mark.suggested ?? null, asBytes(mark.reason), mark.marker],
  );
}
