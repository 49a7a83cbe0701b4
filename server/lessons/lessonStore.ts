import * as z from "zod";
import { type LessonContent, lessonContentSchema, openings } from "../../core/lessons/lesson.ts";
import type { Database } from "../database/database.ts";
import { asJson, jsonColumn, keyRow, oneRow } from "../database/rows.ts";
import { newCode, newKey } from "../keys.ts";

const lessonLine = z.object({
  key: z.string(),
  course: z.string(),
  course_name: z.string(),
  title: z.string(),
  code: z.string(),
  /** What students may read: nothing, what comes before it is held, or all of it with what came out. */
  open: z.enum(openings),
});
/** What a list shows of a lesson. */
export type LessonLine = z.infer<typeof lessonLine>;

const lessonRow = lessonLine.extend({
  wording: z.string(),
  endless_class: z.enum(["logic", "runtime"]),
  reader: z.string(),
  position: z.number(),
  content: jsonColumn(lessonContentSchema),
  revision: z.number(),
});
export type Lesson = z.infer<typeof lessonRow>;

const line = "l.key, l.course, c.name as course_name, l.title, l.code, l.open";
const whole = `${line}, c.wording, c.endless_class, l.reader, l.position, l.content, l.revision`;
const from = "from lesson l join course c on c.key = l.course";

/** Begins a lesson at the end of its course's; gives its key. */
export async function addLesson(
  { query }: Database,
  lesson: { course: string; title: string; reader: string; content: LessonContent },
): Promise<string> {
  const key = newKey();
  await query(
    `insert into lesson (key, course, title, reader, position, code, content)
     values ($1, $2, $3, $4, (select coalesce(max(position), 0) + 1 from lesson where course = $2), $5, $6)`,
    [key, lesson.course, lesson.title, lesson.reader, newCode(8), asJson(lesson.content)],
  );
  return key;
}

/** All lessons, by course, in the order of the course. */
export async function listLessons({ query }: Database): Promise<LessonLine[]> {
  return z.array(lessonLine).parse(await query(`select ${line} ${from} order by c.name, l.course, l.position`));
}

export async function findLesson({ query }: Database, key: string): Promise<Lesson | null> {
  return oneRow(lessonRow, await query(`select ${whole} ${from} where l.key = $1`, [key]));
}

/** The lesson that students may read by this code; null also where it is not open. */
export async function findOpenLesson({ query }: Database, code: string): Promise<Lesson | null> {
  return oneRow(
    lessonRow,
    await query(`select ${whole} ${from} where l.code = $1 and l.open <> 'closed'`, [code.trim().toUpperCase()]),
  );
}

/** The lessons before and after one in its course; of those that are open only, where `onlyOpen`. */
export async function neighboursOf(
  { query }: Database,
  { course, position }: Pick<Lesson, "course" | "position">,
  onlyOpen: boolean,
): Promise<{ before: LessonLine | null; after: LessonLine | null }> {
  const beside = async (sign: "<" | ">", order: "desc" | "asc") =>
    oneRow(
      lessonLine,
      await query(
        `select ${line} ${from} where l.course = $1 and l.position ${sign} $2 and (l.open <> 'closed' or not $3) order by l.position ${order} limit 1`,
        [course, position, onlyOpen],
      ),
    );
  return { before: await beside("<", "desc"), after: await beside(">", "asc") };
}

/** Keeps a lesson as it is now; false where it was changed since the revision that was read. */
export async function saveLesson(
  { query }: Database,
  key: string,
  revision: number,
  lesson: Pick<Lesson, "title" | "reader" | "content">,
): Promise<boolean> {
  const rows = await query(
    "update lesson set title = $3, reader = $4, content = $5, revision = revision + 1, changed_at = now() where key = $1 and revision = $2 returning key",
    [key, revision, lesson.title, lesson.reader, asJson(lesson.content)],
  );
  return z.array(keyRow).parse(rows).length > 0;
}

/** Says what students may read of a lesson from now on. */
export async function openLesson({ query }: Database, key: string, open: Lesson["open"]): Promise<void> {
  await query("update lesson set open = $2 where key = $1", [key, open]);
}

/** Moves a lesson one place up (-1) or down (1) in its course. */
export async function moveLesson(database: Database, lesson: Pick<Lesson, "key" | "course" | "position">, by: 1 | -1) {
  const { before, after } = await neighboursOf(database, lesson, false);
  const other = by < 0 ? before : after;
  if (!other) return;
  await database.query(
    `update lesson set position = case when key = $1 then (select position from lesson where key = $2) else $3 end
     where key in ($1, $2)`,
    [lesson.key, other.key, lesson.position],
  );
}

export async function deleteLesson({ query }: Database, key: string): Promise<void> {
  await query("delete from lesson where key = $1", [key]);
}
