import type { WrittenExercise, WrittenTask } from "../sheetContent.ts";
import { sayable } from "./names.ts";

/** A task that is one choice, of which it is known what is right: it is marked by the program that takes the package. */
export const isScored = (task: WrittenTask): boolean => {
  const [only, ...others] = task.parts.flatMap(({ fields }) => fields);
  return only?.options !== undefined && others.length === 0 && task.right[only.name] !== undefined;
};

/** What QTI 3.0 cannot say of a sheet, or says in another way, each in a sentence that names what it is about. */
export function notSaid(exercises: readonly WrittenExercise[]): string[] {
  const tasks = exercises.flatMap((exercise, at) =>
    exercise.tasks.map((task, place) => ({ name: `${at + 1}${String.fromCharCode(97 + place)}`, task })),
  );
  const named = (which: (task: WrittenTask) => boolean) =>
    tasks.filter(({ task }) => which(task)).map(({ name }) => name);
  const list = (says: string, names: readonly string[]) =>
    names.length === 0 ? [] : [`${says}: ${names.join(", ")}.`];
  const texts = exercises.flatMap(({ program, files, given }) => [
    ...[program, ...files.map(({ text }) => text ?? ""), ...given.map(({ text }) => text)],
  ]);
  return [
    "Programs cannot be run or tried in it, and no answer is marked by runs. The rules of marking stand in each item, for whoever marks.",
    "How the sheet is sat (practice, one exercise at a time, hints and what they cost, marks of editions) is not part of it.",
    "The kind of each task is not said; it is known by its title.",
    ...list(
      "Only looked at by a person there, as a text field has no rule of ours",
      named((task) => !isScored(task)),
    ),
    ...list(
      "A field holds something at first (a program to be mended, a table begun); it stands above the field instead",
      named((task) => task.parts.some(({ fields }) => fields.some(({ starts }) => starts !== undefined))),
    ),
    ...(texts.some((text) => sayable(text) !== text)
      ? ["Characters that no XML can hold, or line ends with a carriage return, are written otherwise."]
      : []),
  ];
}
