import type { z } from "zod";
import type { Outcome, StepChange } from "../outcome/outcome.ts";
import type { Trace } from "../trace/trace.ts";
import type { FaultClass } from "../verdict/verdict.ts";
import { type AskedInAll, askedByView } from "./askedInAll.ts";
import type { ExerciseCheck, ExerciseContent, Task } from "./exercise.ts";
import { marksWithGiven, rulesForAll, saysForAll, withItemForAll } from "./givenToAll.ts";
import type { ItemMark, SchemeItem, ShownRule } from "./itemMark.ts";

export type { ItemMark, SchemeItem, ShownRule } from "./itemMark.ts";

/**
 * What a run of a program with a check gave, or why it tells nothing, in words for a person. `unknown`: such programs do
 * run here, but this run was refused or broke off; another try may tell more.
 */
export type CheckRun = { outcome: Outcome; passes: boolean } | { notRun: string; unknown: boolean };

/** What marking may ask for: the exercise, and real runs of a program text. */
export type MarkContext = {
  exercise: ExerciseContent;
  run: (program: string, check: ExerciseCheck) => Promise<CheckRun>;
};

/** What making a task may ask for: the same, and recordings. `check` undefined: nothing is typed in. */
export type MakeContext = MarkContext & {
  /** `change`: what is changed at a step of the recording. */
  record: (
    program: string,
    check: ExerciseCheck | undefined,
    change?: StepChange,
  ) => Promise<{ trace: Trace } | { notRun: string }>;
};

/** What is known of a case before an exercise is made of it: how many faults, and whether all are mended. */
export type CaseFacts = { faults: number; mended: boolean };

/** What a task may show that is the answer to another. */
export type Revealed = "the mended program" | "what comes out";

/** A rule of marking that may be changed after a sheet was set: a whole number from 0 to `to`, or 0 and 1 for no and yes. */
export type TaskRule<KindTask> = {
  name: string;
  says: string;
  isYesOrNo?: boolean;
  to: (task: KindTask) => number;
  read: (task: KindTask) => number;
  write: (task: KindTask, value: number) => KindTask;
};

/**
 * A kind of task, whole, one file each under tasks/. What the pages show of it lies in app/tasks/, a folder of the same
 * name.
 */
export type TaskKindSpecification<KindTask, View, Answer, Key, Compared> = {
  kind: string;
  title: string;
  schema: z.ZodType<KindTask>;
  answerSchema: z.ZodType<Answer>;
  /** Marks proposed when an exercise is made; 0: the kind is offered and not proposed. */
  usualMarks: (facts: CaseFacts) => number;
  /** Whether it is about a run: for a program that does not start, it is asked of the mended one. */
  needsRun: boolean;
  /** Whether it is answered before the program is tried: after the first try its answer stays as it is. */
  answeredBeforeTrying: boolean;
  /** Whether it is answered on the program itself, whose form shows it; the page does not show it a second time then. */
  answeredOnProgram: boolean;
  /** What of the answers to other kinds it shows, and what it asks for: one that shows it stands not beside one that asks for it. */
  shows?: Revealed;
  asksFor?: Revealed;
  /** Makes a task with its key from real runs, or says in words why it cannot be asked of this program. */
  make: (context: MakeContext, given: { key: string; marks: number }) => Promise<KindTask | string>;
  /** Changes a task by what a teacher chose in its form (fields of any kind, all values of each), or says why not. */
  change?: (context: MakeContext, task: KindTask, fields: unknown) => Promise<KindTask | string>;
  /** All that a student may see before release; `answer`: what was saved so far, where what is seen depends on it. */
  view: (task: KindTask, exercise: ExerciseContent, answer?: Answer) => View;
  /** What becomes of an answer that is saved anew over one that was saved before; absent: it takes its place. */
  keep?: (task: KindTask, exercise: ExerciseContent, before: Answer, given: Answer) => Answer;
  /** What the student is told before: what earns marks. */
  /** What it asks for files of other programs; absent where its view has questions, fields or parts, which say it. */
  asks?: (task: KindTask, exercise: ExerciseContent) => AskedInAll;
  rule: (task: KindTask) => string;
  scheme: (task: KindTask, exercise: ExerciseContent) => SchemeItem[];
  /** What the teacher's copy shows beside the scheme. */
  key: (task: KindTask, exercise: ExerciseContent) => Key;
  /** Marks an answer; it is never called without one. The items' possible marks add up to the task's marks. */
  mark: (task: KindTask, answer: Answer, context: MarkContext) => Promise<ItemMark[]>;
  /** An answer laid beside the key, for whoever marks. */
  compare: (task: KindTask, answer: Answer, exercise: ExerciseContent) => Compared;
  /** The answer that earns everything a program can give; absent where only a person can tell. */
  model?: (task: KindTask, exercise: ExerciseContent) => Answer;
  /** Answers that must earn nothing: blank ones, and such as only look like one. */
  worthless?: (task: KindTask, exercise: ExerciseContent) => Answer[];
  /** Which class an answer takes the fault for, where that is asked; by default nothing is said of classes. */
  tookFor?: (task: KindTask, answer: Answer, exercise: ExerciseContent) => TookFor | null;
  /** Rules of its marking that may be changed after it was set; by default none. */
  rules?: ReadonlyArray<TaskRule<KindTask>>;
  /** What it adds to the measure of how hard an exercise is, with the reason; by default nothing. */
  difficulty?: (task: KindTask) => { points: number; words: string };
};

