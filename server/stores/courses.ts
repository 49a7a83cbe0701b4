import { z } from "zod";
import type { Database, Query } from "../database/database.ts";
import { newCode, newKey } from "../keys.ts";
import { oneRow } from "./rows.ts";

const courseRow = z.object({
  key: z.string(),
  name: z.string(),
  language: z.string(),
  endless_class: z.enum(["logic", "runtime"]),
  hand_in_code: z.string().nullable(),
  hand_in_open: z.boolean(),
  task: z.string(),
  wording: z.string(),
  depth: z.enum(["short", "full"]),
});
const courseColumns = "key, name, language, endless_class, hand_in_code, hand_in_open, task, wording, depth";
const studentRow = z.object({ key: z.string(), course: z.string(), label: z.string(), personal_code: z.string() });
export type Course = z.infer<typeof courseRow>;
export type Student = z.infer<typeof studentRow>;

export async function listCourses(database: Database): Promise<Course[]> {
  return z.array(courseRow).parse(await database.query(`select ${courseColumns} from course order by name`));
}

export async function findCourse(database: Database, key: string): Promise<Course | null> {
  return oneRow(courseRow, await database.query(`select ${courseColumns} from course where key = $1`, [key]));
}

export async function addCourse(database: Database, name: string, language: string): Promise<string> {
  const key = newKey();
  await database.query("insert into course (key, name, language) values ($1, $2, $3)", [key, name, language]);
  return key;
}

/** The course whose hand-in address has this code, or null. */
export async function findCourseByHandIn(database: Database, code: string): Promise<Course | null> {
  return oneRow(courseRow, await database.query(`select ${courseColumns} from course where hand_in_code = $1`, [code.toUpperCase()]));
}

/** How a course speaks and decides: what a loop without end counts as, the names of the classes, how much is explained. */
export async function setCoursePolicy(
  database: Database,
  key: string,
  policy: { endlessClass: "logic" | "runtime"; wording: string; depth: "short" | "full" },
): Promise<void> {
  await database.query("update course set endless_class = $2, wording = $3, depth = $4 where key = $1", [
    key,
    policy.endlessClass,
    policy.wording,
    policy.depth,
  ]);
}

/** Opens or closes the hand-in page of a course, with the task that students are asked about. The address stays the same. */
export async function setHandIn(database: Database, key: string, given: { open: boolean; task: string }): Promise<void> {
  await database.query("update course set hand_in_open = $2, task = $3, hand_in_code = coalesce(hand_in_code, $4) where key = $1", [
    key,
    given.open,
    given.task,
    newCode(8),
  ]);
}

export async function listStudents(database: Database, course: string): Promise<Student[]> {
  return z
    .array(studentRow)
    .parse(await database.query("select key, course, label, personal_code from student where course = $1 order by position, label", [course]));
}

/** Adds the labels that are not in the course yet, each with a personal code. Returns how many were added. */
export async function addStudents(database: Database, course: string, labels: readonly string[]): Promise<number> {
  return database.transaction((query) => addStudentsWith(query, course, labels));
}

/** The same inside a transaction. */
export async function addStudentsWith(query: Query, course: string, labels: readonly string[]): Promise<number> {
  let added = 0;
  for (const label of labels) {
    const rows = await query(
      "insert into student (key, course, label, personal_code, position) values ($1, $2, $3, $4, (select count(*) from student where course = $2)) on conflict (course, label) do nothing returning key",
      [newKey(), course, label, newCode(6)],
    );
    added += rows.length;
  }
  return added;
}
