import { findCase, type WholeCase } from "../cases/caseStore.ts";
import type { Database } from "../database/database.ts";
import { listMarks } from "../marks/markStore.ts";
import { findStudent } from "../people/courseStore.ts";
import { listLateOf } from "../sittings/answerStore.ts";
import { listAnswers, listSittingsOf } from "../sittings/sittingStore.ts";
import { listTries } from "../sittings/tryStore.ts";
import { casesOf } from "./privacyStore.ts";

function exportCase(found: WholeCase) {
  return {
    title: found.title,
    language: found.language,
    handedIn: found.created_at,
    intent: found.intent,
    instead: found.instead,
    cameOut: found.came_out,
    changedLast: found.changed_last,
    userActions: found.user_actions.split("\n").filter((step) => step !== ""),
    additions: found.additions.map((addition) => addition.content),
    versions: found.loaded.map((version) => ({
      number: version.number,
      origin: version.origin,
      files: Object.fromEntries(version.files.map((file) => [file.name, file.text])),
      outputs: found.outputs
        .filter((output) => output.version === version.key)
        .map((output) => ({ origin: output.origin, text: output.content })),
    })),
    layers: found.layers.map((layer) => ({
      outcome: layer.decided?.outcome ?? null,
      class: layer.decided?.class ?? null,
      faultyLines: layer.faulty_lines,
      fix: layer.fix,
    })),
  };
}

/**
 * Everything that is kept about a student, for the student: cases with their versions and words, sittings with answers
 * and marks. Null if there is no such student.
 */
export async function exportStudent(database: Database, student: string): Promise<object | null> {
  const known = await findStudent(database, student);
  if (!known) return null;
  const cases = await Promise.all(
    (await casesOf(database.query, student)).map((key) => findCase(database, key, "all")),
  );
  const sittings = await listSittingsOf(database, student);
  const marks = await listMarks(
    database,
    sittings.map((sitting) => sitting.key),
  );
  return {
    format: "bent-nail student export 1",
    label: known.label,
    course: known.course_name,
    cases: cases.flatMap((found) => (found ? [exportCase(found)] : [])),
    sittings: await Promise.all(
      sittings.map(async (sitting) => ({
        title: sitting.title,
        startedAt: sitting.started_at,
        handedInAt: sitting.handed_in_at,
        attempt: sitting.attempt,
        answers: (await listAnswers(database, sitting.key)).map(({ task, content }) => ({ task, content })),
        cameLate: (await listLateOf(database, sitting.key)).map(({ task, content, arrived_at, decided }) => ({
          ...{ task, content, decided },
          arrivedAt: arrived_at,
        })),
        runs: (await listTries(database, sitting.key)).map(({ text, input, ended, tried_at }) => ({
          ...{ text, input, ended },
          at: tried_at,
        })),
        marks: marks
          .filter((mark) => mark.sitting === sitting.key)
          .map(({ task, item, earned, possible, marker }) => ({ task, item, earned, possible, marker })),
      })),
    ),
  };
}
