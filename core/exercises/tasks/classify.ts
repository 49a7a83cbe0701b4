import * as z from "zod";
import { faultClassSchema } from "../../cases/case.ts";
import { findLanguage } from "../../languages/languages.ts";
import { lineTexts } from "../../source/lines.ts";
import type { AskedInAll } from "../askedInAll.ts";
import type { ExerciseContent } from "../exercise.ts";
import { type ReasonFacts, suggestReason } from "../reasonMarks.ts";
import { defineTaskKind } from "../taskKind.ts";

const schema = z.object({ key: z.string(), kind: z.literal("classify"), marks: z.number().int().min(1) });
const answerSchema = z.object({ class: faultClassSchema, reason: z.string().max(4000) });

export type ClassifyAnswer = z.infer<typeof answerSchema>;

/** Words of English that are no sign of a program's name. */
const plainWords = new Set(
  "a an i in is it of on to no not and or the this that for if at by be so as we my".split(" "),
);

/** What of an exercise's program a reason may speak of. */
function factsOf(exercise: ExerciseContent): ReasonFacts {
  const language = findLanguage(exercise.language);
  const names = new Set<string>();
  for (const token of language?.tokens(exercise.program) ?? []) {
    const isName = token.kind === "name" && !language?.ownWords.has(token.text.toLowerCase());
    if ((isName || token.kind === "number") && !plainWords.has(token.text.toLowerCase())) names.add(token.text);
  }
  // A value that the check types in or wants is one of this program, too.
  for (const { input, expected } of exercise.checks)
    for (const value of `${input} ${expected ?? ""}`.match(/\d+(?:\.\d+)?/g) ?? []) names.add(value);
  return { names, lines: lineTexts(exercise.program).length };
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
  model: (_, { faults }) => ({ class: faults[0]?.class ?? "logic", reason: "?" }),
  compare: (_, answer) => answer,
  tookFor: (_, answer, { faults: [fault] }) => (fault ? { given: answer.class, right: fault.class } : null),
  view: () => ({}),
  asks: (_, { faults: [fault] }): AskedInAll => ({
    parts: [
      {
        ...{ says: "", shown: [] },
        fields: [
          {
            ...{ name: "class", says: "Which kind of error is it?", rows: 1 },
            options: faultClassSchema.options.map((value) => ({ value, words: `${value} error` })),
          },
          { name: "reason", says: "Why is it that kind?", rows: 3 },
        ],
      },
    ],
    right: fault ? { class: fault.class } : {},
  }),
  rule: (task) =>
    `The kind earns ${task.marks - Math.floor(task.marks / 2)}; the reason earns ${Math.floor(task.marks / 2)} and is read by your teacher. A reason says when the fault shows and what happens then, and names what in this program shows it. The right kind with a reason that belongs to another kind does not earn the mark for the reason.`,
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
    const suggestion = suggestReason(answer.reason, right, factsOf(exercise));
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
