import * as z from "zod";
import { shareOut } from "../shareOut.ts";
import { defineTaskKind, type ItemMark, type TaskRule } from "../taskKind.ts";

const schema = z.object({
  ...{ key: z.string(), kind: z.literal("point"), marks: z.number().int().min(1) },
  /** Halves of a mark that each line too many costs; absent: a whole one. */
  lineHalves: z.number().int().min(0).optional(),
});
const answerSchema = z.object({ lines: z.array(z.number().int().positive()).max(5000) });

/** Halves of a mark that each line too many costs. */
const lineHalvesOf = (task: z.output<typeof schema>) => task.lineHalves ?? 2;

const rules: ReadonlyArray<TaskRule<z.output<typeof schema>>> = [
  {
    ...{ name: "lines", says: "Halves of a mark that each line too many costs", to: (task) => task.marks * 2 },
    ...{ read: lineHalvesOf, write: (task, lineHalves) => ({ ...task, lineHalves }) },
  },
];

/** How many faults there are. */
export type PointView = { faults: number };
export type PointAnswer = z.infer<typeof answerSchema>;

/** Point at the faulty line of each fault. One line of a fault is enough, and all of its lines are one press; presses beyond the number of faults cost a mark each. */
export const point = defineTaskKind({
  kind: "point",
  title: "Where is the fault?",
  schema,
  asksFor: "the mended program",
  answerSchema,
  usualMarks: ({ faults }) => faults,
  needsRun: false,
  answeredBeforeTrying: false,
  answeredOnProgram: true,
  make: async ({ exercise }, given) => {
    if (exercise.faults.length === 0) return "The place of the fault cannot be asked: the case has no verdict yet.";
    if (exercise.faults.some((fault) => fault.faultyLines.length === 0))
      return "The place of the fault cannot be asked: no faulty line is marked yet.";
    return { ...given, kind: "point" as const };
  },
  key: () => null,
  model: (_, { faults }) => ({ lines: faults.flatMap((fault) => fault.faultyLines.slice(0, 1)) }),
  worthless: () => [{ lines: [] }],
  compare: (_, answer) => answer,
  view: (_, exercise): PointView => ({ faults: exercise.faults.length }),
  asks: (_, { faults }) => ({
    parts: [
      {
        ...{ says: "", shown: [] },
        fields: faults.map((_fault, at) => ({
          ...{ name: `line ${at + 1}`, rows: 1 },
          says: faults.length === 1 ? "The line of the fault" : `The line of fault ${at + 1}`,
        })),
      },
    ],
    right: Object.fromEntries(
      faults.flatMap(({ faultyLines: [line] }, at) => (line === undefined ? [] : [[`line ${at + 1}`, String(line)]])),
    ),
  }),
  rules,
  rule: (task) =>
    `Point at one line for each fault; where a fault may be pointed at on several lines, all of them together are one. The line where the mistake is counts, which is often not the line that the message names. Each line too many takes ${["nothing", "half a mark", "one mark"][lineHalvesOf(task)] ?? `${lineHalvesOf(task) / 2} marks`} away, never below nothing.`,
  scheme: (task, exercise) => {
    const shares = shareOut(task.marks, exercise.faults.length);
    return exercise.faults.map((fault, index) => ({
      item: `fault ${index + 1}`,
      marks: shares[index] ?? 0,
      words: `line ${fault.faultyLines.join(" or ")}${fault.reportedLine ? ` (the tool names line ${fault.reportedLine})` : ""}`,
    }));
  },
  mark: async (task, answer, { exercise }) => {
    const shares = shareOut(task.marks, exercise.faults.length);
    const lines = new Set(answer.lines);
    // Several lines of one fault are one press; what is on none is one each.
    const presses =
      exercise.faults.filter((fault) => fault.faultyLines.some((line) => lines.has(line))).length +
      [...lines].filter((line) => exercise.faults.every((fault) => !fault.faultyLines.includes(line))).length;
    let surplus = (Math.max(0, presses - exercise.faults.length) * lineHalvesOf(task)) / 2;
    const marks = exercise.faults.map((fault, index): ItemMark => {
      const found = fault.faultyLines.some((line) => lines.has(line));
      const possible = shares[index] ?? 0;
      return {
        item: `fault ${index + 1}`,
        earned: found ? possible : 0,
        possible,
        reason: found ? "The line is right." : `The mistake is on line ${fault.faultyLines.join(" or ")}.`,
      };
    });
    for (const mark of marks) {
      const cost = Math.min(surplus, mark.earned ?? 0);
      if (cost === 0) continue;
      surplus -= cost;
      mark.earned = (mark.earned ?? 0) - cost;
      mark.reason += ` ${cost} off for lines too many.`;
    }
    return marks;
  },
});
