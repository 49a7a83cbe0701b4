import type { ExerciseContent, Task } from "../../core/exercises/exercise.ts";
import { kindOfTask } from "../../core/exercises/taskKinds.ts";
import type { SchemeRules } from "./schemeRuleStore.ts";

/** A task by the newest of its changed rules; as it was set where none was changed. */
export function byRules(task: Task, exercise: ExerciseContent, changed: readonly SchemeRules[]): Task {
  const newest = changed.filter((each) => each.task === task.key).at(-1);
  return newest ? withRules(task, exercise, newest.rules) : task;
}

/** A task with other values of its rules; what its kind does not know is left aside. */
export function withRules(task: Task, exercise: ExerciseContent, values: Readonly<Record<string, number>>): Task {
  const kind = kindOfTask(task);
  return kind.rules(task, exercise).reduce((now, { name, to }) => {
    const value = values[name];
    return value === undefined ? now : kind.withRule(now, name, Math.max(0, Math.min(to, value)));
  }, task);
}

/** An exercise with every task by its newest rules. */
export const contentByRules = (content: ExerciseContent, changed: readonly SchemeRules[]): ExerciseContent => ({
  ...content,
  tasks: content.tasks.map((task) => byRules(task, content, changed)),
});
