import type { Task } from "./exercise.ts";
import type { TaskKind } from "./taskKind.ts";
import { byhand } from "./tasks/byhand.ts";
import { classify } from "./tasks/classify.ts";
import { compare } from "./tasks/compare.ts";
import { condition } from "./tasks/condition.ts";
import { define } from "./tasks/define.ts";
import { handler } from "./tasks/handler.ts";
import { improve } from "./tasks/improve.ts";
import { input } from "./tasks/input.ts";
import { intentions } from "./tasks/intentions.ts";
import { layout } from "./tasks/layout.ts";
import { limits } from "./tasks/limits.ts";
import { mend } from "./tasks/mend.ts";
import { missing } from "./tasks/missing.ts";
import { point } from "./tasks/point.ts";
import { predict } from "./tasks/predict.ts";
import { provoke } from "./tasks/provoke.ts";
import { purpose } from "./tasks/purpose.ts";
import { reading } from "./tasks/reading.ts";
import { refusals } from "./tasks/refusals.ts";
import { rounds } from "./tasks/rounds.ts";
import { runs } from "./tasks/runs.ts";
import { statements } from "./tasks/statements.ts";
import { steps } from "./tasks/steps.ts";
import { suspects } from "./tasks/suspects.ts";
import { switches } from "./tasks/switches.ts";
import { testdata } from "./tasks/testdata.ts";
import { traceTable } from "./tasks/trace.ts";
import { unfinished } from "./tasks/unfinished.ts";
import { versions } from "./tasks/versions.ts";

/** A group of kinds, as a teacher chooses among them. */
export type TaskGroup = { title: string; kinds: readonly TaskKind[] };

/** Every kind of task by what it is about, in the order in which they are asked; a new one is one file and one name here. */
export const taskGroups: readonly TaskGroup[] = [
  { title: "What it is and what it should do", kinds: [purpose, byhand] },
  { title: "Kinds of error and messages", kinds: [runs, refusals, classify, define, reading, statements] },
  { title: "Where the fault is", kinds: [suspects, point, steps] },
  { title: "Test data", kinds: [input, testdata, limits] },
  { title: "What it does when it runs", kinds: [condition, predict, compare, versions, missing, traceTable] },
  { title: "Mending", kinds: [rounds, mend, intentions] },
  { title: "With the program as it should be", kinds: [unfinished, switches, provoke, handler, layout, improve] },
];
export const taskKinds: readonly TaskKind[] = taskGroups.flatMap(({ kinds }) => kinds);

/** The kind of a task; throws for a task of no known kind, which only a newer version can have made. */
export function kindOfTask(task: Pick<Task, "kind">): TaskKind {
  const found = taskKinds.find((each) => each.kind === task.kind);
  if (!found) throw new Error(`unknown kind of task: ${task.kind}`);
  return found;
}
