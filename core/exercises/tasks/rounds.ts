import * as z from "zod";
import { type Task, taskSchema } from "../exercise.ts";
import { defineTaskKind, type ItemMark, type MakeContext, type TaskKind } from "../taskKind.ts";
import { mend } from "./mend.ts";
import { point } from "./point.ts";
import { traceTable } from "./trace.ts";

/** The steps, each a task of another kind. */
const kinds: readonly TaskKind[] = [traceTable, point, mend, traceTable];
const schema = z.object({
  ...{ key: z.string(), kind: z.literal("rounds"), marks: z.number().int().min(4) },
  steps: z.array(taskSchema).length(kinds.length),
});
type RoundsTask = z.infer<typeof schema>;
const answerSchema = z.object({
  /** An answer for each step, as its kind has it. */
  steps: z.array(z.unknown()).max(kinds.length),
  closed: z.number().int().min(0).max(kinds.length).default(0),
});
type RoundsAnswer = z.infer<typeof answerSchema>;

/** The steps that a student has come to, each as its kind shows it; `of`: how many there are. */
export type RoundsView = { closed: number; of: number; steps: Array<{ kind: string; title: string; view: unknown }> };
/** What the teacher’s copy shows of each step; null where its scheme says all. */
export type RoundsKey = { steps: Array<{ title: string; key: unknown }> };
export type RoundsCompared = { steps: Array<{ kind: string; title: string; compared: unknown }> };

/** Pointing earns 1 for each fault, mending a quarter, the tables share the rest. */
function sharesOf(marks: number, faults: number): number[] {
  const mending = Math.max(1, Math.floor(marks / 4));
  const rest = Math.max(2, marks - faults - mending);
  return [Math.ceil(rest / 2), Math.max(1, faults), mending, Math.max(1, Math.floor(rest / 2))];
}

/** Which check the program fails first, from 0. */
async function firstThatFails({ exercise, run }: MakeContext): Promise<number> {
  for (const [at, check] of exercise.checks.entries()) {
    const ran = await run(exercise.program, check);
    if ("outcome" in ran && !ran.passes) return at;
  }
  return 0;
}

const titles = ["Trace it as it is", "Find the line", "Mend it", "Trace it again, mended"];
const kindOf = (at: number): TaskKind => kinds[at] as TaskKind;
const itemOf = (at: number, item: string) => `${at + 1}: ${item}`;

/** Trace, find, mend, trace again: one task in steps, each seen when the one before it was given. */
export const rounds = defineTaskKind<RoundsTask, RoundsView, RoundsAnswer, RoundsKey, RoundsCompared>({
  kind: "rounds",
  title: "Trace, find, mend, trace again",
  schema,
  asksFor: "the mended program",
  answerSchema,
  usualMarks: () => 0,
  needsRun: true,
  answeredBeforeTrying: false,
  answeredOnProgram: false,
  make: async (context, { key, marks }) => {
    const { exercise } = context;
    if (exercise.mended === null || exercise.faults[0]?.class === "syntax")
      return "Trace and trace again is not asked: the program does not start, or is not mended yet.";
    // Both tables are of the run that shows the fault.
    const check = [String(await firstThatFails(context))];
    const all: Task[] = [];
    const shares = sharesOf(marks, exercise.faults.length);
    for (const [at, kind] of kinds.entries()) {
      const made = await kind.make(context, { key: `${key}-${at + 1}`, marks: shares[at] ?? 1 });
      if (typeof made === "string") return made;
      const fields = { program: [at === 0 ? "faulty" : "mended"], check, linesGiven: ["yes"] };
      const asked = kind.change ? await kind.change(context, made, fields) : made;
      if (typeof asked === "string") return asked;
      all.push(asked);
    }
    return { key, kind: "rounds", marks: all.reduce((sum, step) => sum + step.marks, 0), steps: all };
  },
  view: (task, exercise, answer): RoundsView => {
    const closed = Math.min(answer?.closed ?? 0, kinds.length - 1);
    const shown = task.steps.slice(0, closed + 1);
    return {
      ...{ closed, of: kinds.length },
      steps: shown.map((step, at) => ({
        kind: step.kind,
        title: titles[at] ?? "",
        view: kindOf(at).view(step, exercise),
      })),
    };
  },
  asks: (task, exercise) => {
    const steps = task.steps.map((step, at) => ({ at, ...kindOf(at).asks(step, exercise) }));
    return {
      parts: steps.flatMap(({ at, parts }) =>
        parts.map((part) => ({
          ...part,
          says: [`${at + 1}. ${titles[at]}.`, part.says].filter(Boolean).join(" "),
          // A later table is of the mended program, which is the answer to the step before it.
          shown: part.shown.filter(({ isProgram }) => !isProgram),
          fields: part.fields.map((field) => ({ ...field, name: `${at + 1} ${field.name}` })),
        })),
      ),
      right: Object.fromEntries(
        steps.flatMap(({ at, right }) => Object.entries(right).map(([name, text]) => [`${at + 1} ${name}`, text])),
      ),
    };
  },
  keep: (_task, _exercise, before, given) => ({
    steps: Array.from({ length: Math.max(before.steps.length, given.steps.length) }, (_, at) =>
      at < before.closed ? before.steps[at] : given.steps[at],
    ),
    closed: Math.min(kinds.length - 1, Math.max(before.closed, Math.min(given.closed, before.closed + 1))),
  }),
  rule: (task) =>
    `Each step earns its own marks: ${task.steps.map((step, at) => `${(titles[at] ?? "").toLowerCase()} ${step.marks}`).join(", ")}. What was given stays as it is when you go on.`,
  scheme: (task, exercise) =>
    task.steps.flatMap((step, at) =>
      kindOf(at)
        .scheme(step, exercise)
        .map((item) => ({ ...item, item: itemOf(at, item.item) })),
    ),
  key: (task, exercise): RoundsKey => ({
    steps: task.steps.map((step, at) => ({ title: titles[at] ?? "", key: kindOf(at).key(step, exercise) })),
  }),
  model: (task, exercise) => ({
    steps: task.steps.map((step, at) => kindOf(at).model?.(step, exercise) ?? null),
    closed: kinds.length - 1,
  }),
  worthless: (): RoundsAnswer[] => [{ steps: [], closed: 0 }],
  mark: async (task, answer, context) => {
    const marks: ItemMark[] = [];
    for (const [at, step] of task.steps.entries())
      for (const mark of await kindOf(at).mark(step, answer.steps[at] ?? null, context))
        marks.push({ ...mark, item: itemOf(at, mark.item) });
    return marks;
  },
  compare: (task, answer, exercise): RoundsCompared => ({
    steps: task.steps.map((step, at) => ({
      ...{ kind: step.kind, title: titles[at] ?? "" },
      compared: kindOf(at).compare(step, answer.steps[at] ?? null, exercise),
    })),
  }),
});
