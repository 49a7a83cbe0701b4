import type { ExerciseContent, Task } from "../../core/exercises/exercise.ts";
import type { ItemMark } from "../../core/exercises/taskKind.ts";
import { kindOfTask } from "../../core/exercises/taskKinds.ts";
import { traceAnswerSchema, traceTaskSchema } from "../../core/exercises/traceTask.ts";
import type { AnswerLine, MarkLine } from "../../core/formats/exerciseFile.ts";
import type { Services } from "../services.ts";
import { makeContext } from "./makeExercise.ts";

/** Marks one answer to an exercise as its sheet would. Words where the exercise has no such task. */
export async function markAnswer(
  services: Pick<Services, "toolchains">,
  exercise: ExerciseContent,
  line: AnswerLine,
): Promise<MarkLine | string> {
  const task =
    exercise.tasks.find((each) => each.key === line.task) ?? exercise.tasks.find((each) => each.kind === line.task);
  if (!task)
    return `the exercise has no task “${line.task}”; it has ${exercise.tasks.map((each) => each.key).join(", ")}`;
  const items = await kindOfTask(task).mark(task, byTitle(task, line.answer), makeContext(services, exercise));
  const sum = (value: (item: ItemMark) => number) => items.reduce((all, item) => all + value(item), 0);
  return {
    ...{ id: line.id, task: task.key, kind: task.kind, items },
    earned: sum((item) => item.earned ?? 0),
    suggested: sum((item) => item.earned ?? item.suggested ?? 0),
    possible: sum((item) => item.possible),
    waits: items.some((item) => item.earned === null),
    reason: items.map((item) => (items.length > 1 ? `${item.item}: ${item.reason}` : item.reason)).join(" "),
  };
}

/** An answer to a trace table with its cells by the keys of the columns, where they are given by their titles. */
function byTitle(task: Task, answer: unknown): unknown {
  const table = traceTaskSchema.safeParse(task);
  const filled = traceAnswerSchema.safeParse(withTextLines(answer));
  if (!table.success || !filled.success) return answer;
  const keys = new Set(table.data.columns.map((column) => column.key));
  const keyOf = (name: string) =>
    keys.has(name) ? name : (table.data.columns.find((column) => column.title === name)?.key ?? name);
  return {
    ...filled.data,
    rows: filled.data.rows.map((row) => ({
      ...row,
      cells: Object.fromEntries(Object.entries(row.cells).map(([name, cell]) => [keyOf(name), cell])),
    })),
  };
}

/** Lines and cells that are given as numbers are texts in a table. */
function withTextLines(answer: unknown): unknown {
  if (typeof answer !== "object" || answer === null || !("rows" in answer) || !Array.isArray(answer.rows))
    return answer;
  const text = (value: unknown) => (typeof value === "number" || typeof value === "boolean" ? String(value) : value);
  return {
    ...answer,
    rows: answer.rows.map((row: unknown) => {
      if (typeof row !== "object" || row === null) return row;
      const { line, cells, ...rest } = row as { line?: unknown; cells?: unknown };
      const given = typeof cells === "object" && cells !== null ? cells : {};
      return {
        ...rest,
        ...(line === undefined ? {} : { line: text(line) }),
        cells: Object.fromEntries(
          Object.entries(given).flatMap(([name, cell]) => (cell === null ? [] : [[name, text(cell)]])),
        ),
      };
    }),
  };
}
