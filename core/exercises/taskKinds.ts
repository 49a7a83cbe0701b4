import type { Task } from "./exercise.ts";
import type { TaskKind } from "./taskKind.ts";
import { classify } from "./tasks/classify.ts";
import { mend } from "./tasks/mend.ts";
import { point } from "./tasks/point.ts";
import { predict } from "./tasks/predict.ts";
import { traceTable } from "./tasks/traceTable.ts";

/** Every kind of task; a new one is one file and one line here. */
export const taskKinds: readonly TaskKind[] = [classify, point, predict, traceTable, mend];

/** The kind of a task; throws for a task of no known kind, which only a newer version can have made. */
export function kindOfTask(task: Task): TaskKind {
  const found = taskKinds.find((each) => each.kind === task.kind);
  if (!found) throw new Error(`unknown kind of task: ${task.kind}`);
  return found;
}
