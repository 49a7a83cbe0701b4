import * as z from "zod";
import { faultClassSchema } from "../../core/cases/case.ts";
import { type ExerciseContent, exerciseContentSchema } from "../../core/exercises/exercise.ts";
import type { Database } from "../database/database.ts";
import { asJson, jsonColumn, oneRow, timeColumn } from "../database/rows.ts";
import { newKey } from "../keys.ts";

const exerciseRow = z.object({
  key: z.string(),
  faulty_case: z.string().nullable(),
  /** The wording of the course of its case. */
  wording: z.string(),
  title: z.string(),
  content: jsonColumn(exerciseContentSchema),
  revision: z.number(),
  created_at: timeColumn,
});
export type Exercise = z.infer<typeof exerciseRow>;
const columns = `e.key, e.faulty_case, e.title, e.content, e.revision, e.created_at,
  coalesce((select c.wording from faulty_case f join course c on c.key = f.course where f.key = e.faulty_case), 'three') as wording`;

export async function addExercise(
  database: Database,
  /** Null where it comes of no case. */
  faultyCase: string | null,
  title: string,
  content: ExerciseContent,
): Promise<string> {
  const key = newKey();
  await database.query("insert into exercise (key, faulty_case, title, content) values ($1, $2, $3, $4)", [
    key,
    faultyCase,
    title,
    asJson(content),
  ]);
  return key;
}

export async function findExercise(database: Database, key: string): Promise<Exercise | null> {
  return oneRow(
    exerciseRow,
    await database.query(`select ${columns} from exercise e where e.key = $1 and e.deleted_at is null`, [key]),
  );
}

const exerciseLine = z.object({
  key: z.string(),
  title: z.string(),
  created_at: timeColumn,
  marks: z.number(),
  tasks: z.number(),
});
/** What a list shows of an exercise: nothing of its program. */
export type ExerciseLine = z.infer<typeof exerciseLine>;

/** All exercises, the newest first. */
export async function listExercises(database: Database): Promise<ExerciseLine[]> {
  const rows = await database.query(
    `select key, title, created_at, jsonb_array_length(content -> 'tasks') as tasks,
       (select coalesce(sum((task ->> 'marks')::integer), 0)::integer from jsonb_array_elements(content -> 'tasks') task) as marks
     from exercise where deleted_at is null order by created_at desc`,
  );
  return z.array(exerciseLine).parse(rows);
}

const teachable = z.object({
  key: z.string(),
  title: z.string(),
  language: z.string(),
  classes: jsonColumn(z.array(faultClassSchema)),
  mended: z.boolean(),
});

/** Exercises with the classes of their faults, without their programs; the newest first. */
export async function listTeachable(database: Database): Promise<Array<z.infer<typeof teachable>>> {
  const rows = await database.query(
    `select key, title, content ->> 'language' as language,
       coalesce(jsonb_typeof(content -> 'mended') = 'string', false) as mended,
       coalesce((select jsonb_agg(distinct fault -> 'class') from jsonb_array_elements(content -> 'faults') fault), '[]') as classes
     from exercise where deleted_at is null order by created_at desc`,
  );
  return z.array(teachable).parse(rows);
}

/** What the check of an exercise found that it was set with; null where its newest revision was not checked yet. */
export async function reasonsAgainst(database: Database, key: string): Promise<string[] | null> {
  const row = oneRow(
    z.object({ checked: z.boolean(), reasons: jsonColumn(z.array(z.string())) }),
    await database.query(
      "select coalesce(checked_revision = revision, false) as checked, reasons from exercise where key = $1",
      [key],
    ),
  );
  return row?.checked ? row.reasons : null;
}

/** Keeps what the check of an exercise at a revision found. */
export async function keepReasons(
  database: Database,
  key: string,
  revision: number,
  reasons: readonly string[],
): Promise<void> {
  await database.query("update exercise set checked_revision = $2, reasons = $3 where key = $1 and revision = $2", [
    key,
    revision,
    asJson(reasons),
  ]);
}

/** Writes an exercise that was read at `revision`; false if somebody else wrote meanwhile. */
export async function saveExercise(
  database: Database,
  key: string,
  revision: number,
  title: string,
  content: ExerciseContent,
): Promise<boolean> {
  return (
    (
      await database.query(
        "update exercise set title = $3, content = $4, revision = revision + 1 where key = $1 and revision = $2 returning key",
        [key, revision, title, asJson(content)],
      )
    ).length === 1
  );
}
