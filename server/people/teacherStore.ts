import * as z from "zod";
import type { Database } from "../database/database.ts";
import { timeColumn } from "../database/rows.ts";

/** The key of the teacher that a fresh install begins with (db/migrations/0005_stages.sql). */
export const firstTeacher = "first";

/** Who did something: a teacher, the program itself, or a student. `teacher` names the one who did it. */
export type Who = { role: "teacher"; teacher: string } | { role: "program" } | { role: "student" };

const teacherRow = z.object({ key: z.string(), name: z.string(), created_at: timeColumn });
export type Teacher = z.infer<typeof teacherRow>;

/** All teachers, those who were there first before the others. */
export async function listTeachers(database: Database): Promise<Teacher[]> {
  return z
    .array(teacherRow)
    .parse(await database.query("select key, name, created_at from teacher order by created_at, key"));
}
