import * as z from "zod";
import { consoleText } from "../../outcome/outcome.ts";
import { type FieldsAnswer, type FieldsCompared, type FieldsView, fieldsAnswerSchema } from "../asked.ts";
import { defineTaskKind, type ItemMark, type MarkContext } from "../taskKind.ts";

const schema = z.object({
  ...{ key: z.string(), kind: z.literal("input"), marks: z.number().int().min(1) },
  /** An input that shows the fault, which a check has. */
  shows: z.string(),
});

const fields: FieldsView["fields"] = [
  {
    name: "input",
    says: "What has to be typed in so that the mistake shows? A line for each input",
    rows: 4,
    code: true,
  },
];

/** What both programs do with an input; null where a run told nothing. */
async function both({ exercise, run }: MarkContext, input: string) {
  const check = {
    input,
    expected: null,
    kind: "normal" as const,
    ignorePrompts: false,
    files: exercise.checks[0]?.files ?? {},
  };
  const faulty = await run(exercise.program, check);
  const right = await run(exercise.mended ?? "", check);
  return { faulty, right };
}

/** Find an input with which the program does something else than the mended one: checked by running both. */
export const input = defineTaskKind({
  kind: "input",
  title: "Which input shows the fault?",
  schema,
  asksFor: "the mended program",
  answerSchema: fieldsAnswerSchema,
  usualMarks: () => 0,
  needsRun: true,
  answeredBeforeTrying: true,
  answeredOnProgram: false,
  make: async (context, { key, marks }) => {
    const { exercise } = context;
    if (exercise.mended === null) return "An input that shows the fault cannot be asked: the case is not mended yet.";
    const typed = exercise.checks.filter((check) => check.input.trim() !== "");
    if (typed.length === 0) return "An input that shows the fault cannot be asked: the program reads nothing.";
    if (exercise.faults[0]?.class === "syntax")
      return "An input that shows the fault cannot be asked: the program does not start with any.";
    for (const check of typed) {
      const { faulty, right } = await both(context, check.input);
      if ("notRun" in faulty || "notRun" in right || !right.outcome.finished) continue;
      if (differ(faulty.outcome, right.outcome)) return { key, kind: "input", marks, shows: check.input };
    }
    return "An input that shows the fault cannot be asked: no check has one.";
  },
  view: (): FieldsView => ({ shown: "", fields }),
  rule: () => "It is run with what you give, and so is the mended program: if they differ, it earns all marks.",
  scheme: (task) => [{ item: "input", marks: task.marks, words: `for instance:\n${task.shows}` }],
  key: () => null,
  model: ({ shows }): FieldsAnswer => ({ texts: { input: shows } }),
  worthless: (): FieldsAnswer[] => [{ texts: {} }],
  mark: async (task, { texts }, context): Promise<ItemMark[]> => {
    const give = (earned: number | null, reason: string): ItemMark[] => [
      { item: "input", possible: task.marks, earned, reason },
    ];
    const typed = texts.input ?? "";
    if (typed.trim() === "") return give(0, "Nothing was written.");
    const { faulty, right } = await both(context, `${typed.replace(/\r\n/g, "\n").replace(/\n*$/, "")}\n`);
    if ("notRun" in faulty) return give(null, `This waits for the teacher: ${faulty.notRun}`);
    if ("notRun" in right) return give(null, `This waits for the teacher: ${right.notRun}`);
    if (!right.outcome.finished || right.outcome.inputRanOut)
      return give(0, "The mended program does not come to its end with this, so it says nothing of the fault.");
    return differ(faulty.outcome, right.outcome)
      ? give(task.marks, "With this the program does something else than the mended one.")
      : give(0, "With this the program does the same as the mended one.");
  },
  compare: (_, { texts }): FieldsCompared => ({ fields, texts }),
});

type Ended = { finished: boolean; console: Parameters<typeof consoleText>[0] };

function differ(one: Ended, other: Ended): boolean {
  return one.finished !== other.finished || consoleText(one.console, ["out"]) !== consoleText(other.console, ["out"]);
}
