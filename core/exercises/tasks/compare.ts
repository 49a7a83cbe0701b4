import * as z from "zod";
import { findLanguage } from "../../languages/languages.ts";
import { type ConsolePiece, consolePieceSchema, consoleText, stoppedBySchema } from "../../outcome/outcome.ts";
import { askedProgram } from "../askedProgram.ts";
import type { ExerciseContent } from "../exercise.ts";
import { markOutput, outputParts } from "../outputMarking.ts";
import { definePartsKind } from "../partsKind.ts";
import { endingOf } from "../seen.ts";

const schema = z.object({
  ...{ key: z.string(), kind: z.literal("compare"), marks: z.number().int().min(3) },
  ...{ program: z.enum(["faulty", "mended"]), console: z.array(consolePieceSchema), stoppedBy: stoppedBySchema },
});
type CompareTask = z.infer<typeof schema>;

const endings = [
  { value: "none", words: "ends by itself" },
  { value: "fault", words: "stops with an error message" },
] as const;

const outOf = (console: readonly ConsolePiece[]) => consoleText(console, ["out"]);

function markedOutput(task: CompareTask, written: string, exercise: ExerciseContent) {
  const program = (task.program === "mended" ? exercise.mended : null) ?? exercise.program;
  const parts = outputParts(findLanguage(exercise.language), program, task.console);
  return markOutput(parts, written, exercise.faults[0]?.message ?? "");
}

/** Predict, run, compare: what was expected is kept before what comes out is shown. */
export const compare = definePartsKind<CompareTask>({
  kind: "compare",
  title: "Predict, run, compare",
  schema,
  shows: "what comes out",
  needsRun: true,
  answeredBeforeTrying: true,
  make: async ({ exercise, run }, { key, marks }) => {
    const asked = askedProgram(exercise);
    if (typeof asked === "string") return asked;
    const [check] = exercise.checks;
    if (!check) return "Predict and compare cannot be asked: there is no check.";
    const ran = await run(asked.text, check);
    if ("notRun" in ran) return `Predict and compare cannot be asked: ${ran.notRun}`;
    const { console, stoppedBy } = ran.outcome;
    if (stoppedBy !== "none" && stoppedBy !== "fault")
      return "Predict and compare is not asked: this run does not end.";
    return {
      ...{ key, kind: "compare", marks: Math.max(3, marks), program: asked.program },
      ...{ console: [...console], stoppedBy },
    };
  },
  parts: (task, exercise) => [
    {
      says: "Write down what you expect, before the program runs.",
      shown: [
        ...(task.program === "mended" && exercise.mended !== null
          ? [{ says: "This is about the mended program:", text: exercise.mended, isProgram: true }]
          : []),
        ...((exercise.checks[0]?.input ?? "") === ""
          ? []
          : [{ says: "Typed in:", text: (exercise.checks[0]?.input ?? "").trimEnd() }]),
      ],
      fields: [
        { name: "output", says: "It prints", rows: 4, code: true },
        { name: "ending", says: "The run", rows: 1, options: endings },
      ],
    },
    {
      says: "This is what came out.",
      shown: [{ says: endingOf(task), text: consoleText(task.console, ["out", "in", "err"]).trimEnd() }],
      fields: [{ name: "differs", says: "Where is it other than you expected, and why?", rows: 3 }],
    },
  ],
  besideRight: { differs: "nothing" },
  right: (task) => ({ output: outOf(task.console), ending: task.stoppedBy }),
  rule: (task) =>
    `How the run ends earns 1, the output ${task.marks - 2} by the share of its values that are right and in order, in halves. What you say when you compare is read by your teacher and earns 1.`,
  scheme: (task) => [
    { item: "output", marks: task.marks - 2, words: outOf(task.console) || "(nothing)" },
    { item: "ending", marks: 1, words: endings.find(({ value }) => value === task.stoppedBy)?.words ?? "" },
    {
      item: "comparison",
      marks: 1,
      words: "Names what was expected otherwise, and where in the program it comes from.",
    },
  ],
  mark: (task, texts, { exercise }) => {
    const possible = task.marks - 2;
    const written = texts.output ?? "";
    const isGiven = written.trim() !== "" || (texts.ending ?? "") !== "";
    const marked = markedOutput(task, written, exercise);
    const halves = isGiven ? Math.floor(possible * marked.share * 2 + 1e-9) / 2 : 0;
    const ends = texts.ending === task.stoppedBy;
    const said = (texts.differs ?? "").trim();
    return [
      {
        ...{ item: "output", possible, earned: marked.wordsDiffer ? Math.max(0, halves - 0.5) : halves },
        reason: isGiven ? marked.reason : "No answer.",
      },
      { item: "ending", possible: 1, earned: ends ? 1 : 0, reason: ends ? "The ending is right." : endingOf(task) },
      {
        ...{ item: "comparison", possible: 1, earned: said === "" ? 0 : null },
        reason: said === "" ? "Nothing was written." : "This is read by the teacher.",
      },
    ];
  },
});
