import type { ExerciseContent, Task } from "../core/exercises/exercise.ts";
import { kindOfTask } from "../core/exercises/taskKinds.ts";
import { topMistakes } from "../server/casebook/topMistakes.ts";
import { findPlan, type Plan } from "../server/exercises/planStore.ts";
import { startPlan } from "../server/exercises/planWork.ts";
import { handInSitting } from "../server/marks/markingWork.ts";
import { listStudents } from "../server/people/courseStore.ts";
import type { Services } from "../server/services.ts";
import { setForStudents } from "../server/sheets/setSheet.ts";
import { sheetOfContents } from "../server/sheets/sheetOfContents.ts";
import { findEdition, findSheet } from "../server/sheets/sheetStore.ts";
import { beginSitting, saveAnswer } from "../server/sittings/sittingStore.ts";

/** How a student of the demo answers: what of an exercise is right, and how the rest is wrong. */
type Sitter = { student: string; handsIn: boolean; answers: (at: number) => "right" | "hidden" | "beside" | "blank" };

const sitters: readonly Sitter[] = [
  { student: "P-01", handsIn: true, answers: () => "right" },
  { student: "P-02", handsIn: true, answers: (at) => (at % 2 === 0 ? "right" : "beside") },
  { student: "P-03", handsIn: true, answers: (at) => (at < 2 ? "hidden" : "right") },
  { student: "P-04", handsIn: true, answers: (at) => (at < 2 ? "right" : at === 2 ? "beside" : "blank") },
  { student: "P-05", handsIn: false, answers: (at) => (at === 0 ? "right" : "blank") },
];

const reasons = {
  syntax: "A rule of the language is broken, so it is refused before any line runs.",
  runtime: "It starts, and stops with an error message when it reaches that line.",
  logic: "It runs to its end and prints another result than is meant.",
} as const;

/** What such a student gives for a task; undefined: nothing. */
function answerOf(how: ReturnType<Sitter["answers"]>, exercise: ExerciseContent, task: Task): unknown {
  const kind = kindOfTask(task);
  const actual = exercise.faults[0]?.class ?? "logic";
  if (how === "blank") return undefined;
  if (how === "hidden") return kind.worthless(task, exercise).at(-1);
  // Beside the point: the next line, another class, the fault left as it is.
  const forms: Readonly<Record<string, unknown>> = {
    point: { lines: [(exercise.faults[0]?.faultyLines[0] ?? 0) + 1] },
    classify: { class: actual === "syntax" ? "runtime" : "syntax", reason: "There is an error in it." },
    mend: { text: `# I found nothing\n${exercise.program}` },
  };
  if (how === "beside") return forms[kind.kind];
  const inWords: Readonly<Record<string, unknown>> = { classify: { class: actual, reason: reasons[actual] } };
  return inWords[kind.kind] ?? kind.model?.(task, exercise);
}

/** The longest time that the planning is waited for, in milliseconds. */
const longest = 600_000;

async function donePlan(services: Services, key: string): Promise<Plan | null> {
  for (const until = Date.now() + longest; Date.now() < until; ) {
    const plan = await findPlan(services.database, key);
    if (plan && plan.state !== "waiting") return plan;
    await new Promise((resolve) => setTimeout(resolve, 250));
  }
  return null;
}

/** A sheet of the mistakes that the class of two terms makes most, planted in programs of nobody's, with sittings that differ. */
export async function loadMistakesSheet(services: Services, course: string): Promise<void> {
  const { database } = services;
  const ready = await services.toolchains.find("python")?.available();
  if (!ready?.ready) return;
  const mistakes = await topMistakes(database, { course }, course);
  if (mistakes.length === 0) return;
  const kinds = mistakes.map(({ id }) => id);
  const key = await startPlan(services, {
    ...{ title: "Mistakes of this class", course, assignment: null, language: "python", file_name: "main.py" },
    ...{ program: Buffer.from(""), checks: [] },
    wish: {
      ...{ count: kinds.length, classes: [], level: null, pattern: null, kinds },
      tasks: { classify: 2, point: 1, mend: 2 },
    },
  });
  const plan = await donePlan(services, key);
  const good = plan?.planned.filter(({ reasons: against }) => against.length === 0) ?? [];
  if (good.length === 0) return;
  const sheet = await sheetOfContents(database, course, "Debugging 2: the mistakes of this class", good);
  const placed = await findSheet(database, sheet);
  const set = placed ? await setForStudents(services, placed, true) : null;
  const edition = set?.ok ? await findEdition(database, set.edition) : null;
  if (!set?.ok || !edition) return;
  const students = await listStudents(database, course);
  for (const sitter of sitters) {
    const student = students.find(({ label }) => label === sitter.student);
    const sitting = await beginSitting(database, set.edition, student?.key ?? "");
    for (const [at, { content }] of edition.content.exercises.entries())
      for (const task of content.tasks) {
        const answer = answerOf(sitter.answers(at), content, task);
        if (answer !== undefined) await saveAnswer(database, sitting, task.key, 1, answer);
      }
    if (sitter.handsIn) await handInSitting(services, { key: sitting });
  }
}
