import * as z from "zod";
import type { Task } from "./exercise.ts";
import type { ItemMark, SchemeItem, ShownRule } from "./itemMark.ts";

/** What a teacher gives to everyone who answered, since the question was no good: items of a task's scheme by name. */
const givenSchema = z.object({ givenToAll: z.array(z.string()).default([]) });
const before = "all ";

/** The items of a task that everyone who answered earns. */
export const givenToAll = (task: Task): readonly string[] => givenSchema.safeParse(task).data?.givenToAll ?? [];

/** For each item of a scheme the rule that everyone who answered earns it. */
export function rulesForAll(task: Task, scheme: readonly SchemeItem[]): ShownRule[] {
  const given = givenToAll(task);
  return scheme.map(({ item }) => ({
    ...{ name: before + item, says: `Everyone who answered earns “${item}”`, isYesOrNo: true, to: 1 },
    value: Number(given.includes(item)),
  }));
}

/** A task with such a rule changed (1: given, 0: not); null for the name of another rule. */
export function withItemForAll(task: Task, name: string, value: number): Task | null {
  if (!name.startsWith(before)) return null;
  const item = name.slice(before.length);
  const others = givenToAll(task).filter((each) => each !== item);
  return { ...task, givenToAll: value === 1 ? [...others, item] : others };
}

/** What a student reads of it behind a task's rule; "" where nothing is given. */
export function saysForAll(task: Task): string {
  const given = givenToAll(task);
  return given.length === 0
    ? ""
    : ` Everyone who answered earns ${given.map((item) => `“${item}”`).join(" and ")}, whatever the answer.`;
}

/** Marks of an answer with what everyone earns in full. */
export function marksWithGiven(task: Task, marks: readonly ItemMark[]): ItemMark[] {
  const given = givenToAll(task);
  return marks.map((mark) =>
    given.includes(mark.item)
      ? { item: mark.item, earned: mark.possible, possible: mark.possible, reason: "Everyone who answered earns this." }
      : mark,
  );
}
