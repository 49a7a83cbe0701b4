import type { ToolOutput } from "../../core/cases/case.ts";
import { findLanguage } from "../../core/languages/languages.ts";
import type { Database } from "../database/database.ts";
import { listStudents } from "../people/courseStore.ts";
import { type CaseFields, setCaseFields, type WholeCase } from "./caseStore.ts";
import { type Change, type Changed, changeCase } from "./changeCase.ts";
import { refreshSearchText } from "./searchStore.ts";
import { insertOutput, setWorked } from "./versionStore.ts";
import { decideWarning, listWarningDecisions, type WarningDecision } from "./warningStore.ts";

/** Longest title of a case, in characters. */
const longestTitle = 200;

/** What is wrong with new fields of a case, in words for the person; null if nothing is. */
async function problemOf(database: Database, found: WholeCase, fields: CaseFields): Promise<string | null> {
  if (fields.title !== undefined && (fields.title.trim() === "" || fields.title.length > longestTitle))
    return `A title has 1 to ${longestTitle} characters.`;
  if (fields.language !== undefined && !findLanguage(fields.language)) return "This language is not known here.";
  if (fields.language !== undefined && fields.language !== found.language && found.layers.length > 0)
    return "A fault is recorded already, in the language that the case has. Collect the program anew in the other one.";
  if (fields.student === undefined || fields.student === null) return null;
  const students = found.course ? await listStudents(database, found.course, "all") : [];
  return students.some((student) => student.key === fields.student)
    ? null
    : "This student is not in the course of the case.";
}

/**
 * Changes what is said about a case: its title, what the program should do, the teacher's note, the student, the
 * language. What was there before is kept.
 */
export async function describeCase(
  database: Database,
  found: WholeCase,
  change: Omit<Change, "key">,
  fields: CaseFields,
): Promise<Changed> {
  const problem = await problemOf(database, found, fields);
  if (problem !== null) return { ok: false, message: problem };
  const names = Object.keys(fields) as Array<keyof CaseFields>;
  const changed = names.filter((name) => fields[name] !== found[name]);
  if (changed.length === 0) return { ok: true };
  return changeCase(database, { ...change, key: found.key }, async ({ query, keep }) => {
    await keep("case", found.key, Object.fromEntries(changed.map((name) => [name, found[name]])));
    await setCaseFields(query, found.key, fields);
    return undefined;
  });
}

/** Keeps what another tool said of the current version. */
export async function addOutput(
  database: Database,
  found: WholeCase,
  change: Omit<Change, "key">,
  output: ToolOutput,
): Promise<Changed> {
  return changeCase(database, { ...change, key: found.key }, async ({ query }) => {
    await insertOutput(query, found.current_version, output);
    await refreshSearchText(query, found.key);
    return undefined;
  });
}

/** Says of a version that it worked, or takes that back. */
export async function sayWorked(
  database: Database,
  found: WholeCase,
  change: Omit<Change, "key">,
  version: string,
  worked: boolean,
): Promise<Changed> {
  const before = found.versions.find((each) => each.key === version);
  if (!before) return { ok: false, message: "There is no such version of this case. Nothing was changed." };
  return changeCase(database, { ...change, key: found.key }, async ({ query, keep }) => {
    await keep("case", found.key, { version, worked: before.worked });
    await setWorked(query, found.key, version, worked);
    return undefined;
  });
}

/** Keeps what was decided of a warning; null takes the decision back. */
export async function sayOfWarning(
  database: Database,
  found: WholeCase,
  change: Omit<Change, "key">,
  given: { about: string; decision: WarningDecision["decision"] | null; note: string },
): Promise<Changed> {
  return changeCase(database, { ...change, key: found.key }, async ({ query, keep }) => {
    const before = (await listWarningDecisions(query, found.key)).find((each) => each.about === given.about);
    if (before) await keep("warning", found.key, before);
    await decideWarning(query, found.key, given.about, given.decision, given.note);
    return undefined;
  });
}
