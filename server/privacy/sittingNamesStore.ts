import * as z from "zod";
import type { Task } from "../../core/exercises/exercise.ts";
import { kindOfTask } from "../../core/exercises/taskKinds.ts";
import type { Database, Query } from "../database/database.ts";
import { asBytes, textBytes } from "../database/rows.ts";
import { findEdition } from "../sheets/sheetStore.ts";
import { type NameReplacement, replaceInFormer } from "./nameReplacement.ts";

/** The sittings of a student with their tasks by key. */
export type SatTasks = ReadonlyMap<string, ReadonlyMap<string, Task>>;

/** What a student has sat, with the tasks as they were set; to be read before the transaction in which a name is replaced. */
export async function tasksSat(database: Database, student: string): Promise<SatTasks> {
  const row = z.object({ key: z.string(), edition: z.string(), scene: z.number() });
  const sittings = await database.query("select key, edition, scene from sitting where student = $1", [student]);
  const found = new Map<string, ReadonlyMap<string, Task>>();
  for (const { key, edition, scene } of z.array(row).parse(sittings)) {
    const exercises = (await findEdition(database, edition, scene))?.content.exercises ?? [];
    found.set(key, new Map(exercises.flatMap(({ content }) => content.tasks.map((task) => [task.key, task] as const))));
  }
  return found;
}

/** An answer with a name replaced; null where it is not in it, or where it would be no answer to its task any more: what is chosen from a list is no name. */
function replacedAnswer(content: string, task: Task | undefined, name: NameReplacement): string | null {
  const changed = JSON.stringify(replaceInFormer(JSON.parse(content), name));
  if (changed === content) return null;
  return task && kindOfTask(task).parseAnswer(JSON.parse(changed)) === null ? null : changed;
}

/** Replaces a name in everything that a student wrote while sitting sheets, in what was run, and in the words of marks. Returns in how many places it stood. */
export async function replaceInSittings(query: Query, sat: SatTasks, name: NameReplacement): Promise<number> {
  let places = 0;
  const change = async (sql: string, values: unknown[]) => {
    places += 1;
    await query(sql, values);
  };
  for (const [sitting, tasks] of sat) {
    const answers = await query("select task, content from answer where sitting = $1", [sitting]);
    for (const { task, content } of z.array(z.object({ task: z.string(), content: textBytes })).parse(answers)) {
      const changed = replacedAnswer(content, tasks.get(task), name);
      if (changed !== null)
        await change("update answer set content = $3 where sitting = $1 and task = $2", [
          ...[sitting, task, asBytes(changed)],
        ]);
    }
    const late = await query("select key, task, content, former from late_answer where sitting = $1", [sitting]);
    const lateRow = z.object({ key: z.string(), task: z.string(), content: textBytes, former: textBytes.nullable() });
    for (const { key, task, content, former } of z.array(lateRow).parse(late)) {
      const own = tasks.get(task);
      const [now, before] = [content, former].map((each) => (each === null ? null : replacedAnswer(each, own, name)));
      if (now ?? before)
        await change("update late_answer set content = $2, former = $3 where key = $1", [
          ...[key, asBytes(now ?? content), former === null ? null : asBytes(before ?? former)],
        ]);
    }
    const tries = await query("select key, text, input, console, ended, error from sitting_try where sitting = $1", [
      sitting,
    ]);
    const tryRow = z.object({
      ...{ key: z.string(), text: textBytes, input: textBytes, console: textBytes },
      ...{ ended: z.string(), error: z.string() },
    });
    for (const row of z.array(tryRow).parse(tries)) {
      const [text, input] = [name.text(row.text), name.text(row.input)];
      const printed = JSON.stringify(replaceInFormer(JSON.parse(row.console), name));
      const [ended, error] = [name.text(row.ended), name.text(row.error)];
      if (JSON.stringify({ key: row.key, text, input, console: printed, ended, error }) === JSON.stringify(row))
        continue;
      await change(
        "update sitting_try set text = $2, input = $3, console = $4, ended = $5, error = $6 where key = $1",
        [...[row.key, asBytes(text), asBytes(input), asBytes(printed), ended, error]],
      );
    }
    const marks = await query("select key, reason from mark where sitting = $1", [sitting]);
    for (const { key, reason } of z.array(z.object({ key: z.string(), reason: textBytes })).parse(marks)) {
      const changed = name.text(reason);
      if (changed !== reason) await change("update mark set reason = $2 where key = $1", [key, asBytes(changed)]);
    }
  }
  return places;
}
