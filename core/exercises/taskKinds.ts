import type { Task } from "./exercise.ts";
import type { TaskKind } from "./taskKind.ts";
import { classify } from "./tasks/classify.ts";
import { define } from "./tasks/define.ts";
import { improve } from "./tasks/improve.ts";
import { input } from "./tasks/input.ts";
import { mend } from "./tasks/mend.ts";
import { point } from "./tasks/point.ts";
import { predict } from "./tasks/predict.ts";
import { purpose } from "./tasks/purpose.ts";
import { reading } from "./tasks/reading.ts";
import { runs } from "./tasks/runs.ts";
import { statements } from "./tasks/statements.ts";
import { steps } from "./tasks/steps.ts";
import { traceTable } from "./tasks/trace.ts";

/** Every kind of task, in the order in which they are asked; a new one is one file and one line here. */
export const taskKinds: readonly TaskKind[] = [
  ...[purpose, runs, classify, define, reading, statements, point, steps, input],
  ...[predict, traceTable, mend, improve],
];

/** The kind of a task; throws for a task of no known kind, which only a newer version can have made. */
export function kindOfTask(task: Pick<Task, "kind">): TaskKind {
  const found = taskKinds.find((each) => each.kind === task.kind);
  if (!found) throw new Error(`unknown kind of task: ${task.kind}`);
  return found;
}
