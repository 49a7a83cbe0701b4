import * as z from "zod";
import { sittingRulesSchema } from "../../core/sittings/sittingRules.ts";
import type { Database, Query } from "../database/database.ts";
import { asBytes, jsonColumn, keyRow, oneRow, textBytes, timeColumn } from "../database/rows.ts";
import { newKey } from "../keys.ts";

const sittingRow = z.object({
  key: z.string(),
  edition: z.string(),
  student: z.string(),
  label: z.string(),
  started_at: timeColumn,
  handed_in_at: timeColumn.nullable(),
  /** Who handed it in: the student, the teacher who collected all, or the end of the time. */
  handed_in_by: z.enum(["student", "teacher", "bell"]),
  /** The how manieth try at its edition it is, from 1. */
  attempt: z.number(),
  /** In which scene of its edition; 0: as it was set. */
  scene: z.number(),
  extra_seconds: z.number(),
  paused_seconds: z.number(),
  /** Whether the student may sit it although the sheet is closed for the others. */
  later: z.boolean(),
});
export type Sitting = z.infer<typeof sittingRow>;
export type HandedInBy = Sitting["handed_in_by"];
const columns = `i.key, i.edition, i.student, s.label, i.started_at, i.handed_in_at, i.handed_in_by, i.attempt, i.scene,
  i.extra_seconds, i.paused_seconds, exists (select 1 from later_sitting l join sheet_edition o on o.sheet = l.sheet
    where o.key = i.edition and l.student = i.student) as later`;
const select = `select ${columns} from sitting i join student s on s.key = i.student`;
const answerRow = z.object({ task: z.string(), revision: z.number(), content: textBytes, saved_at: timeColumn });
export type Answer = { task: string; revision: number; content: unknown; savedAt: string };
/** Begins a student's sitting of an edition, in a scene of it, or finds the newest one begun before. */
export async function beginSitting(database: Database, edition: string, student: string, scene = 0): Promise<string> {
  return database.transaction(async (query) => {
    await query(
      "insert into sitting (key, edition, student, scene) values ($1, $2, $3, $4) on conflict (edition, student, attempt) do nothing",
      [newKey(), edition, student, scene],
    );
    const rows = await query(
      "select key from sitting where edition = $1 and student = $2 order by attempt desc limit 1",
      [edition, student],
    );
    return z.object({ key: z.string() }).parse(rows[0]).key;
  });
}

/**
 * Begins one more try at the edition of a sitting that is handed in, in a scene of it; the former one stays as it is. Null
 * where it is not handed in or a newer try is there.
 */
export async function beginAgain({ query }: { query: Query }, sitting: string, scene = 0): Promise<string | null> {
  const rows = await query(
    `insert into sitting (key, edition, student, attempt, scene)
     select $2, i.edition, i.student, i.attempt + 1, $3 from sitting i where i.key = $1 and i.handed_in_at is not null
     on conflict (edition, student, attempt) do nothing returning key`,
    [sitting, newKey(), scene],
  );
  return z.array(keyRow).parse(rows)[0]?.key ?? null;
}

export async function findSitting(database: Database, key: string): Promise<Sitting | null> {
  return oneRow(sittingRow, await database.query(`${select} where i.key = $1`, [key]));
}

/** What a browser keeps of a sitting beside its key: it holds as long as the student's personal code is the same. */
const pass = "left(encode(sha256(convert_to(i.key || ' ' || s.personal_code, 'UTF8')), 'hex'), 24)";

/** What a browser is given to come back to a sitting. Throws where there is no such sitting. */
export async function passOf({ query }: Pick<Database, "query">, sitting: string): Promise<string> {
  const rows = await query(
    `select ${pass} as pass from sitting i join student s on s.key = i.student where i.key = $1`,
    [sitting],
  );
  return `${sitting}.${z.object({ pass: z.string() }).parse(rows[0]).pass}`;
}

/** The sitting that a browser comes back to; null where what it has is none, or of before the student had a new code. */
export async function findByPass(database: Database, given: string): Promise<Sitting | null> {
  const [key = "", own = ""] = given.split(".");
  return oneRow(sittingRow, await database.query(`${select} where i.key = $1 and ${pass} = $2`, [key, own]));
}

/** Sittings of all editions of a sheet, by student. */
export async function listSittings(database: Database, sheet: string): Promise<Sitting[]> {
  return z
    .array(sittingRow)
    .parse(
      await database.query(
        `${select} join sheet_edition e on e.key = i.edition where e.sheet = $1 order by s.position, s.label, e.number, i.attempt`,
        [sheet],
      ),
    );
}

/** A student's sittings of a sheet, the newest try of the newest edition last. */
export async function listSittingsOn(
  database: Database,
  sheet: string,
  student: string,
): Promise<Array<Sitting & { number: number }>> {
  const rows = await database.query(
    `select ${columns}, e.number
     from sitting i join student s on s.key = i.student join sheet_edition e on e.key = i.edition
     where e.sheet = $1 and i.student = $2 order by e.number, i.attempt`,
    [sheet, student],
  );
  return z.array(sittingRow.extend({ number: z.number() })).parse(rows);
}

