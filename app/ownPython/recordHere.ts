import { findLanguage } from "../../core/languages/languages.ts";
import type { Outcome } from "../../core/outcome/outcome.ts";
import { withClassNames } from "../../core/trace/methodClasses.ts";
import { type OwnTable, ownTable } from "../../core/trace/ownTable.ts";
import { endedWords } from "../sitting/endedWords.ts";
import type { TaskExercise } from "../tasks/taskParts.ts";
import { type OwnRun, ownPythonAt } from "./ownPython.ts";
import { orderOf, stoppedByOf } from "./tryHere.ts";

/** Seconds that a recorded run may take in the browser: it is slower than a plain one. */
const secondsRecorded = 20;

/** What is changed before a step of a recorded run: the line at that step, a name and its other value. */
export type Change = { step: number; line: number; put: { name: string; value: string } };

/** A run in the browser as an outcome, without what only the server reads out of it. */
function outcomeOf(run: OwnRun): Outcome {
  const stoppedBy = stoppedByOf(run);
  return {
    ...{ started: stoppedBy !== "refused", finished: stoppedBy === "none", stoppedBy },
    ...{ exit: { code: run.result?.exit ?? -1, signal: 0 }, diagnostics: [], console: run.console, effects: [] },
    ...{ inputRanOut: run.result?.ranOut ?? false, milliseconds: 0, translator: "CPython 3.11.3" },
  };
}

/** Records a text in this browser. Words for the student where a change could not be made; rejects with NoOwnPython. */
export async function recordHere(
  address: string,
  exercise: TaskExercise,
  text: string,
  input: string,
  change: Change | null,
): Promise<OwnTable | string> {
  const language = findLanguage(exercise.language);
  if (!language) return "This language is not known here.";
  const words = change && [String(change.step), String(change.line), change.put.name, change.put.value];
  const order = { ...orderOf(exercise, text, input, "trace"), ...(words ? { change: words } : {}) };
  const run = await ownPythonAt(address).run(order, secondsRecorded);
  if (run.notChanged !== undefined) return run.notChanged;
  const steps = [...withClassNames(language, [text], run.steps)];
  const outcome = outcomeOf(run);
  return ownTable(language, text, { outcome, files: [exercise.fileName], steps }, endedWords[outcome.stoppedBy]);
}
