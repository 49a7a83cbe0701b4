import { kindOfTask } from "../../core/exercises/taskKinds.ts";
import type { FaultClass } from "../../core/verdict/verdict.ts";
import { contentByRules } from "../marks/byRules.ts";
import { listMarks, type Mark } from "../marks/markStore.ts";
import { exerciseInScenes } from "../marks/moderation.ts";
import { listSchemeRules } from "../marks/schemeRuleStore.ts";
import type { Services } from "../services.ts";
import { findEdition, listEditions, type Sheet } from "../sheets/sheetStore.ts";
import { listAnswersTo, listSittings, type Sitting } from "../sittings/sittingStore.ts";
import { type GivenAnswer, givenAnswers } from "./givenAnswers.ts";
import { type PatternResult, type ShareOfExercise, toTeachNext } from "./toTeach.ts";

/** How a task came out: what share of its marks those earned whose answers are marked; null where none is. */
export type TaskResult = {
  key: string;
  kind: string;
  title: string;
  marks: number;
  answered: number;
  share: number | null;
  wrong: GivenAnswer[];
};
export type ExerciseResult = ShareOfExercise & {
  title: string;
  /** The class of its first fault. */
  class: FaultClass | null;
  tasks: TaskResult[];
};
/** How many took a fault of one class for another. */
export type Confusion = { right: FaultClass; given: FaultClass; students: number };

export type SheetResults = {
  edition: number;
  handedIn: number;
  exercises: ExerciseResult[];
  confusions: Confusion[];
  /** Which kinds of mistake to teach next. */
  teach: PatternResult[];
};

function shareOf(marks: readonly Mark[]): number | null {
  const settled = marks.filter(({ earned }) => earned !== null);
  const possible = settled.reduce((sum, mark) => sum + mark.possible, 0);
  return possible === 0 ? null : settled.reduce((sum, mark) => sum + (mark.earned ?? 0), 0) / possible;
}

/** The last try that each student has handed in. */
function lastTries(sittings: readonly Sitting[]): Sitting[] {
  const last = new Map<string, Sitting>();
  for (const sitting of sittings) if (sitting.handed_in_at !== null) last.set(sitting.student, sitting);
  return [...last.values()];
}

/**
 * How the newest edition of a sheet that anybody has handed in came out, by the last try of each student. Null where nobody
 * has handed in.
 */
export async function sheetResults(services: Pick<Services, "database">, sheet: Sheet): Promise<SheetResults | null> {
  const { database } = services;
  const sittings = await listSittings(database, sheet.key);
  const heads = await listEditions(database, sheet.key);
  const head = heads.findLast(({ key }) => sittings.some((each) => each.edition === key && each.handed_in_at !== null));
  const edition = head ? await findEdition(database, head.key) : null;
  if (!edition) return null;
  const tries = lastTries(sittings.filter((each) => each.edition === edition.key));
  const counted = new Set(tries.map(({ key }) => key));
  const marks = await listMarks(database, [...counted]);
  const changed = await listSchemeRules(database, edition.key);
  const confusions = new Map<string, Confusion>();
  const exercises: ExerciseResult[] = [];
  for (const exercise of edition.content.exercises) {
    const { key, title, content: asSet } = exercise;
    const content = contentByRules(asSet, changed);
    const tasks: TaskResult[] = [];
    for (const task of content.tasks) {
      const kind = kindOfTask(task);
      const answers = (await listAnswersTo(database, edition.key, task.key)).filter((each) =>
        counted.has(each.sitting),
      );
      const inScenes = await exerciseInScenes(database, { edition, exercise }, answers);
      for (const { content: answer, scene } of answers) {
        const took = kind.tookFor(task, answer, inScenes.get(scene) ?? content);
        if (!took) continue;
        const name = `${took.right} ${took.given}`;
        const known = confusions.get(name) ?? { ...took, students: 0 };
        confusions.set(name, { ...known, students: known.students + 1 });
      }
      const { wrong } = await givenAnswers(services, sheet.key, edition.key, task.key);
      tasks.push({
        ...{ key: task.key, kind: task.kind, title: kind.title, marks: task.marks, wrong: wrong.slice(0, 3) },
        answered: answers.length,
        share: shareOf(marks.filter((mark) => mark.task === task.key)),
      });
    }
    const keys = new Set(content.tasks.map((task) => task.key));
    exercises.push({
      ...{ key, title, tasks, class: content.faults[0]?.class ?? null },
      share: shareOf(marks.filter((mark) => keys.has(mark.task))),
    });
  }
  const teach = toTeachNext(edition.content.exercises, exercises);
  return { edition: edition.number, handedIn: tries.length, exercises, confusions: [...confusions.values()], teach };
}

/** Below this share of its marks an exercise counts as missed by the class. */
const missedBelow = 0.6;

/** The exercises that a class should see again, the one that went worst first. */
export function missedExercises({ exercises }: Pick<SheetResults, "exercises">): ExerciseResult[] {
  return exercises
    .filter(({ share }) => share !== null && share < missedBelow)
    .sort((one, other) => (one.share ?? 0) - (other.share ?? 0));
}
