import type { ExerciseContent, Task } from "../../core/exercises/exercise.ts";
import { hintsName, takenHints } from "../../core/exercises/hints.ts";
import type { CheckRun, ItemMark, MarkContext } from "../../core/exercises/taskKind.ts";
import { kindOfTask } from "../../core/exercises/taskKinds.ts";
import { keepFormer } from "../cases/formerStore.ts";
import { runForCheck } from "../exercises/runForCheck.ts";
import { log } from "../log.ts";
import type { Services } from "../services.ts";
import { findEdition } from "../sheets/sheetStore.ts";
import { listAnswers, listSittings } from "../sittings/sittingStore.ts";
import { type Accepted, answerKey, listAccepted } from "./acceptedStore.ts";
import { contentByRules } from "./byRules.ts";
import { countMarks, listMarks, markKey, putMark } from "./markStore.ts";
import { listSchemeRules } from "./schemeRuleStore.ts";

/** A run that marking asked for was not taken, or told nothing: another try may tell more. */
export class RunRefused extends Error {}

/**
 * The marks of one answer. Whatever goes wrong in the marking, each item of the scheme gets one: it waits for the
 * teacher then.
 */
async function marksOfTask(
  run: MarkContext["run"],
  exercise: ExerciseContent,
  task: Task,
  answer: unknown,
): Promise<ItemMark[]> {
  try {
    return await kindOfTask(task).mark(task, answer, { exercise, run });
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

/** Marks with those that a teacher decided for the same answer in place of the program's. */
function decided(
  accepted: readonly Accepted[],
  task: Task,
  { answer, scene }: { answer: unknown; scene: number },
  marks: ItemMark[],
): ItemMark[] {
  const own = accepted.filter((each) => each.task === task.key);
  if (own.length === 0 || answer === null) return marks;
  const key = answerKey(answer, scene);
  return marks.map((mark) => {
    const found = own.find((each) => each.item === mark.item && each.answer === key);
    if (!found) return mark;
    const reason = found.reason || "As your teacher decided for the same answer.";
    return { item: mark.item, possible: mark.possible, earned: found.earned, reason };
  });
}

const sum = (numbers: readonly number[]) => numbers.reduce((all, each) => all + each, 0);

/** Takes off what the hints of an exercise cost, at most what was earned there; `earned` counts what still waits as earned. */
async function markHints(
  database: Services["database"],
  sitting: string,
  exercise: string,
  answerTo: ReadonlyMap<string, unknown>,
  earned: number,
): Promise<void> {
  const { costs } = takenHints(answerTo.get(hintsName(exercise)));
  if (sum(costs) === 0) return;
  const hints = costs.length === 1 ? "1 hint was" : `${costs.length} hints were`;
  await putMark(database.query, {
    ...{ sitting, task: hintsName(exercise), item: "hints", possible: 0, marker: "program" },
    ...{ earned: -Math.min(sum(costs), earned), reason: `${hints} taken.` },
  });
}

/**
 * Marks everything of a sitting that a program can mark, and says whether a run that it needed was refused: what hangs
 * on that waits for the teacher until it is marked again. Marks that a teacher gave stay; others that change keep their
 * former value.
 */
export async function markSitting(
  services: Services,
  sitting: { key: string; edition: string; scene: number },
): Promise<{ refused: string | null }> {
  const edition = await findEdition(services.database, sitting.edition, sitting.scene);
  if (!edition) return { refused: null };
  const [answers, before] = await Promise.all([
    listAnswers(services.database, sitting.key),
    listMarks(services.database, [sitting.key]),
  ]);
  const answerTo = new Map(answers.map((answer) => [answer.task, answer.content]));
  const formerOf = new Map(before.map((mark) => [markKey(mark), mark]));
  const accepted = await listAccepted(services.database, sitting.edition);
  const changed = await listSchemeRules(services.database, sitting.edition);
  const scheme = 1 + accepted.length + changed.length;
  let refused: string | null = null;
  for (const { key, content } of edition.content.exercises) {
    const exercise = contentByRules(content, changed);
    const earned: number[] = [];
    const run: MarkContext["run"] = async (text, check): Promise<CheckRun> => {
      const ran = await runForCheck(services, exercise, text, check);
      if ("notRun" in ran && ran.unknown) refused = ran.notRun;
      return ran;
    };
    for (const task of exercise.tasks) {
      const answer = answerTo.get(task.key) ?? null;
      const given = { answer, scene: sitting.scene };
      const marks = decided(accepted, task, given, await marksOfTask(run, exercise, task, answer));
      earned.push(
        ...marks
          .map((mark) => formerOf.get(markKey({ ...mark, sitting: sitting.key, task: task.key })) ?? mark)
          .map((mark) => mark.earned ?? mark.possible),
      );
      await services.database.transaction(async (query) => {
        for (const mark of marks) {
          const place = { ...mark, sitting: sitting.key, task: task.key };
          const former = formerOf.get(markKey(place));
          if (former?.marker === "teacher") continue;
          if (former && (former.earned !== mark.earned || former.reason !== mark.reason))
            await keepFormer(query, {
              ...{ about: "mark", aboutKey: markKey(place), former, who: { role: "program" } },
              reason: "marked again",
            });
          await putMark(query, { ...place, marker: "program", scheme });
        }
      });
    }
    await markHints(services.database, sitting.key, key, answerTo, sum(earned));
  }
  return { refused };
}

/** Handed-in sittings of a sheet (null: of all) that lack a mark for an item of their scheme. */
export async function unmarkedSittings(
  services: Pick<Services, "database">,
  sheet: string | null,
): Promise<Array<{ key: string; edition: string }>> {
  const wanted = new Map<string, number>();
  const unmarked: Array<{ key: string; edition: string }> = [];
  for (const { key, edition, scene, marks } of await countMarks(services.database, sheet)) {
    const sat = `${edition} ${scene}`;
    if (!wanted.has(sat)) {
      const exercises = (await findEdition(services.database, edition, scene))?.content.exercises ?? [];
      const items = exercises.flatMap(({ content }) => content.tasks.flatMap((task) => itemsOf(task, content)));
      wanted.set(sat, items.length);
    }
    if (marks < (wanted.get(sat) ?? 0)) unmarked.push({ key, edition });
  }
  return unmarked;
}

/**
 * Sittings of a sheet for which marking once more may help: those that lack a mark, and those with one that waits
 * although a program gives it.
 */
export async function sittingsToMarkAgain(
  services: Pick<Services, "database">,
  sheet: string,
): Promise<Array<{ key: string; edition: string }>> {
  const handedIn = (await listSittings(services.database, sheet)).filter((sitting) => sitting.handed_in_at !== null);
  const keys = handedIn.map((sitting) => sitting.key);
  const waits = (await listMarks(services.database, keys)).filter(
    (mark) => mark.earned === null && mark.suggested === null && mark.marker === "program",
  );
  const unmarked = await unmarkedSittings(services, sheet);
  const wanted = new Set([...waits.map((mark) => mark.sitting), ...unmarked.map((sitting) => sitting.key)]);
  return handedIn.filter((sitting) => wanted.has(sitting.key));
}
