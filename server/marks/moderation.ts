import type { ExerciseContent } from "../../core/exercises/exercise.ts";
import { kindOfTask } from "../../core/exercises/taskKinds.ts";
import type { Who } from "../people/teacherStore.ts";
import type { Services } from "../services.ts";
import { type Edition, findEdition, listEditions } from "../sheets/sheetStore.ts";
import { type AnswerTo, listAnswersTo } from "../sittings/sittingStore.ts";
import { answerKey, keepAccepted } from "./acceptedStore.ts";
import { listMarks, type Mark } from "./markStore.ts";
import { overrule } from "./overrule.ts";
import { rulesOf } from "./rulesOfTask.ts";

/** Answers that say the same, with their marks; `labels` are whose they are. */
export type AnswerGroup = {
  key: string;
  compared: unknown;
  labels: string[];
  /** In which scene of the edition they were given; 0: as it was set. */
  scene: number;
  items: Array<Pick<Mark, "item" | "earned" | "possible" | "suggested" | "reason" | "marker" | "scheme">>;
  waits: boolean;
};

/** A task of a sheet in the newest edition that has it, or in the one that is named. */
export async function taskOn(services: Pick<Services, "database">, sheet: string, task: string, only?: string) {
  const editions = (await listEditions(services.database, sheet)).filter(
    ({ key }) => only === undefined || key === only,
  );
  for (const { key } of editions.toReversed()) {
    const edition = await findEdition(services.database, key);
    for (const exercise of edition?.content.exercises ?? []) {
      const found = exercise.content.tasks.find((each) => each.key === task);
      if (edition && found) return { edition, exercise, task: found };
    }
  }
  return null;
}

/**
 * All answers to one task that were handed in, of the newest edition that has it or of the one that is named, those that say
 * the same together; what waits comes first, then the most.
 */
export async function answersToTask(
  services: Pick<Services, "database">,
  sheet: string,
  taskKey: string,
  only?: string,
) {
  const on = await taskOn(services, sheet, taskKey, only);
  if (!on) return null;
  const { edition, exercise } = on;
  const { task, rules, changes } = await rulesOf(services, edition.key, on.task, exercise.content);
  const kind = kindOfTask(task);
  const answers = await listAnswersTo(services.database, edition.key, taskKey);
  const marks = await listMarks(
    services.database,
    answers.map((each) => each.sitting),
  );
  const groups = groupsOf(answers);
  const inScenes = await exerciseInScenes(services.database, on, answers);
  const compareIn = (scene: number, answer: unknown) => {
    const content = inScenes.get(scene);
    if (scene === 0 || !content) return kind.compare(task, answer, exercise.content);
    return kind.compare(content.tasks.find(({ key }) => key === taskKey) ?? task, answer, content);
  };
  const scheme = kind.scheme(task, exercise.content);
  return {
    ...{ edition, exercise: exercise.title, title: kind.title, kind: task.kind, marks: task.marks, scheme },
    program: exercise.content.program,
    ...{ rules, changes, rule: kind.rule(task) },
    groups: [...groups]
      .map(([key, own]): AnswerGroup => {
        const [first] = own;
        const ofFirst = marks.filter((mark) => mark.sitting === first?.sitting && mark.task === taskKey);
        return {
          key,
          compared: compareIn(first?.scene ?? 0, first?.content ?? null),
          labels: own.map((each) => each.label),
          scene: first?.scene ?? 0,
          items: scheme.flatMap(({ item }) => ofFirst.filter((mark) => mark.item === item)),
          waits: ofFirst.some((mark) => mark.earned === null),
        };
      })
      .sort((one, other) => Number(other.waits) - Number(one.waits) || other.labels.length - one.labels.length),
  };
}

type TaskOn = NonNullable<Awaited<ReturnType<typeof taskOn>>>;

/** The exercise of a task in each scene of its edition that answers were given in, with its tasks as they were set there. */
export async function exerciseInScenes(
  database: Services["database"],
  { edition, exercise }: Pick<TaskOn, "edition" | "exercise">,
  answers: ReadonlyArray<Pick<AnswerTo, "scene">>,
): Promise<ReadonlyMap<number, ExerciseContent>> {
  const found = new Map([[0, exercise.content]]);
  for (const scene of new Set(answers.map((answer) => answer.scene))) {
    const own = scene === 0 ? null : await findEdition(database, edition.key, scene);
    const content = own?.content.exercises.find(({ key }) => key === exercise.key)?.content;
    if (content) found.set(scene, content);
  }
  return found;
}

function groupsOf(answers: readonly AnswerTo[]): Map<string, AnswerTo[]> {
  const groups = new Map<string, AnswerTo[]>();
  for (const answer of answers) {
    const key = answerKey(answer.content, answer.scene);
    groups.set(key, [...(groups.get(key) ?? []), answer]);
  }
  return groups;
}

/**
 * Gives an item of all answers that say the same its mark, and keeps that for the same answer of others. Former marks are
 * kept. Words where nothing is there to be marked, or the mark is none.
 */
export async function decideForAll(
  services: Pick<Services, "database">,
  who: Who,
  wish: { sheet: string; task: string; group: string; item: string; earned: number; reason: string },
): Promise<{ ok: true; students: number } | { ok: false; message: string }> {
  const on = await taskOn(services, wish.sheet, wish.task);
  const answers = on
    ? (groupsOf(await listAnswersTo(services.database, on.edition.key, wish.task)).get(wish.group) ?? [])
    : [];
  if (!on || answers.length === 0) return { ok: false, message: "There is no such answer any more." };
  const marks = (
    await listMarks(
      services.database,
      answers.map((each) => each.sitting),
    )
  ).filter((mark) => mark.task === wish.task && mark.item === wish.item);
  if (marks.length === 0) return { ok: false, message: "These answers are not marked yet." };
  for (const mark of marks) {
    const given = await overrule(services, mark, who, wish.earned, wish.reason || usualReason(mark, wish.earned));
    if (!given.ok) return given;
  }
  await keep(services, on.edition, wish);
  return { ok: true, students: marks.length };
}

/** The words that stay with a mark, where the teacher wrote none: the program's where its suggestion was followed. */
const usualReason = (mark: Mark, earned: number) =>
  mark.suggested === earned || mark.earned === earned ? mark.reason : "Decided by your teacher.";

async function keep(
  services: Pick<Services, "database">,
  edition: Edition,
  {
    task,
    item,
    group: answer,
    earned,
    reason,
  }: { task: string; item: string; group: string; earned: number; reason: string },
): Promise<void> {
  await keepAccepted(services.database.query, edition.key, { task, item, answer, earned, reason });
}
