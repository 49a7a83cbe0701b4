import type { ExerciseContent, Task } from "../core/exercises/exercise.ts";
import { levelOf } from "../core/exercises/level.ts";
import type { ItemMark } from "../core/exercises/taskKind.ts";
import { kindOfTask } from "../core/exercises/taskKinds.ts";
import { runForCheck } from "./exercises.ts";
import { log } from "./log.ts";
import type { Services } from "./services.ts";
import { keepFormer } from "./stores/formerValues.ts";
import { type EditionContent, findEdition, listPlaced, type Sheet, setSheet, setSheetState } from "./stores/sheets.ts";
import { countMarks, handIn, listAnswers, listMarks, listSittings, type Mark, putMark } from "./stores/sittings.ts";

/** Freezes the sheet as it stands and opens it for students. Words for the teacher if it cannot be set. */
export async function setForStudents(services: Services, sheet: Sheet): Promise<{ ok: true; edition: string } | { ok: false; message: string }> {
  const placed = await listPlaced(services.database, sheet.key);
  if (placed.length === 0) return { ok: false, message: "There is no exercise on this sheet yet." };
  const empty = placed.find((each) => each.content.tasks.length === 0);
  if (empty) return { ok: false, message: `“${empty.title}” has no tasks yet.` };
  const content: EditionContent = {
    title: sheet.title,
    exercises: placed.map((each) => ({ key: each.key, title: each.title, level: each.level ?? levelOf(each.content).level, content: each.content })),
  };
  return { ok: true, edition: await setSheet(services.database, sheet.key, content) };
}

/** The marks of one answer. Whatever goes wrong in the marking, each item of the scheme gets one: it waits for the teacher then. */
async function marksOfTask(services: Services, exercise: ExerciseContent, task: Task, answer: unknown): Promise<ItemMark[]> {
  try {
    return await kindOfTask(task).mark(task, answer, { exercise, run: (text, check) => runForCheck(services, exercise, text, check) });
  } catch (problem) {
    log.error({ err: problem, task: task.key }, "the marking of a task broke off");
    const reason = "The marking of this answer broke off, so it waits for the teacher.";
    return itemsOf(task, exercise).map((item) => ({ item: item.item, earned: null, possible: item.marks, reason }));
  }
}

/** The items of a task's scheme; one for the whole task where its scheme cannot be read. */
function itemsOf(task: Task, exercise: ExerciseContent): Array<{ item: string; marks: number }> {
  try {
    return kindOfTask(task).scheme(task, exercise);
  } catch {
    return [{ item: "the task", marks: task.marks }];
  }
}

/** Marks everything of a sitting that a program can mark. Marks that a teacher gave stay; others that change keep their former value. */
export async function markSitting(services: Services, sitting: { key: string; edition: string }): Promise<void> {
  const edition = await findEdition(services.database, sitting.edition);
  if (!edition) return;
  const answers = new Map((await listAnswers(services.database, sitting.key)).map((answer) => [answer.task, answer.content]));
  for (const exercise of edition.content.exercises) {
    for (const task of exercise.content.tasks) {
      const marks = await marksOfTask(services, exercise.content, task, answers.get(task.key) ?? null);
      const before = new Map((await listMarks(services.database, [sitting.key])).filter((mark) => mark.task === task.key).map((mark) => [mark.item, mark]));
      await services.database.transaction(async (query) => {
        for (const mark of marks) {
          const former = before.get(mark.item);
          if (former?.marker === "teacher") continue;
          if (former && (former.earned !== mark.earned || former.reason !== mark.reason))
            await keepFormer(query, { about: "mark", aboutKey: `${sitting.key} ${task.key} ${mark.item}`, former, who: "program", reason: "marked again" });
          await putMark(query, { ...mark, sitting: sitting.key, task: task.key, marker: "program" });
        }
      });
    }
  }
}

/** Handed-in sittings of a sheet (null: of all) that lack a mark for an item of their scheme. */
export async function unmarkedSittings(services: Services, sheet: string | null): Promise<Array<{ key: string; edition: string }>> {
  const wanted = new Map<string, number>();
  const unmarked: Array<{ key: string; edition: string }> = [];
  for (const { key, edition, marks } of await countMarks(services.database, sheet)) {
    if (!wanted.has(edition)) {
      const exercises = (await findEdition(services.database, edition))?.content.exercises ?? [];
      const items = exercises.flatMap(({ content }) => content.tasks.flatMap((task) => itemsOf(task, content)));
      wanted.set(edition, items.length);
    }
    if (marks < (wanted.get(edition) ?? 0)) unmarked.push({ key, edition });
  }
  return unmarked;
}

/** Sittings of a sheet for which marking once more may help: those that lack a mark, and those with one that waits although a program gives it. */
export async function sittingsToMarkAgain(services: Services, sheet: string): Promise<Array<{ key: string; edition: string }>> {
  const handedIn = (await listSittings(services.database, sheet)).filter((sitting) => sitting.handed_in_at !== null);
  const keys = handedIn.map((sitting) => sitting.key);
  const waits = (await listMarks(services.database, keys)).filter((mark) => mark.earned === null && mark.suggested === null && mark.marker === "program");
  const wanted = new Set([...waits.map((mark) => mark.sitting), ...(await unmarkedSittings(services, sheet)).map((sitting) => sitting.key)]);
  return handedIn.filter((sitting) => wanted.has(sitting.key));
}

/** Hands a sitting in and marks it. False if it had been handed in before. */
export async function handInAndMark(services: Services, sitting: { key: string; edition: string }): Promise<boolean> {
  if (!(await handIn(services.database, sitting.key))) return false;
  await markSitting(services, sitting);
  return true;
}

/** A teacher's mark for an item, with a reason; the former mark is kept. */
export async function overrule(services: Services, mark: Mark, earned: number, reason: string): Promise<{ ok: true } | { ok: false; message: string }> {
  if (!(earned >= 0 && earned <= mark.possible)) return { ok: false, message: `A mark from 0 to ${mark.possible} is needed.` };
  const confirms = mark.earned === null;
  if (!confirms && reason.trim() === "") return { ok: false, message: "Changing a mark needs a reason." };
  await services.database.transaction(async (query) => {
    await keepFormer(query, { about: "mark", aboutKey: `${mark.sitting} ${mark.task} ${mark.item}`, former: mark, who: "teacher", reason });
    await putMark(query, { ...mark, suggested: mark.suggested ?? undefined, earned, reason: reason.trim() === "" ? mark.reason : reason, marker: "teacher" });
  });
  return { ok: true };
}

/**
 * Closes a sheet: no answer is taken any more, and what students had saved is handed in, all of it before the first is marked. One that cannot
 * be marked keeps none of the others from it; it is found by unmarkedSittings.
 */
export async function closeSheet(services: Services, sheet: Sheet): Promise<void> {
  await setSheetState(services.database, sheet.key, "closed");
  const open = (await listSittings(services.database, sheet.key)).filter((sitting) => sitting.handed_in_at === null);
  for (const sitting of open) await handIn(services.database, sitting.key);
  for (const sitting of open)
    await markSitting(services, sitting).catch((problem) => log.error({ err: problem, sitting: sitting.key }, "a sitting could not be marked"));
}
