import { hintsName, hintsOf, takenHints } from "../../core/exercises/hints.ts";
import type { Database } from "../database/database.ts";
import { type OpenSitting, standingOf } from "./access.ts";
import { listAnswers, saveAnswer } from "./sittingStore.ts";

/** Takes the next hint of an exercise, at what hints cost now. Words for the student if there is none to be had. */
export async function takeHint(database: Database, open: OpenSitting, exercise: string): Promise<string | null> {
  const found = open.edition.content.exercises.find(({ key }) => key === exercise);
  const { hintCost } = open.sheet.rules;
  const standing = standingOf(open, Date.now());
  if (!found || hintCost === null) return "There are no hints here.";
  if (!standing.open || standing.paused) return "No hint can be taken now.";
  const name = hintsName(exercise);
  const kept = (await listAnswers(database, open.sitting.key)).find(({ task }) => task === name);
  const { costs } = takenHints(kept?.content);
  if (costs.length >= hintsOf(found.content).length) return "There are no more hints for this program.";
  // The number of the hint is its revision, so that two presses at once take one.
  await saveAnswer(database, open.sitting.key, name, costs.length + 1, { costs: [...costs, hintCost] });
  return null;
}
