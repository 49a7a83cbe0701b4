import type { Database } from "../database/database.ts";
import { type CaseFilter, caseStates } from "./caseLists.ts";
import { listCourses, listStudents } from "./courses.ts";

/** What a list of cases can be narrowed to. */
export async function filterChoices(database: Database) {
  const courses = await listCourses(database);
  return {
    courses: await Promise.all(
      courses.map(async ({ key, name }) => ({
        key,
        name,
        students: (await listStudents(database, key)).map((student) => ({ key: student.key, label: student.label })),
      })),
    ),
    states: Object.entries(caseStates).map(([value, { words }]) => ({ value, words })),
  };
}

/** The narrowing that stands in an address. */
export function filterOf(query: URLSearchParams): CaseFilter {
  const names = ["course", "student", "language", "class", "state", "text"] as const;
  return Object.fromEntries(names.flatMap((name) => (query.get(name) ? [[name, query.get(name)?.slice(0, 200)]] : [])));
}
