import type { AssignmentContent, FileCheck } from "../../core/formats/assignmentFile.ts";
import { findLanguage } from "../../core/languages/languages.ts";
import {
  type Assignment,
  askVerifiedAgain,
  insertAssignment,
  listStarterFiles,
  setStarterFiles,
} from "../assignments/assignmentStore.ts";
import { type CheckInput, insertCheck, listAssignmentChecks } from "../assignments/checkStore.ts";
import { insertModel, listModels } from "../assignments/modelStore.ts";
import type { Changed } from "../cases/changeCase.ts";
import type { Database } from "../database/database.ts";
import type { Services } from "../services.ts";
import { mostChecks } from "./assignmentChecks.ts";
import { type AssignmentChange, changeAssignment } from "./changeAssignment.ts";
import { startJudgingAssignment } from "./judgeAssignment.ts";

/** A check of a file as it is kept; what nobody said waits to be worked out and confirmed. */
function inputOf(check: FileCheck): CheckInput {
  const { name, purpose, input, expected, pieces, kind, visible, comparison, surroundings } = check;
  return {
    ...{ name, purpose, input, expected, pieces, kind, visible, comparison, surroundings },
    confirmed: check.confirmed && expected !== null,
  };
}

/** Makes an assignment of what a file holds, all of it or nothing. Returns its key. */
export async function takeAssignment(
  database: Database,
  course: string,
  content: AssignmentContent,
): Promise<{ key: string; leftOut: string[] }> {
  const unknown = content.models.filter((model) => !findLanguage(model.language));
  const key = await database.transaction(async (query) => {
    const made = await insertAssignment(query, course, {
      ...{ title: content.title.trim() || "An assignment", statement: content.statement },
      ...{ comparison: content.comparison, inputShape: content.inputs },
      languages: content.languages.filter((id) => findLanguage(id)),
    });
    await setStarterFiles(query, made, content.starter);
    for (const model of content.models)
      if (findLanguage(model.language)) await insertModel(query, made, model.language, model.files);
    for (const check of content.checks) await insertCheck(query, { assignment: made }, inputOf(check));
    return made;
  });
  return { key, leftOut: unknown.map((model) => `a model in ${model.language}, which is not known here`) };
}

/** Adds checks that were read of files to an assignment; every program of it is judged anew. */
export async function takeChecks(
  services: Services,
  assignment: string,
  change: Omit<AssignmentChange, "key" | "text">,
  checks: readonly FileCheck[],
): Promise<Changed> {
  const done = await changeAssignment(services.database, { ...change, key: assignment }, async ({ query }) => {
    const there = (await listAssignmentChecks({ query }, assignment)).length;
    if (there + checks.length > mostChecks)
      return {
        ok: false,
        message: `An assignment has ${mostChecks} checks at most; this would make ${there + checks.length}.`,
      };
    for (const check of checks) await insertCheck(query, { assignment }, inputOf(check));
    await askVerifiedAgain(query, assignment);
    return undefined;
  });
  if (done.ok) await startJudgingAssignment(services, assignment);
  return done;
}

/** What a file is to hold of an assignment: everything that is not a student's. */
export async function contentOf(database: Database, assignment: Assignment): Promise<AssignmentContent> {
  const [starter, models, checks] = await Promise.all([
    listStarterFiles(database, assignment.key),
    listModels(database, assignment.key),
    listAssignmentChecks(database, assignment.key),
  ]);
  const { title, statement, languages, comparison } = assignment;
  return {
    ...{ title, statement, languages, comparison, inputs: assignment.input_shape, starter },
    models: models.map(({ language, files }) => ({ language, files })),
    checks: checks.map(({ name, purpose, input, expected, pieces, kind, visible, confirmed, ...check }) => ({
      ...{ name, purpose, input, expected, pieces, kind, visible, confirmed },
      ...{ surroundings: check.surroundings, comparison: check.comparison },
    })),
  };
}
