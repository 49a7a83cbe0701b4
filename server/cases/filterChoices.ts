import type { Database } from "../database/database.ts";
import { listCourses, listLabels } from "../people/courseStore.ts";
import { adviceKinds, type CaseFilter, caseStates, distances, filterNames } from "./recordFilter.ts";

/** What a list of cases can be narrowed to. */
export async function filterChoices(database: Database) {
  const [courses, students] = await Promise.all([listCourses(database), listLabels(database)]);
  return {
    courses: courses.map(({ key, name, wording }) => ({
      key,
      name,
      wording,
      students: students.filter((student) => student.course === key).map(({ key, label }) => ({ key, label })),
    })),
    states: Object.entries(caseStates).map(([value, { words }]) => ({ value, words })),
  };
}

/** The narrowing that stands in an address. */
export function filterOf(query: URLSearchParams): CaseFilter {
  return Object.fromEntries(
    filterNames.flatMap((name) => (query.get(name) ? [[name, query.get(name)?.slice(0, 200)]] : [])),
  );
}
