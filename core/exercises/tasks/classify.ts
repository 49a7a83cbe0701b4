import { z } from "zod";
import { faultClassSchema } from "../../cases/case.ts";
import type { FaultClass } from "../../verdict/verdict.ts";
import { defineTaskKind } from "../taskKind.ts";

const schema = z.object({ key: z.string(), kind: z.literal("classify"), marks: z.number().int().min(1) });
const answerSchema = z.object({ class: faultClassSchema, reason: z.string().max(4000) });

export type ClassifyAnswer = z.infer<typeof answerSchema>;

/** What a sound reason for each class speaks of: when it shows, and what happens then. */
const ideas: Record<FaultClass, readonly RegExp[]> = {
  syntax: [
    /before (it|anything|any line|the program)|not (start|run)|n't (start|run)|never (starts|started|ran|runs)|refus|nothing (ran|runs|was run|is printed)|translat|compil/i,
    /grammar|rule|bracket|quote|colon|indent|spell|missing|not closed/i,
  ],
  runtime: [
    /(while|when|during|as) (it )?(was |is )?(runn|reach)|at run|half|after it (start|print)|had (already )?(start|print)|started|first lines? ran/i,
    /stop|crash|abort|break|exception|traceback|error message|ends early/i,
  ],
  logic: [
    /runs|ran|finish|ends|no (error )?message|without (an? )?(error|message|crash)|does not (stop|crash|end)|never ends/i,
    /wrong|not (what|as)|differ|unexpected|instead|incorrect|should/i,
  ],
};

/** How many of the two ideas of a class a text holds. */
function ideasFound(text: string, faultClass: FaultClass): number {
  return ideas[faultClass].filter((idea) => idea.test(text)).length;
}

/** Suggests whether a reason in words is sound for the class; the teacher decides. */
export function suggestReasonMark(reason: string, right: FaultClass): { share: number; words: string } {
  if (reason.trim() === "") return { share: 0, words: "No reason was given." };
  const own = ideasFound(reason, right);
  const rival =
    (["syntax", "runtime", "logic"] as const)
      .filter((each) => each !== right)
      .sort((one, other) => ideasFound(reason, other) - ideasFound(reason, one))[0] ?? "logic";
  if (own === 2) return { share: 1, words: "It says when the fault shows and what happens then." };
  if (ideasFound(reason, rival) > own) return { share: 0, words: `It speaks of what belongs to a ${rival} error.` };
  if (own === 1)
    return { share: 0.5, words: "It holds one of the two ideas: when the fault shows, and what happens then." };
  return { share: 0, words: "Neither when the fault shows nor what happens then was found in it." };
}

/** Say which class the fault that shows is of, and why. The reason waits for the teacher. */
export const classify = defineTaskKind({
  kind: "classify",
  title: "Which kind of error is it?",
  schema,
  answerSchema,
  usualMarks: () => 2,
  needsRun: false,
  answeredBeforeTrying: false,
  answeredOnProgram: false,
  make: async ({ exercise }, given) =>
    exercise.faults.length === 0
      ? "The kind of the fault cannot be asked: the case has no verdict yet."
      : { ...given, kind: "classify" },
  key: () => null,
  compare: (_, answer) => answer,
  view: () => ({}),
  rule: (task) =>
    `The kind earns ${task.marks - Math.floor(task.marks / 2)}; the reason earns ${Math.floor(task.marks / 2)} and is read by your teacher. The right kind with a reason that belongs to another kind does not earn the mark for the reason.`,
  scheme: (task, exercise) => {
    const fault = exercise.faults[0];
    const forReason = Math.floor(task.marks / 2);
    return [
      { item: "kind", marks: task.marks - forReason, words: fault ? `${fault.class} error` : "no error" },
      {
        item: "reason",
        marks: forReason,
        words: `${fault?.symptom ?? ""}${fault?.message ? ` (${fault.message})` : ""}. Look for: when it shows, and what happens then.`,
      },
    ];
  },
  mark: async (task, answer, { exercise }) => {
    const right = exercise.faults[0]?.class ?? "logic";
    const forReason = Math.floor(task.marks / 2);
    const forKind = task.marks - forReason;
    const kind = {
      item: "kind",
      earned: answer.class === right ? forKind : 0,
      possible: forKind,
      reason: answer.class === right ? "The kind is right." : `It is a ${right} error.`,
    };
    if (answer.reason.trim() === "")
      return [kind, { item: "reason", earned: 0, possible: forReason, reason: "No reason was given." }];
    const suggestion = suggestReasonMark(answer.reason, right);
    return [
      kind,
      {
        item: "reason",
        earned: null,
        possible: forReason,
        suggested: Math.floor(forReason * suggestion.share * 2) / 2,
        reason: suggestion.words,
      },
    ];
  },
});
