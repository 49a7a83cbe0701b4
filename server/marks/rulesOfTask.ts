import type { ExerciseContent, Task } from "../../core/exercises/exercise.ts";
import { kindOfTask } from "../../core/exercises/taskKinds.ts";
import type { Services } from "../services.ts";
import { byRules } from "./byRules.ts";
import { listSchemeRules } from "./schemeRuleStore.ts";

/** What a page shows of the rules of a task: what can be changed, what it is by now, and what was changed before. */
export async function rulesOf(
  services: Pick<Services, "database">,
  edition: string,
  task: Task,
  exercise: ExerciseContent,
) {
  const changed = (await listSchemeRules(services.database, edition)).filter((each) => each.task === task.key);
  const now = byRules(task, exercise, changed);
  return {
    task: now,
    rules: kindOfTask(now).rules(now, exercise),
    changes: changed.map(({ number, reason }) => ({ number, reason })),
  };
}
