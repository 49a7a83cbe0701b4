import * as z from "zod";
import type { ExerciseContent } from "../exercises/exercise.ts";
import { taskKinds } from "../exercises/taskKinds.ts";

/** Signs of a kind's name that are told at most. */
const mostOfName = 40;

/**
 * Why a task of an exercise that came from outside could be neither sat nor marked, in words; null where each is of a
 * known kind and whole: it is asked once for what it says and what earns marks.
 */
export function taskProblem(content: ExerciseContent): string | null {
  for (const [at, task] of content.tasks.entries()) {
    const kind = taskKinds.find((each) => each.kind === task.kind);
    if (!kind) return `task ${at + 1} is of the kind “${task.kind.slice(0, mostOfName)}”, which is not known here`;
    try {
      kind.asks(task, content);
      kind.scheme(task, content);
    } catch (problem) {
      const issue = problem instanceof z.ZodError ? problem.issues[0] : undefined;
      const place = issue?.path.join(".") ?? "";
      return `task ${at + 1} (${kind.title}) is not whole${place === "" ? "" : `: it is not understood at ${place}`}`;
    }
  }
  return null;
}