const answerToRow = z.object({
  ...{ sitting: z.string(), label: z.string(), scene: z.number() },
  content: textBytes.transform((text) => JSON.parse(text) as unknown),
});
/** An answer to one task with whose it is. */
export type AnswerTo = z.infer<typeof answerToRow>;

/** What was handed in for one task of an edition, by label. */
export async function listAnswersTo(database: Database, edition: string, task: string): Promise<AnswerTo[]> {
  return z.array(answerToRow).parse(
    await database.query(
      `select a.sitting, s.label, i.scene, a.content from answer a join sitting i on i.key = a.sitting join student s on s.key = i.student
         where i.edition = $1 and a.task = $2 and i.handed_in_at is not null order by s.label`,
      [edition, task],
    ),
  );
}

export async function listAnswers(database: Database, sitting: string): Promise<Answer[]> {
  const rows = z
    .array(answerRow)
    .parse(await database.query("select task, revision, content, saved_at from answer where sitting = $1", [sitting]));
  return rows.map((row) => ({
    task: row.task,
    revision: row.revision,
    content: JSON.parse(row.content),
    savedAt: row.saved_at,
  }));
}

const answeredRow = z.object({ sitting: z.string(), task: z.string(), saved_at: timeColumn });

/** Which tasks are answered in the sittings of a sheet, and when each was saved last. */
export async function listAnswered(database: Database, sheet: string): Promise<Array<z.infer<typeof answeredRow>>> {
  const rows = await database.query(
    `select a.sitting, a.task, a.saved_at from answer a join sitting i on i.key = a.sitting
       join sheet_edition e on e.key = i.edition where e.sheet = $1`,
    [sheet],
  );
  return z.array(answeredRow).parse(rows);
}

const ownSittingRow = z.object({
  key: z.string(),
  sheet: z.string(),
  attempt: z.number(),
  title: z.string(),
  started_at: timeColumn,
  handed_in_at: timeColumn.nullable(),
});

/** A student's sittings with the title of their sheet. */
export async function listSittingsOf(
  database: Database,
  student: string,
): Promise<Array<z.infer<typeof ownSittingRow>>> {
  const rows = await database.query(
    `select i.key, e.sheet, i.attempt, h.title, i.started_at, i.handed_in_at from sitting i
       join sheet_edition e on e.key = i.edition join sheet h on h.key = e.sheet where i.student = $1
     order by i.started_at, i.attempt`,
    [student],
  );
  return z.array(ownSittingRow).parse(rows);
}

/**
 * Saves an answer unless a newer one is there (late and repeated saves lose), or the sitting is handed in. Returns what
 * happened.
 */
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

/** Hands a sitting in; false if it was handed in before. */
export async function handIn(
  { query }: { query: Query },
  sitting: string,
  by: HandedInBy = "student",
): Promise<boolean> {
  const rows = await query(
    "update sitting set handed_in_at = now(), handed_in_by = $2 where key = $1 and handed_in_at is null returning key",
    [sitting, by],
  );
  return rows.length === 1;
}

/** Hands in all sittings of a sheet that are open, but for those that are sat later; returns their keys. */
export async function handInAll(query: Query, sheet: string, by: HandedInBy = "teacher"): Promise<string[]> {
  const rows = await query(
    `update sitting i set handed_in_at = now(), handed_in_by = $2 from sheet_edition e
     where e.key = i.edition and e.sheet = $1 and i.handed_in_at is null
       and not exists (select 1 from later_sitting l where l.sheet = e.sheet and l.student = i.student)
     returning i.key`,
    [sheet, by],
  );
  return z
    .array(keyRow)
    .parse(rows)
    .map((row) => row.key);
}

/** Gives a sitting back to its student to go on with, as it was when it was handed in; false if it is not handed in. */
export async function reopenSitting({ query }: { query: Query }, sitting: string): Promise<boolean> {
  const rows = await query(
    "update sitting set handed_in_at = null where key = $1 and handed_in_at is not null returning key",
    [sitting],
  );
  return rows.length === 1;
}

/** Gives a student time on top. */
export async function giveTime({ query }: { query: Query }, sitting: string, seconds: number): Promise<void> {
  await query("update sitting set extra_seconds = extra_seconds + $2 where key = $1", [sitting, seconds]);
}

const timesRow = z.object({
  key: z.string(),
  started_at: z.date(),
  extra_seconds: z.number(),
  paused_seconds: z.number(),
  later: z.boolean(),
  rules: jsonColumn(sittingRulesSchema),
  bell_at: z.date().nullable(),
  paused_at: z.date().nullable(),
});

/** What is known of when the sittings end that are open and have an end: by a bell or by minutes of their own. */
export async function listSittingsWithEnd({ query }: { query: Query }): Promise<Array<z.infer<typeof timesRow>>> {
  const rows = await query(
    `select ${columns}, h.rules, h.bell_at, h.paused_at from sitting i join student s on s.key = i.student
       join sheet_edition e on e.key = i.edition join sheet h on h.key = e.sheet
     where i.handed_in_at is null and (h.bell_at is not null or h.rules ->> 'minutes' is not null)`,
  );
  return z.array(timesRow).parse(rows);
}
