import type { z } from "zod";
import type { Outcome } from "../outcome/outcome.ts";
import type { ExerciseCheck, ExerciseContent, Task } from "./exercise.ts";

/** One item of a mark scheme: what is asked for, what it earns, and the words for the teacher's copy. */
export type SchemeItem = { item: string; marks: number; words: string };

/** The marks for one item of one answer. `earned` null: it waits for the teacher, with `suggested`. */
export type ItemMark = { item: string; earned: number | null; possible: number; suggested?: number; reason: string };

/** What a run of a program with a check gave, or why it tells nothing, in words for a person. */
export type CheckRun = { outcome: Outcome; passes: boolean } | { notRun: string };

/** What marking may ask for: the exercise, and real runs of a program text. */
export type MarkContext = { exercise: ExerciseContent; run: (program: string, check: ExerciseCheck) => Promise<CheckRun> };

/** A kind of task, one file each under tasks/. `view` is all that a student may see before release. */
export type TaskKindSpecification<KindTask, View, Answer> = {
  kind: string;
  title: string;
  schema: z.ZodType<KindTask>;
  answerSchema: z.ZodType<Answer>;
  view: (task: KindTask, exercise: ExerciseContent) => View;
  /** What the student is told before: what earns marks. */
  rule: (task: KindTask) => string;
  scheme: (task: KindTask, exercise: ExerciseContent) => SchemeItem[];
  /** Marks an answer; it is never called without one. The items' possible marks add up to the task's marks. */
  mark: (task: KindTask, answer: Answer, context: MarkContext) => Promise<ItemMark[]>;
};

/** The same with its types closed over, so that all kinds stand in one list. Each call parses what it is given. */
export type TaskKind = {
  kind: string;
  title: string;
  accepts: (task: Task) => boolean;
  parseAnswer: (answer: unknown) => unknown;
  view: (task: Task, exercise: ExerciseContent) => unknown;
  rule: (task: Task) => string;
  scheme: (task: Task, exercise: ExerciseContent) => SchemeItem[];
  /** `answer` null: nothing was handed in for this task. */
  mark: (task: Task, answer: unknown, context: MarkContext) => Promise<ItemMark[]>;
};

/** Closes a specification for the list. An answer that is not of the kind's form counts as none. */
export function defineTaskKind<KindTask, View, Answer>(specification: TaskKindSpecification<KindTask, View, Answer>): TaskKind {
  const read = (task: Task): KindTask => specification.schema.parse(task);
  return {
    kind: specification.kind,
    title: specification.title,
    accepts: (task) => specification.schema.safeParse(task).success,
    parseAnswer: (answer) => {
      const parsed = specification.answerSchema.safeParse(answer);
      return parsed.success ? parsed.data : null;
    },
    view: (task, exercise) => specification.view(read(task), exercise),
    rule: (task) => specification.rule(read(task)),
    scheme: (task, exercise) => specification.scheme(read(task), exercise),
    mark: async (task, answer, context) => {
      const parsed = specification.answerSchema.safeParse(answer);
      if (!parsed.success)
        return specification.scheme(read(task), context.exercise).map((item) => ({ item: item.item, earned: 0, possible: item.marks, reason: "No answer." }));
      return specification.mark(read(task), parsed.data, context);
    },
  };
}
