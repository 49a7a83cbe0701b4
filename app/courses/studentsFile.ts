import { csvOf } from "../../core/formats/csv.ts";
import { findCourse, listStudents } from "../../server/people/courseStore.ts";
import type { Route } from "./+types/studentsFile.ts";

/** The students of a course with their personal codes as comma-separated values; the course's page takes it in again. */
export async function loader({ params, context }: Route.LoaderArgs): Promise<Response> {
  const { database } = context.services;
  const course = await findCourse(database, params.courseKey);
  if (!course) return new Response("There is no such course.", { status: 404 });
  const students = await listStudents(database, course.key);
  const text = csvOf([["label", "code"], ...students.map(({ label, personal_code }) => [label, personal_code])]);
  return new Response(text, {
    headers: {
      "Content-Type": "text/csv; charset=utf-8",
      "Content-Disposition": 'attachment; filename="students.csv"',
    },
  });
}
