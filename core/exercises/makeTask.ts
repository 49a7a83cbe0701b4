import type { Task } from "./exercise.ts";
import type { MakeContext, TaskKind } from "./taskKind.ts";
import { kindOfTask } from "./taskKinds.ts";

/**
 * Words for the teacher where a task of a kind cannot stand beside one of some others, since one of the two shows what the other
 * asks for; null where it can.
 */
export function besideOthers(kind: TaskKind, others: readonly Task[]): string | null {
  for (const other of others.map(kindOfTask)) {
    const [showing, asking] = kind.shows !== null && kind.shows === other.asksFor ? [kind, other] : [other, kind];
    if (showing.shows === null || showing.shows !== asking.asksFor) continue;
    return `“${kind.title}” is not asked beside “${other.title}”: “${showing.title}” shows ${showing.shows}, and with it the answer.`;
  }
  return null;
}

/** Makes a task of a kind for an exercise, with its key from real runs; words for the teacher where it cannot be asked there. */
export async function makeTask(
  kind: TaskKind,
  context: MakeContext,
  given: { key: string; marks: number },
): Promise<Task | string> {
  return besideOthers(kind, context.exercise.tasks) ?? (await kind.make(context, given));
}
