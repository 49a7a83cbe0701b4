import type { Outcome } from "../../core/outcome/outcome.ts";
import { limitsSchema } from "../../core/outcome/outcome.ts";
import { shortConsole } from "../components/shortConsole.ts";
import { endedWords } from "../sitting/endedWords.ts";
import type { RanHere } from "../sitting/ranHere.ts";
import type { ShownTry } from "../sitting/replies.ts";
import type { TaskExercise } from "../tasks/taskParts.ts";
import type { RunOrder } from "./inside/messages.ts";
import type { OwnRun } from "./ownPython.ts";

/** Seconds that a program may run in the student's own browser: a slow computer is to reach what the server reaches in two. */
export const secondsHere = 10;
const limits = limitsSchema.parse({});

/** A run or a recording of a text as the program of an exercise, beside the exercise's own files. */
export function orderOf(
  exercise: Pick<TaskExercise, "fileName" | "dataFiles">,
  text: string,
  input: string,
  mode: RunOrder["mode"] = "run",
): RunOrder {
  const beside = exercise.dataFiles.flatMap((file) => (file.text === null ? [] : [[file.name, file.text] as const]));
  return {
    mode,
    main: exercise.fileName,
    files: [[exercise.fileName, text], ...beside],
    input,
    outputLimit: limits.outputBytes,
    stepLimit: limits.steps,
  };
}

/** By what a run in the browser was stopped, as an outcome of the server's says it. */
export function stoppedByOf({ how, result }: Pick<OwnRun, "how" | "result">): RanHere["stoppedBy"] {
  if (how === "time" || how === "person") return how;
  if (!result || how === "broken") return "broken";
  return result.started === false ? "refused" : result.stoppedBy;
}

/** What a student is shown of a run in the browser, and what the server is told of it. */
export function shownOf(run: OwnRun): { shown: ShownTry; told: RanHere } {
  const stoppedBy: Outcome["stoppedBy"] & RanHere["stoppedBy"] = stoppedByOf(run);
  const console = shortConsole(run.console);
  const refusal = run.result?.problems.find(({ severity }) => severity === "error")?.text ?? "";
  const messages = (stoppedBy === "refused" ? refusal : (run.result?.crash ?? "")).slice(-20_000);
  return {
    shown: { console, ended: endedWords[stoppedBy], inputRanOut: run.result?.ranOut ?? false },
    told: { console: { ...console, pieces: console.pieces.slice(0, 5000) }, stoppedBy, messages },
  };
}
