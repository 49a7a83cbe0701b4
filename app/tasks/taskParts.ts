import type { ComponentType } from "react";
import type { OwnNote } from "../../core/exercises/ownNote.ts";

/** The program of an exercise as its student's page knows it. `tried`: it was run there once. */
export type TaskExercise = {
  key: string;
  program: string;
  lines: readonly string[];
  language: string;
  /** How what its user does is written, where that is what is typed in. */
  actions?: { label: string; note: string } | null;
  tried: boolean;
  fileName: string;
  /** What lies beside the program; `text` null: nothing of that name does. */
  dataFiles: ReadonlyArray<{ name: string; text: string | null }>;
  /** Where this browser gets the interpreter from, if it can run the program itself. */
  runsHere: string | null;
};

/**
 * What the form of a task is given: what a student may see of it, and what was saved, of any form. `fixed`: it can be
 * read but not changed; `address`: where the page's runs are asked for.
 */
export type FormProps<View> = {
  taskKey: string;
  view: View;
  exercise: TaskExercise;
  code: string;
  answer: unknown;
  fixed: boolean;
  change: (answer: unknown) => void;
  saveNow: () => Promise<undefined>;
  /** What the student notes beside the exercise while looking for its faults. */
  note?: OwnNote;
  changeNote?: (note: OwnNote) => void;
};

/** What the teacher may change of a task beside its marks: the fields of a form, without its button. */
export type ChangeProps<Key> = { ownKey: Key };

/**
 * Everything that the pages show of one kind of task, a folder each: the form that a student fills in, an answer as
 * whoever marks reads it, the room for it on paper, the key on the teacher's copy (nothing where the scheme says all),
 * and the fields by which a teacher changes it.
 */
export type TaskParts<View, Compared, Key> = {
  kind: string;
  Form: ComponentType<FormProps<View>>;
  Answer: ComponentType<{ compared: Compared }>;
  Paper: ComponentType<{ view: View }>;
  Key?: ComponentType<{ ownKey: Key }>;
  Change?: ComponentType<ChangeProps<Key>>;
  /** True where the room on paper may be parted between two pages. */
  partsOnPaper?: boolean;
};

/** The same for the list of all kinds. */
export type AnyTaskParts = TaskParts<unknown, unknown, unknown>;

/**
 * Closes the parts of a kind for the list. View, comparison and key come from core's specification of the same kind,
 * made by the server for the very task; here their types are taken up again.
 */
export function defineTaskParts<View, Compared, Key>(parts: TaskParts<View, Compared, Key>): AnyTaskParts {
  return parts as unknown as AnyTaskParts;
}
