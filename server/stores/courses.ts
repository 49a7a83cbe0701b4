import { z } from "zod";
import type { Database, Query } from "../database/database.ts";
import { newCode, newKey } from "../keys.ts";
import { oneRow } from "./rows.ts";

const courseRow = z.object({ key: z.string(), name: z.string(), language: z.string(), endless_class: z.enum(["logic", "runtime"]) });
const studentRow = z.object({ key: z.string(), course: z.string(), label: z.string(), personal_code: z.string() });
export type Course = z.infer<typeof courseRow>;
export type Student = z.infer<typeof studentRow>;

export async function listCourses(database: Database): Promise<Course[]> {
  return z.array(courseRow).parse(await database.query("select key, name, language, endless_class from course order by name"));
}

export async function findCourse(database: Database, key: string): Promise<Course | null> {
  return oneRow(courseRow, await database.query("select key, name, language, endless_class from course where key = $1", [key]));
}

export async function addCourse(database: Database, name: string, language: string): Promise<string> {
  const key = newKey();
  await database.query("insert into course (key, name, language) values ($1, $2, $3)", [key, name, language]);
  return key;
}

export async function setCoursePolicy(database: Database, key: string, endlessClass: "logic" | "runtime"): Promise<void> {
  await database.query("update course set endless_class = $2 where key = $1", [key, endlessClass]);
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
