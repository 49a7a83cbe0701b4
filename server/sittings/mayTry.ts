import { kindOfTask } from "../../core/exercises/taskKinds.ts";
import type { Database } from "../database/database.ts";
import type { EditionContent } from "../sheets/sheetStore.ts";
import { type OpenSitting, standingOf, triedNote } from "./access.ts";
import { listAnswers, saveAnswer } from "./sittingStore.ts";

/**
 * Whether the program of an exercise may be run now in a sitting, on the server or in the student's own browser: the
 * exercise, or words for the student. What has to be foretold comes before the first run.
 */
export async function mayTry(
  database: Database,
  open: OpenSitting,
  key: string,
): Promise<{ exercise: EditionContent["exercises"][number] } | { refused: string }> {
  const standing = standingOf(open, Date.now());
  if (!standing.open) return { refused: "The sheet is handed in or closed, so programs are not run any more." };
  if (standing.paused) return { refused: "Your teacher has paused the sheet. Programs are run again when it goes on." };
  const exercise = open.edition.content.exercises.find((each) => each.key === key);
  if (!exercise) return { refused: "There is no such exercise on this sheet." };
  const answers = new Set((await listAnswers(database, open.sitting.key)).map((answer) => answer.task));
  const before = exercise.content.tasks.find((task) => kindOfTask(task).answeredBeforeTrying && !answers.has(task.key));
  return before
    ? {
        refused:
          "First write down what you expect (output and trace table), or press “I give this up” there. After the first try those answers stay as they are.",
      }
    : { exercise };
}

/** Keeps that the program of an exercise has been run: what was foretold stays as it is from now on. */
export async function noteTried(database: Database, sitting: string, exercise: string): Promise<void> {
  await saveAnswer(database, sitting, triedNote(exercise), 1, true);
}
