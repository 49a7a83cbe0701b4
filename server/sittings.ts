import { levelOf } from "../core/exercises/level.ts";
import { kindOfTask } from "../core/exercises/taskKinds.ts";
import { runForCheck } from "./exercises.ts";
import type { Services } from "./services.ts";
import { keepFormer } from "./stores/formerValues.ts";
import { type EditionContent, findEdition, listPlaced, type Sheet, setSheet, setSheetState } from "./stores/sheets.ts";
import { handIn, listAnswers, listMarks, listSittings, type Mark, putMark } from "./stores/sittings.ts";

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

/** Marks everything of a sitting that a program can mark. Marks that a teacher gave stay. */
export async function markSitting(services: Services, sitting: { key: string; edition: string }): Promise<void> {
  const edition = await findEdition(services.database, sitting.edition);
  if (!edition) return;
  const answers = new Map((await listAnswers(services.database, sitting.key)).map((answer) => [answer.task, answer.content]));
  const byTeacher = new Set(
    (await listMarks(services.database, [sitting.key])).filter((mark) => mark.marker === "teacher").map((mark) => `${mark.task} ${mark.item}`),
  );
  for (const exercise of edition.content.exercises) {
    for (const task of exercise.content.tasks) {
      const marks = await kindOfTask(task).mark(task, answers.get(task.key) ?? null, {
        exercise: exercise.content,
        run: (text, check) => runForCheck(services, exercise.content, text, check),
      });
      await services.database.transaction(async (query) => {
        for (const mark of marks)
          if (!byTeacher.has(`${task.key} ${mark.item}`)) await putMark(query, { ...mark, sitting: sitting.key, task: task.key, marker: "program" });
      });
    }
  }
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

/** Closes a sheet: no answer is taken any more, and what students had saved is handed in and marked. */
export async function closeSheet(services: Services, sheet: Sheet): Promise<void> {
  await setSheetState(services.database, sheet.key, "closed");
  for (const sitting of await listSittings(services.database, sheet.key)) if (sitting.handed_in_at === null) await handInAndMark(services, sitting);
}