/** A class that a fault was taken for, and the right one. */
export type TookFor = { given: FaultClass; right: FaultClass };

/** The same with its types closed over, so that all kinds stand in one list. Each call parses what it is given. */
export type TaskKind = Pick<
  TaskKindSpecification<unknown, unknown, unknown, unknown, unknown>,
  "kind" | "title" | "usualMarks" | "needsRun" | "answeredBeforeTrying" | "answeredOnProgram"
> & {
  shows: Revealed | null;
  asksFor: Revealed | null;
  parseAnswer: (answer: unknown) => unknown;
  answerSchema: z.ZodType;
  make: (context: MakeContext, given: { key: string; marks: number }) => Promise<Task | string>;
  /** Null where a task of this kind has nothing to be changed. */
  change: ((context: MakeContext, task: Task, fields: unknown) => Promise<Task | string>) | null;
  view: (task: Task, exercise: ExerciseContent, answer?: unknown) => unknown;
  keep: (task: Task, exercise: ExerciseContent, before: unknown, given: unknown) => unknown;
  asks: (task: Task, exercise: ExerciseContent) => AskedInAll;
  rule: (task: Task) => string;
  scheme: (task: Task, exercise: ExerciseContent) => SchemeItem[];
  key: (task: Task, exercise: ExerciseContent) => unknown;
  /** `answer` null: nothing was handed in for this task. */
  mark: (task: Task, answer: unknown, context: MarkContext) => Promise<ItemMark[]>;
  /** Null where there is no answer. */
  compare: (task: Task, answer: unknown, exercise: ExerciseContent) => unknown;
  model: ((task: Task, exercise: ExerciseContent) => unknown) | null;
  /** Null where the answer is none, or nothing is said of classes. */
  tookFor: (task: Task, answer: unknown, exercise: ExerciseContent) => TookFor | null;
  worthless: (task: Task, exercise: ExerciseContent) => unknown[];
  /** What of its marking may be changed after it was set: rules of its kind, and items that everyone is to earn. */
  rules: (task: Task, exercise: ExerciseContent) => ShownRule[];
  withRule: (task: Task, name: string, value: number) => Task;
  difficulty: (task: Task) => { points: number; words: string } | null;
};

/** Closes a specification for the list. An answer that is not of the kind's form counts as none. */
export function defineTaskKind<KindTask extends Task, View, Answer, Key, Compared>(
  own: TaskKindSpecification<KindTask, View, Answer, Key, Compared>,
): TaskKind {
  const read = (task: Task): KindTask => own.schema.parse(task);
  const { change, difficulty, keep, model, rules = [], tookFor, worthless } = own;
  return {
    kind: own.kind,
    title: own.title,
    usualMarks: own.usualMarks,
    needsRun: own.needsRun,
    answeredBeforeTrying: own.answeredBeforeTrying,
    answeredOnProgram: own.answeredOnProgram,
    ...{ shows: own.shows ?? null, asksFor: own.asksFor ?? null },
    answerSchema: own.answerSchema,
    parseAnswer: (answer) => own.answerSchema.safeParse(answer).data ?? null,
    make: own.make,
    change: change ? (context, task, fields) => change(context, read(task), fields) : null,
    view: (task, exercise, answer) => own.view(read(task), exercise, own.answerSchema.safeParse(answer).data),
    keep: (task, exercise, before, given) => {
      const [was, now] = [own.answerSchema.safeParse(before), own.answerSchema.safeParse(given)];
      return keep && was.success && now.success ? keep(read(task), exercise, was.data, now.data) : given;
    },
    asks: (task, exercise) =>
      own.asks?.(read(task), exercise) ??
      askedByView(own.view(read(task), exercise), own.model?.(read(task), exercise) ?? null),
    rule: (task) => own.rule(read(task)) + saysForAll(task),
    scheme: (task, exercise) => own.scheme(read(task), exercise),
    key: (task, exercise) => own.key(read(task), exercise),
    model: model ? (task, exercise) => model(read(task), exercise) : null,
    tookFor: (task, answer, exercise) => {
      const parsed = own.answerSchema.safeParse(answer);
      return parsed.success ? (tookFor?.(read(task), parsed.data, exercise) ?? null) : null;
    },
    worthless: (task, exercise) => worthless?.(read(task), exercise) ?? [],
    rules: (task, exercise) => [
      ...rules.map(({ name, says, isYesOrNo, to, read: value }) => ({
        ...{ name, says, isYesOrNo: isYesOrNo === true, to: to(read(task)), value: value(read(task)) },
      })),
      ...rulesForAll(task, own.scheme(read(task), exercise)),
    ],
    withRule: (task, name, value) => {
      const given = withItemForAll(task, name, value);
      const rule = rules.find((each) => each.name === name);
      return given ?? (rule ? { ...task, ...rule.write(read(task), value) } : task);
    },
    difficulty: (task) => difficulty?.(read(task)) ?? null,
    mark: async (task, answer, context) => {
      const parsed = own.answerSchema.safeParse(answer);
      if (parsed.success) return marksWithGiven(task, await own.mark(read(task), parsed.data, context));
      const scheme = own.scheme(read(task), context.exercise);
      return scheme.map(({ item, marks }) => ({ item, earned: 0, possible: marks, reason: "No answer." }));
    },
    compare: (task, answer, exercise) => {
      const parsed = own.answerSchema.safeParse(answer);
      return parsed.success ? own.compare(read(task), parsed.data, exercise) : null;
    },
  };
}
