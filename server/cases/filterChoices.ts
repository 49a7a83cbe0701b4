import { namedLanguages } from "../../core/languages/named.ts";
import { patterns } from "../../core/patterns/patterns.ts";
import { listAssignmentTitles } from "../assignments/assignmentStore.ts";
import type { Database } from "../database/database.ts";
import { listCourses, listLabels } from "../people/courseStore.ts";
import { adviceKinds, type CaseFilter, caseStates, distances, filterNames } from "./recordFilterStore.ts";

/** What a list of cases can be narrowed to. */
export async function filterChoices(database: Database) {
  const [courses, students, assignments] = await Promise.all([
    listCourses(database),
    listLabels(database),
    listAssignmentTitles(database),
  ]);
  return {
    courses: courses.map(({ key, name, wording }) => ({
      key,
      name,
      wording,
      assignments: assignments.filter((each) => each.course === key).map(({ key, title }) => ({ key, title })),
      students: students.filter((student) => student.course === key).map(({ key, label }) => ({ key, label })),
    })),
    ...{ states: inWords(caseStates), distances: inWords(distances), advice: inWords(adviceKinds) },
    languages: namedLanguages(),
    patterns: patterns.map(({ id, name }) => ({ value: id, words: name })),
  };
}

const inWords = (kinds: Readonly<Record<string, { words: string }>>) =>
  Object.entries(kinds).map(([value, { words }]) => ({ value, words }));

/** The narrowing that stands in an address. */
export function filterOf(query: URLSearchParams): CaseFilter {
  return Object.fromEntries(
    filterNames.flatMap((name) => (query.get(name) ? [[name, query.get(name)?.slice(0, 200)]] : [])),
  );
}
