import * as z from "zod";
import { contradictions } from "../../core/assignments/combineChecks.ts";
import { comparisonWords } from "../../core/assignments/comparison.ts";
import { languages } from "../../core/languages/languages.ts";
import { decodeText } from "../../core/source/decode.ts";
import { type Assignment, listStarterFiles } from "../../server/assignments/assignmentStore.ts";
import { type KeptCheck, listAssignmentChecks } from "../../server/assignments/checkStore.ts";
import { settingOf } from "../../server/assignments/modelStore.ts";
import { listFormerOf } from "../../server/cases/formerStore.ts";
import { countToJudge } from "../../server/classwork/judgeAssignment.ts";
import { keptModels, proofOf } from "../../server/classwork/models.ts";
import { proposalsFor } from "../../server/classwork/proposals.ts";
import { strengthFor } from "../../server/classwork/strengthWork.ts";
import { findCourse, listStudents } from "../../server/people/courseStore.ts";
import type { Services } from "../../server/services.ts";

type Former = Awaited<ReturnType<typeof listFormerOf>>;

/** What the intended output of a check was before, newest first; a confirmed one that changed is no secret. */
function formerExpected(check: KeptCheck, former: Former) {
  let now = check.expected;
  return former.flatMap((each) => {
    const before = z.object({ expected: z.string().nullable(), confirmed: z.boolean() }).safeParse(each.former);
    if (each.about_key !== check.key || !before.success || before.data.expected === now) return [];
    now = before.data.expected;
    return before.data.confirmed ? [{ expected: now, at: each.changed_at, who: each.name ?? each.who }] : [];
  });
}

/** Everything that the page of an assignment shows. Nothing is run for it. */
export async function assignmentView(services: Services, assignment: Assignment, origin: string) {
  const { database } = services;
  const [course, checks, models, starter, former, toJudge, proposals, strength] = await Promise.all([
    findCourse(database, assignment.course),
    listAssignmentChecks(database, assignment.key),
    keptModels(services, assignment.key),
    listStarterFiles(database, assignment.key),
    listFormerOf(database.query, "check", { assignment: assignment.key }),
    countToJudge(services, assignment.key),
    proposalsFor(database, assignment),
    strengthFor(services, assignment),
  ]);
  const against = contradictions(checks);
  const students = course ? await listStudents(database, course.key) : [];
  return {
    key: assignment.key,
    revision: assignment.revision,
    putAway: assignment.put_away_at !== null,
    title: assignment.title,
    statement: assignment.statement,
    languages: assignment.languages,
    comparison: assignment.comparison,
    comparisonWords: comparisonWords(assignment.comparison),
    shape: assignment.input_shape,
    course: { key: assignment.course, name: course?.name ?? "", wording: course?.wording ?? "three" },
    starter: starter[0] ? { name: starter[0].name, text: decodeText(starter[0].bytes).text } : null,
    checks: checks.map((check, index) => ({
      contradicts: against.get(index) ?? null,
      ...{ key: check.key, name: check.name, purpose: check.purpose, kind: check.kind, input: check.input },
      ...{ expected: check.expected, pieces: check.pieces, visible: check.visible, confirmed: check.confirmed },
      ...{ comparison: check.comparison, surroundings: check.surroundings },
      workedOut: check.worked_out_by !== null || check.pieces !== null,
      former: formerExpected(check, former),
    })),
    models: models.map((model) => ({
      key: model.key,
      language: languages.find((each) => each.id === model.language)?.name ?? model.language,
      name: model.files[0]?.name ?? "",
      text: decodeText(model.files[0]?.bytes ?? new Uint8Array()).text,
      files: model.files.length,
      ran: checks.every((check) => model.runs.has(settingOf(check))),
      cells: proofOf(model, checks, assignment.comparison),
    })),
    proposals,
    strength,
    toJudge,
    handIn: { code: assignment.hand_in_code, open: assignment.hand_in_open, origin, withStudents: students.length > 0 },
    known: languages.filter((each) => each.inputForms).map(({ id, name, mainName }) => ({ id, name, mainName })),
  };
}
export type AssignmentView = Awaited<ReturnType<typeof assignmentView>>;
export type CheckShown = AssignmentView["checks"][number];
