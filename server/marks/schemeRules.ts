import { kindOfTask } from "../../core/exercises/taskKinds.ts";
import { makeContext } from "../exercises/makeExercise.ts";
import type { Services } from "../services.ts";
import { listAnswersTo, listSittings } from "../sittings/sittingStore.ts";
import { answerKey } from "./acceptedStore.ts";
import { withRules } from "./byRules.ts";
import { markBehind } from "./markingWork.ts";
import { listMarks } from "./markStore.ts";
import { exerciseInScenes, taskOn } from "./moderation.ts";
import { addSchemeRules } from "./schemeRuleStore.ts";

/** Whose mark other rules change, item by item; what a teacher gave stays and is not among them. */
export type Affected = { labels: string[]; item: string; before: number | null; after: number | null };

/** Who would be affected by other rules of a task, by marking every different answer with them; nothing is kept. */
export async function affectedBy(
  services: Pick<Services, "database" | "toolchains">,
  sheet: string,
  taskKey: string,
  values: Readonly<Record<string, number>>,
): Promise<Affected[] | null> {
  const on = await taskOn(services, sheet, taskKey);
  if (!on) return null;
  const answers = await listAnswersTo(services.database, on.edition.key, taskKey);
  const marks = await listMarks(
    services.database,
    answers.map(({ sitting }) => sitting),
  );
  const inScenes = await exerciseInScenes(services.database, on, answers);
  const known = new Map<string, Awaited<ReturnType<ReturnType<typeof kindOfTask>["mark"]>>>();
  const affected = new Map<string, Affected>();
  for (const { sitting, label, scene, content: answer } of answers) {
    const key = answerKey(answer, scene);
    const content = inScenes.get(scene) ?? on.exercise.content;
    const task = withRules(content.tasks.find((each) => each.key === taskKey) ?? on.task, content, values);
    const now = known.get(key) ?? (await kindOfTask(task).mark(task, answer, makeContext(services, content)));
    known.set(key, now);
    for (const mark of marks.filter((each) => each.sitting === sitting && each.task === taskKey)) {
      const after = now.find(({ item }) => item === mark.item);
      if (mark.marker === "teacher" || !after || after.earned === mark.earned) continue;
      const place = JSON.stringify([mark.item, mark.earned, after.earned]);
      const one = affected.get(place) ?? { labels: [], item: mark.item, before: mark.earned, after: after.earned };
      affected.set(place, { ...one, labels: [...one.labels, label] });
    }
  }
  return [...affected.values()];
}

/** Keeps other rules of a task and has all handed-in sittings of its edition marked anew; former marks are kept. */
export async function changeRules(
  services: Services,
  wish: { sheet: string; task: string; rules: Readonly<Record<string, number>>; reason: string },
): Promise<{ ok: true; sittings: number } | { ok: false; message: string }> {
  const on = await taskOn(services, wish.sheet, wish.task);
  if (!on) return { ok: false, message: "There is no such task any more. Nothing was changed." };
  const { task } = wish;
  await addSchemeRules(services.database.query, on.edition.key, {
    task,
    rules: { ...wish.rules },
    reason: wish.reason,
  });
  const handedIn = (await listSittings(services.database, wish.sheet)).filter(
    (sitting) => sitting.edition === on.edition.key && sitting.handed_in_at !== null,
  );
  await markBehind(services, handedIn);
  return { ok: true, sittings: handedIn.length };
}
