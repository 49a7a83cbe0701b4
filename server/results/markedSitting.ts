import { ownNote, ownNoteName } from "../../core/exercises/ownNote.ts";
import { kindOfTask } from "../../core/exercises/taskKinds.ts";
import { countFormer } from "../cases/formerStore.ts";
import { beingMarked } from "../marks/markingWork.ts";
import { listMarks, markKey } from "../marks/markStore.ts";
import type { Services } from "../services.ts";
import { findEdition } from "../sheets/sheetStore.ts";
import { findSitting, listAnswers } from "../sittings/sittingStore.ts";

/** Marks in the order of the scheme's items; those of items that it has no more come last. */
export function inOrderOf<Marked extends { item: string }>(
  scheme: ReadonlyArray<{ item: string }>,
  marks: readonly Marked[],
): Marked[] {
  const place = (mark: Marked) => {
    const at = scheme.findIndex(({ item }) => item === mark.item);
    return at < 0 ? scheme.length : at;
  };
  return [...marks].sort((one, other) => place(one) - place(other));
}

/** All that whoever marks sees of a sitting: answers beside their keys, marks, and whether it is being marked. */
export async function markedSitting(services: Pick<Services, "database">, key: string) {
  const { database } = services;
  const sitting = await findSitting(database, key);
  const edition = sitting ? await findEdition(database, sitting.edition, sitting.scene) : null;
  if (!sitting || !edition) return null;
  const [answers, marks, former, marking] = await Promise.all([
    listAnswers(database, sitting.key),
    listMarks(database, [sitting.key]),
    countFormer(database.query, "mark", sitting.key),
    beingMarked(services),
  ]);
  const answerTo = new Map(answers.map((answer) => [answer.task, answer.content]));
  return {
    label: sitting.label,
    handedIn: sitting.handed_in_at !== null,
    marking: marking.has(sitting.key),
    edition: edition.number,
    otherScene: sitting.scene > 0,
    exercises: edition.content.exercises.map(({ key, title, content }) => ({
      key,
      title,
      /** What the student noted beside the exercise while looking for its faults. */
      note: ownNote(answerTo.get(ownNoteName(key))),
      tasks: content.tasks.map((task) => {
        const kind = kindOfTask(task);
        const scheme = kind.scheme(task, content);
        return {
          key: task.key,
          kind: task.kind,
          title: kind.title,
          marks: task.marks,
          scheme,
          compared: kind.compare(task, answerTo.get(task.key) ?? null, content),
          items: inOrderOf(scheme, marks)
            .filter((mark) => mark.task === task.key)
            .map((mark) => ({ ...mark, former: former.get(markKey(mark)) ?? 0 })),
        };
      }),
    })),
  };
}
export type MarkedSitting = NonNullable<Awaited<ReturnType<typeof markedSitting>>>;
export type MarkedTask = MarkedSitting["exercises"][number]["tasks"][number];
