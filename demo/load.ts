import type { NewCase } from "../core/cases/case.ts";
import type { ExerciseContent } from "../core/exercises/exercise.ts";
import { proposeNames } from "../core/exercises/names.ts";
import { rowsOf, traceTaskSchema } from "../core/exercises/traceTask.ts";
import { python } from "../core/languages/python/python.ts";
import { consoleText } from "../core/outcome/outcome.ts";
import { insertAssignment, setHandIn } from "../server/assignments/assignmentStore.ts";
import { collectCase, findCase, versionOf, type WholeCase } from "../server/cases/caseStore.ts";
import { findCollection } from "../server/collect/collectionStore.ts";
import { keepCollection } from "../server/collect/collections.ts";
import { startJudging } from "../server/collect/judging.ts";
import { takeSet } from "../server/collect/takeSet.ts";
import { addExercise } from "../server/exercises/exerciseStore.ts";
import { makeExercise } from "../server/exercises/makeExercise.ts";
import { saveCheck } from "../server/judge/checks.ts";
import { decideClass, markFaultyLines } from "../server/judge/decisions.ts";
import { judgeVersion, languageOf } from "../server/judge/judge.ts";
import { runProgram } from "../server/judge/run.ts";
import { handInSitting } from "../server/marks/markingWork.ts";
import { tryFix } from "../server/mend/tryFix.ts";
import { addCourse, addStudents, listStudents } from "../server/people/courseStore.ts";
import { firstTeacher, type Who } from "../server/people/teacherStore.ts";
import type { Services } from "../server/services.ts";
import { setForStudents } from "../server/sheets/setSheet.ts";
import { addSheet, findEdition, findSheet, placeExercise } from "../server/sheets/sheetStore.ts";
import { beginSitting, saveAnswer } from "../server/sittings/sittingStore.ts";
import { loadAssignments } from "./assignments/load.ts";
import { type DemoCase, demoCases, filesOf } from "./cases.ts";
import { classSet } from "./classSet/classSet.ts";
import { languageCases } from "./languages/languages.ts";
import { loadLessons } from "./lessons.ts";
import { loadMistakesSheet } from "./mistakesSheet.ts";
import { loadRoomSheets } from "./roomSheets.ts";
import { type DemoAnswers, demoPlaces, demoSheet, demoSittings } from "./sheet.ts";
import { loadTwoTerms } from "./twoTerms.ts";

/** An hour, in milliseconds. */
const hour = 3600 * 1000;

const who: Who = { role: "teacher", teacher: firstTeacher };

async function whole(services: Services, key: string): Promise<WholeCase> {
  const found = await findCase(services.database, key, "all");
  if (!found) throw new Error(`demo: no case ${key}`);
  return found;
}

/**
 * Collects a case with the error output that its own run gives, and takes it through verdict, faulty lines and fixes.
 */
async function loadCase(
  services: Services,
  demo: DemoCase,
  course: string,
  student: string | null,
  collectedAt?: string,
): Promise<string> {
  const files = filesOf(demo, demo.program);
  const language = demo.language ?? "python";
  const { outcome } = await runProgram(services.toolchains, {
    ...{ language: languageOf({ language }), files, input: demo.input },
  });
  const errorOutput = outcome ? consoleText(outcome.console, ["err"]) : "";
  const given: NewCase = {
    language,
    course,
    student,
    title: demo.title,
    intent: demo.intent,
    changedLast: demo.changedLast ?? "",
    files,
    errorOutput: errorOutput === "" ? undefined : errorOutput,
    input: demo.input,
    expected: demo.expected,
    actual: outcome ? consoleText(outcome.console, ["out"]).slice(0, 500) : "",
    symptom: demo.symptom ?? null,
    ...(collectedAt ? { collectedAt } : {}),
  };
  const key = await collectCase(services.database, given);
  if (outcome === null) return key;
  for (const check of demo.checks ?? []) {
    const found = await whole(services, key);
    await saveCheck(services, found, { who, revision: found.revision, reason: "" }, null, check);
  }
  for (const text of demo.mended) {
    let found = await whole(services, key);
    const suggested = (await judgeVersion(services, found, versionOf(found, found.current_version))).deciding.judgement;
    if (suggested.class === null) throw new Error(`demo: ${demo.name} shows no fault`);
    await decideClass(
      services,
      found,
      { who, revision: found.revision },
      { class: suggested.class, kind: suggested.kind, reason: "" },
    );
    if (demo.faultyLines && found.layers.length === 0) {
      found = await whole(services, key);
      await markFaultyLines(
        services,
        found,
        { who, revision: found.revision, reason: "" },
        demo.faultyLines.map((line) => ({ line })),
      );
    }
    found = await whole(services, key);
    const tried = await tryFix(services, found, { who, revision: found.revision }, text, false);
    if (!tried.ok || tried.result === "not mended") {
      const came = tried.ok ? tried.result : tried.message;
      throw new Error(`demo: a fix of ${demo.name} does not mend it: ${came}`);
    }
  }
  return key;
}

