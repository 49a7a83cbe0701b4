import * as z from "zod";
import type { FaultClass } from "../verdict/verdict.ts";
import type { Known, KnownExercise } from "./partKind.ts";
import { findPart } from "./parts.ts";

/** A part of a lesson as it is kept; its content is its kind's affair (core/lessons/parts). */
export const partSchema = z.object({
  key: z.string(),
  kind: z.string(),
  /** What the teacher calls it; "" for what its kind is called. */
  title: z.string().max(200),
  /** Left out this time: it stays in the lesson, and is neither shown nor counted. */
  out: z.boolean(),
  /** Minutes as the teacher says; null: by the rule of its kind. */
  minutes: z.number().int().min(0).max(600).nullable(),
  content: z.unknown(),
});
export type Part = z.infer<typeof partSchema>;

export const lessonContentSchema = z.object({ parts: z.array(partSchema).max(60) });
export type LessonContent = z.infer<typeof lessonContentSchema>;

/** What students may read of a lesson: nothing, what comes before it is held, or all of it with what came out. */
export const openings = ["closed", "before", "whole"] as const;

/** A part with what is said of it: its name, its minutes, and the numbers of its tasks (from, count). */
export type PlannedPart = Part & { name: string; takes: number; firstTask: number; tasks: number };

/**
 * The parts that are in, in order, with their minutes and with tasks numbered through the lesson. A part that cannot be read
 * (from a later version) is left away.
 */
export function planOf({ parts }: LessonContent, known: Known): { parts: PlannedPart[]; minutes: number } {
  const planned: PlannedPart[] = [];
  let [minutes, task] = [0, 1];
  for (const part of parts) {
    const kind = findPart(part.kind);
    if (part.out || !kind?.schema.safeParse(part.content).success) continue;
    const tasks = kind.tasks(part.content);
    const takes = part.minutes ?? kind.minutes(part.content, known);
    planned.push({ ...part, name: part.title || kind.title, takes, firstTask: task, tasks });
    minutes += takes;
    task += tasks;
  }
  return { parts: planned, minutes };
}

const order: readonly FaultClass[] = ["syntax", "runtime", "logic"];

/** The classes that exercises have, in the order in which they are met when a program is run. */
export const classesOf = (exercises: ReadonlyArray<Pick<KnownExercise, "classes">>): FaultClass[] =>
  order.filter((of) => exercises.some(({ classes }) => classes.includes(of)));

/**
 * A lesson as it is usually held: what the kinds of error are, one program of each kind together (the first of `exercises`
 * that has it, each once), one sign changed, the sheet, what we met. `lab`: changes of a program; none: no lab. `newKey` names
 * the parts.
 */
export function usualLesson(given: {
  classes: readonly FaultClass[];
  exercises: readonly KnownExercise[];
  sheet: string | null;
  lab: { exercise: string; changes: readonly unknown[] } | null;
  newKey: () => string;
}): LessonContent {
  const part = (kind: string, content: unknown): Part => ({
    ...{ key: given.newKey(), kind, title: "", out: false, minutes: null },
    content,
  });
  const met = given.classes;
  const shown = new Set<string>();
  for (const of of met) {
    const first = given.exercises.find(({ key, classes }) => classes.includes(of) && !shown.has(key));
    if (first) shown.add(first.key);
  }
  return {
    parts: [
      ...(met.length > 0 ? [part("classes", { classes: met })] : []),
      ...[...shown].map((exercise) => part("program", { exercise, without: [] })),
      ...(given.lab ? [part("lab", given.lab)] : []),
      ...(given.sheet ? [part("sheet", { sheet: given.sheet })] : []),
      ...(met.length > 0 ? [part("recap", {})] : []),
    ],
  };
}

/** Where a part goes when it is moved by one place; the same where it stands at the end already. */
export function movedPart(parts: readonly Part[], key: string, by: 1 | -1): Part[] {
  const at = parts.findIndex((part) => part.key === key);
  const other = at + by;
  const [one, two] = [parts[at], parts[other]];
  if (!one || !two) return [...parts];
  return parts.map((part, index) => (index === at ? two : index === other ? one : part));
}
