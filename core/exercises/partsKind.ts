import type { z } from "zod";
import { type PartsAnswer, type PartsCompared, type PartsView, partsAnswerSchema, type TaskPart } from "./asked.ts";
import type { ExerciseContent, Task } from "./exercise.ts";
import {
  defineTaskKind,
  type ItemMark,
  type MakeContext,
  type MarkContext,
  type Revealed,
  type SchemeItem,
} from "./taskKind.ts";

/** What a kind that asks in parts says of itself. */
export type PartsKindSpecification<KindTask extends Task> = {
  kind: KindTask["kind"];
  title: string;
  schema: z.ZodType<KindTask>;
  needsRun?: boolean;
  answeredBeforeTrying?: boolean;
  shows?: Revealed;
  asksFor?: Revealed;
  make: (context: MakeContext, given: { key: string; marks: number }) => Promise<KindTask | string>;
  /**
   * What is shown and asked, part by part. What a later part shows is seen when the part before it was given, and what was
   * given stays as it is then.
   */
  parts: (task: KindTask, exercise: ExerciseContent, texts: Readonly<Record<string, string>>) => TaskPart[];
  /** What is right in the fields of which that is known, for whoever reads an answer. */
  right: (task: KindTask, exercise: ExerciseContent) => Record<string, string>;
  /** What the answer that earns everything has beside `right`; null: no such answer can be told. */
  besideRight?: Record<string, string> | null;
  rule: (task: KindTask) => string;
  scheme: (task: KindTask, exercise: ExerciseContent) => SchemeItem[];
  mark: (
    task: KindTask,
    texts: Readonly<Record<string, string>>,
    context: MarkContext,
  ) => Promise<ItemMark[]> | ItemMark[];
  worthless?: (task: KindTask, exercise: ExerciseContent) => Array<Record<string, string>>;
  difficulty?: (task: KindTask) => { points: number; words: string };
};

/** A kind of task that asks in one or more parts, each with what it shows and its fields. */
export function definePartsKind<KindTask extends Task>(own: PartsKindSpecification<KindTask>) {
  return defineTaskKind<KindTask, PartsView, PartsAnswer, null, PartsCompared>({
    ...{ kind: own.kind, title: own.title, schema: own.schema, answerSchema: partsAnswerSchema },
    ...{ usualMarks: () => 0, needsRun: own.needsRun ?? false, answeredOnProgram: false },
    answeredBeforeTrying: own.answeredBeforeTrying ?? false,
    ...(own.shows ? { shows: own.shows } : {}),
    ...(own.asksFor ? { asksFor: own.asksFor } : {}),
    make: own.make,
    view: (task, exercise, answer) => viewOf(own.parts(task, exercise, answer?.texts ?? {}), answer?.closed ?? null),
    keep: (task, exercise, before, given) => keepClosed(own.parts(task, exercise, before.texts), before, given),
    rule: own.rule,
    scheme: own.scheme,
    key: () => null,
    mark: async (task, { texts }, context) => own.mark(task, texts, context),
    compare: (task, { texts }, exercise): PartsCompared => ({
      parts: own.parts(task, exercise, texts),
      ...{ texts, right: own.right(task, exercise) },
    }),
    ...(own.besideRight === null
      ? {}
      : {
          model: (task: KindTask, exercise: ExerciseContent) => ({
            texts: { ...own.right(task, exercise), ...own.besideRight },
            closed: 0,
          }),
        }),
    worthless: (task, exercise) =>
      [{}, ...(own.worthless?.(task, exercise) ?? [])].map((texts) => ({ texts, closed: 0 })),
    ...(own.difficulty ? { difficulty: own.difficulty } : {}),
  });
}

/**
 * The parts as a student sees them who has given the first `closed` of them: those behind the open one show nothing yet, and ask
 * nothing that may hang on what was given. Null: nothing was given, as on paper, where all is asked.
 */
function viewOf(parts: readonly TaskPart[], closed: number | null): PartsView {
  const open = Math.min(closed ?? 0, parts.length - 1);
  return {
    closed: open,
    parts: parts.map((part, index) => {
      if (index <= open) return part;
      return { ...part, shown: [], fields: closed === null ? part.fields : [] };
    }),
  };
}

/** What is kept of an answer that is saved anew: the fields of parts that were given before stay, and none is opened again. */
function keepClosed(parts: readonly TaskPart[], before: PartsAnswer, given: PartsAnswer): PartsAnswer {
  const fixed = parts.slice(0, before.closed).flatMap(({ fields }) => fields.map(({ name }) => name));
  const texts = { ...given.texts };
  for (const name of fixed) {
    const was = before.texts[name];
    if (was === undefined) delete texts[name];
    else texts[name] = was;
  }
  // One part after the other: what a part shows is seen only when the one before it was given.
  return {
    texts,
    closed: Math.min(parts.length - 1, Math.max(before.closed, Math.min(given.closed, before.closed + 1))),
  };
}

/** A mark for what is chosen or written in fields with one right text each: a share of the marks, in halves, rounded down. */
export function sharedMark(
  given: { item: string; possible: number; reason?: string },
  hits: number,
  of: number,
): ItemMark {
  const share = of === 0 ? 0 : Math.max(0, hits) / of;
  return {
    ...{ item: given.item, possible: given.possible },
    earned: Math.floor(given.possible * share * 2 + 1e-9) / 2,
    reason: given.reason ?? `${Math.max(0, hits)} of ${of} are right.`,
  };
}