const deckTask =
  "Write a program for the Kittiwake’s deck. It adds up the loads, prints “Load:” and the sum, and says whether they are within the limit of 20 t.";

/** A class of 24 whose programs were collected in one folder, taken in and judged, and whose hand-in page is open. */
async function loadClassSet(services: Services): Promise<void> {
  const { database } = services;
  const course = await addCourse(database, "Kittiwake Crossing, whole class", "python");
  await addStudents(
    database,
    course,
    Array.from({ length: 24 }, (_, index) => `S-${String(index + 1).padStart(2, "0")}`),
  );
  const asked = { title: "The deck of the Kittiwake", statement: deckTask, languages: ["python"] };
  const assignment = await insertAssignment(database.query, course, asked);
  await setHandIn(database, assignment, true);
  // It was collected before the cases that are worked through, which stand before it in every list.
  const yesterday = new Date(Date.now() - 24 * hour).toISOString();
  const taken = await takeSet(database, course, await classSet(services.toolchains));
  const collection = taken.ok ? await findCollection(database, taken.key) : null;
  const cases = collection && (await keepCollection(database, collection, yesterday));
  if (!collection || !cases) throw new Error("demo: the class set cannot be taken in");
  await startJudging(services, collection.key, cases);
}

/** The answers of a student as the pages would have sent them. */
function answerTo(kind: string, written: DemoAnswers[string], exercise: ExerciseContent, task: unknown): unknown {
  if (kind === "classify") return written.classify;
  if (kind === "point") return written.point && { lines: written.point };
  if (kind === "predict") return written.predict;
  if (kind === "mend")
    return (
      written.mend && {
        text: written.mend.reduce((text, [before, after]) => text.replace(before, after), exercise.program),
      }
    );
  const key = traceTaskSchema.safeParse(task);
  const { trace } = written;
  if (!key.success || !trace) return undefined;
  return {
    rows: rowsOf(key.data, exercise).map((row, index) => {
      if (index >= trace.rows) return { line: String(row.line), cells: {} };
      const slips = Object.fromEntries(
        trace.slips.filter((slip) => slip.row === index).map((slip) => [slip.column, slip.text]),
      );
      return { line: String(row.line), cells: { ...row.cells, ...slips } };
    }),
  };
}

/** A course whose cases are in all the other languages. */
async function loadLanguages(services: Services): Promise<void> {
  const { database, loading } = services;
  const languageCourse = await addCourse(database, "Kittiwake Crossing, many languages", "java");
  await addStudents(
    database,
    languageCourse,
    Array.from({ length: 10 }, (_, index) => `T-${String(index + 1).padStart(2, "0")}`),
  );
  const others = await listStudents(database, languageCourse);
  // One case a language at a time, so that the last collected comes first; languages beside one another, since each
  // waits for its own translator.
  const byLanguage = [...new Set(languageCases.map((demo) => demo.language))].map((language) =>
    languageCases.filter((demo) => demo.language === language),
  );
  const begun = Date.now() - hour;
  await Promise.all(
    byLanguage.map(async (group) => {
      for (const demo of group) {
        const student = others.find((each) => each.label === demo.student)?.key ?? null;
        const collectedAt = new Date(begun + languageCases.indexOf(demo) * 1000).toISOString();
        await loadCase(services, demo, languageCourse, student, collectedAt);
        loading.end(demo.name);
      }
    }),
  );
}

