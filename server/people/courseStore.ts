import * as z from "zod";
import type { Database, Query } from "../database/database.ts";
import { jsonColumn, keyRow, oneRow, timeColumn } from "../database/rows.ts";
import { newCode, newKey } from "../keys.ts";
import { firstTeacher } from "./teacherStore.ts";

const courseRow = z.object({
  key: z.string(),
  name: z.string(),
  owner: z.string(),
  language: z.string(),
  endless_class: z.enum(["logic", "runtime"]),
  wording: z.string(),
  depth: z.enum(["short", "full"]),
  /** Ways of languages that have more than one, by language. */
  ways: jsonColumn(z.record(z.string(), z.string())),
});
const courseColumns = "key, name, owner, language, endless_class, wording, depth, ways";
const studentRow = z.object({
  key: z.string(),
  course: z.string(),
  label: z.string(),
  personal_code: z.string(),
  /** How much is said of messages to them; null: as to the course. */
  depth: z.enum(["short", "full"]).nullable(),
  /** When they left the course; null: they are in it. */
  left_at: timeColumn.nullable(),
});
export type Course = z.infer<typeof courseRow>;
export type Student = z.infer<typeof studentRow>;

export async function listCourses(database: Database): Promise<Course[]> {
  return z.array(courseRow).parse(await database.query(`select ${courseColumns} from course order by name`));
}

export async function findCourse(database: Database, key: string): Promise<Course | null> {
  return oneRow(courseRow, await database.query(`select ${courseColumns} from course where key = $1`, [key]));
}

/** Adds a course of a teacher; returns its key. */
export async function addCourse(
  database: Database,
  name: string,
  language: string,
  owner: string = firstTeacher,
): Promise<string> {
  const key = newKey();
  await database.query("insert into course (key, name, language, owner) values ($1, $2, $3, $4)", [
    ...[key, name, language, owner],
  ]);
  return key;
}

/**
 * How a course speaks and decides: what a loop without end counts as, the names of the classes, how much is explained.
 */
export async function setCoursePolicy(
  database: Database,
  key: string,
  policy: { endlessClass: "logic" | "runtime"; wording: string; depth: "short" | "full" },
): Promise<void> {
  await database.query("update course set endless_class = $2, wording = $3, depth = $4 where key = $1", [
    ...[key, policy.endlessClass, policy.wording, policy.depth],
  ]);
}

/** Has a language in a way from now on; cases of the course are read and run so. */
export async function setCourseWay(
  { query }: { query: Query },
  key: string,
  language: string,
  way: string,
): Promise<void> {
  await query("update course set ways = ways || jsonb_build_object($2::text, $3::text) where key = $1", [
    ...[key, language, way],
  ]);
}

/** The students of a course, in their order: those who are in it, or with those who have left it. */
export async function listStudents(
  { query }: { query: Query },
  course: string,
  which: "in it" | "all" = "in it",
): Promise<Student[]> {
  const rows = await query(
    `select key, course, label, personal_code, depth, left_at from student
     where course = $1 and ($2 or left_at is null) order by position, label`,
    [course, which === "all"],
  );
  return z.array(studentRow).parse(rows);
}

/** The students of all courses, for lists to choose from; by course in their order. */
export async function listLabels(database: Database): Promise<Array<Pick<Student, "key" | "course" | "label">>> {
  const rows = await database.query(
    "select key, course, label from student where left_at is null order by course, position, label",
  );
  return z.array(studentRow.omit({ personal_code: true, depth: true, left_at: true })).parse(rows);
}

/** Adds the labels that are not in the course yet, each with a personal code. Returns how many were added. */
export async function addStudents(database: Database, course: string, labels: readonly string[]): Promise<number> {
  return database.transaction((query) => addStudentsWith(query, course, labels));
}

/** The same inside a transaction. */
export async function addStudentsWith(query: Query, course: string, labels: readonly string[]): Promise<number> {
  return addListed(
    query,
    course,
    labels.map((label) => ({ label, code: null })),
  );
}

/**
 * Adds the students of a list that are not in the course yet, each with the personal code of the list or a new one; who had
 * left it is in it again. Returns how many were added.
 */
export async function addListed(
  query: Query,
  course: string,
  students: ReadonlyArray<{ label: string; code: string | null }>,
): Promise<number> {
  let added = 0;
  for (const { label, code } of students) {
    const rows = await query(
      `insert into student (key, course, label, personal_code, position)
       values ($1, $2, $3, $4, (select count(*) from student where course = $2))
       on conflict (course, label) do update set left_at = null where student.left_at is not null returning key`,
      [newKey(), course, label, code ?? newCode(6)],
    );
    added += rows.length;
  }
  return added;
}

/** Gives a student a new personal code, as where the slip was lost; returns it. */
export async function renewCode({ query }: Database, student: string): Promise<string> {
  const code = newCode(6);
  await query("update student set personal_code = $2 where key = $1", [student, code]);
  return code;
}

/** Takes a student out of the lists of the course, with everything kept, or in again. */
export async function setLeft({ query }: Database, student: string, left: boolean): Promise<void> {
  await query("update student set left_at = case when $2 then now() else null end where key = $1", [student, left]);
}

/**
 * Moves a student into another course, behind those who are in it; programs and sittings stay where they were handed in.
 * Words for the person if it cannot be.
 */
export async function moveStudent(database: Database, student: string, course: string): Promise<string | null> {
  return database.transaction(async (query) => {
    const rows = await query(
      `select s.key from student s join student me on me.key = $1
       where s.course = $2 and s.label = me.label and s.key <> me.key`,
      [student, course],
    );
    if (z.array(keyRow).parse(rows).length > 0) return "A student of that course has the same label. Change one first.";
    await query(
      `update student set course = $2, left_at = null,
         position = (select count(*) from student where course = $2) where key = $1`,
      [student, course],
    );
    return null;
  });
}

const namedStudent = z.object({ key: z.string(), label: z.string(), course: z.string(), course_name: z.string() });

/** A student with the name of the course, or null. */
export async function findStudent(database: Database, key: string): Promise<z.infer<typeof namedStudent> | null> {
  const rows = await database.query(
    `select s.key, s.label, s.course, c.name as course_name from student s join course c on c.key = s.course
     where s.key = $1`,
    [key],
  );
  return oneRow(namedStudent, rows);
}

/** Whether another student of the same course has a label. */
export async function isLabelTaken({ query }: { query: Query }, student: string, label: string): Promise<boolean> {
  const rows = await query(
    `select s.key from student s join student me on me.key = $1
     where s.course = me.course and s.label = $2 and s.key <> $1`,
    [student, label],
  );
  return z.array(keyRow).parse(rows).length > 0;
}

/** How much is said of messages to a student; null: as to the course. */
export async function setStudentDepth({ query }: Database, student: string, depth: Student["depth"]): Promise<void> {
  await query("update student set depth = $2 where key = $1", [student, depth]);
}

export async function setLabel({ query }: { query: Query }, student: string, label: string): Promise<void> {
  await query("update student set label = $2 where key = $1", [student, label]);
}
