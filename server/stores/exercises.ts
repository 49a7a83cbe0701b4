import { z } from "zod";
import { type ExerciseContent, exerciseContentSchema } from "../../core/exercises/exercise.ts";
import type { Database } from "../database/database.ts";
import { newKey } from "../keys.ts";
import { jsonColumn, oneRow, timeColumn } from "./rows.ts";

const exerciseRow = z.object({
  key: z.string(),
  faulty_case: z.string().nullable(),
  title: z.string(),
  content: jsonColumn(exerciseContentSchema),
  revision: z.number(),
  created_at: timeColumn,
});
export type Exercise = z.infer<typeof exerciseRow>;
const columns = "key, faulty_case, title, content, revision, created_at";

export async function addExercise(database: Database, faultyCase: string, title: string, content: ExerciseContent): Promise<string> {
  const key = newKey();
  await database.query("insert into exercise (key, faulty_case, title, content) values ($1, $2, $3, $4)", [key, faultyCase, title, JSON.stringify(content)]);
  return key;
}

export async function findExercise(database: Database, key: string): Promise<Exercise | null> {
  return oneRow(exerciseRow, await database.query(`select ${columns} from exercise where key = $1 and deleted_at is null`, [key]));
}

export async function listExercises(database: Database): Promise<Exercise[]> {
  return z.array(exerciseRow).parse(await database.query(`select ${columns} from exercise where deleted_at is null order by created_at desc`));
}

/** Writes an exercise that was read at `revision`; false if somebody else wrote meanwhile. */
export async function saveExercise(database: Database, key: string, revision: number, title: string, content: ExerciseContent): Promise<boolean> {
  return (
    (
      await database.query("update exercise set title = $3, content = $4, revision = revision + 1 where key = $1 and revision = $2 returning key", [
        key,
        revision,
        title,
        JSON.stringify(content),
      ])
    ).length === 1
  );
}