/**
 * Loads the demo: one course, its cases, a sheet of five exercises and some sittings. Only programs, inputs, intended
 * outputs and answers are written down here; every run, verdict, trace and mark is made by the functions that serve
 * users.
 */
export async function loadDemo(services: Services): Promise<void> {
  services.loading.begin(
    demoCases.length + demoSheet.exercises.length + demoSittings.length + languageCases.length + 6,
  );
  await loadCases(services);
  await loadRoomSheets(services);
  services.loading.end("sheets for practice and on paper");
  await loadClassSet(services);
  services.loading.end("a whole class");
  await loadAssignments(services, Date.now() - 48 * hour);
  services.loading.end("assignments");
  const course = await loadTwoTerms(services);
  services.loading.end("two terms");
  await loadMistakesSheet(services, course);
  services.loading.end("a sheet of the mistakes of a class");
  await loadLessons(services);
  services.loading.end("lessons");
}

/** The cases of the demo: those that are worked through, with their sheet and sittings, and those in other languages. */
export async function loadCases(services: Services): Promise<void> {
  // What is looked at first comes first; what comes later was collected before it, and stands below it in every list.
  await loadFirstCourse(services);
  await loadLanguages(services);
}

/** The course whose cases are worked through, with its sheet, exercises and sittings. */
async function loadFirstCourse(services: Services): Promise<void> {
  const { database, loading } = services;
  const course = await addCourse(database, "Kittiwake Crossing, group 1", "python");
  await addStudents(
    database,
    course,
    Array.from({ length: 10 }, (_, index) => `S-${String(index + 1).padStart(2, "0")}`),
  );
  const students = await listStudents(database, course);
  const studentKey = (label: string | undefined) => students.find((student) => student.label === label)?.key ?? null;

  const cases = new Map<string, string>();
  for (const demo of demoCases) {
    cases.set(demo.name, await loadCase(services, demo, course, studentKey(demo.student)));
    loading.end(demo.name);
  }
  const ready = await services.toolchains.find("python")?.available();
  if (!ready?.ready) return;

  const sheet = await addSheet(database, course, demoSheet.title);
  const names = new Map<string, string>();
  for (const { name, marks } of demoSheet.exercises) {
    const found = await whole(services, cases.get(name) ?? "");
    const proposals = proposeNames(
      python,
      versionOf(found, found.versions[0]?.key ?? "").files[0]?.text ?? "",
      name,
      students.map((student) => student.label),
    );
    const made = await makeExercise(services, found, {
      title: found.title,
      intro: found.intent,
      replacements: proposals.filter((proposal) => proposal.ticked && !demoPlaces.has(proposal.word)),
      marks,
    });
    const key = await addExercise(database, found.key, found.title, made.content);
    names.set(key, name);
    await placeExercise(database, sheet, key);
    loading.end(found.title);
  }
  const placed = await findSheet(database, sheet);
  const set = placed ? await setForStudents(services, placed, true) : null;
  if (!set?.ok) throw new Error(`demo: the sheet cannot be set: ${set?.message ?? "there is none"}`);
  const edition = await findEdition(database, set.edition);
  for (const demo of demoSittings) {
    const sitting = await beginSitting(database, set.edition, studentKey(demo.student) ?? "");
    for (const exercise of edition?.content.exercises ?? []) {
      const written = demo.answers[names.get(exercise.key) ?? ""];
      for (const task of exercise.content.tasks) {
        const answer = written && answerTo(task.kind, written, exercise.content, task);
        if (answer !== undefined) await saveAnswer(database, sitting, task.key, 1, answer);
      }
    }
    if (demo.handsIn) await handInSitting(services, { key: sitting });
    loading.end(`the sheet of ${demo.student}`);
  }
}
