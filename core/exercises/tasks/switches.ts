import * as z from "zod";
import { findLanguage } from "../../languages/languages.ts";
import { lineTexts } from "../../source/lines.ts";
import { definePartsKind, sharedMark } from "../partsKind.ts";
import { slipsIn } from "../planting/slips.ts";
import { classOptions, isCutOff, seenIn } from "../seen.ts";

const preparedSchema = z.object({
  ...{ line: z.number().int().positive(), text: z.string(), class: z.enum(["syntax", "runtime", "logic"]) },
  /** The line that the message names; null where there is none. */
  ...{ named: z.number().int().positive().nullable(), gives: z.string() },
});
const schema = z.object({
  ...{ key: z.string(), kind: z.literal("switches"), marks: z.number().int().min(2) },
  prepared: z.array(preparedSchema).min(2),
});
type SwitchesTask = z.infer<typeof schema>;

const mostPrepared = 3;
const mostTried = 18;
const classOf = (at: number) => `class ${at + 1}`;
const lineOf = (at: number) => `line ${at + 1}`;

/** Prepared faults are switched on one by one: say of each what it will show, then see what it does. */
export const switches = definePartsKind<SwitchesTask>({
  kind: "switches",
  title: "Switch the errors on",
  schema,
  shows: "the mended program",
  needsRun: true,
  answeredBeforeTrying: true,
  make: async ({ exercise, run }, { key, marks }) => {
    const language = findLanguage(exercise.language);
    const [check] = exercise.checks;
    if (exercise.mended === null || !language || !check)
      return "Switching errors on cannot be asked: the case is not mended yet, or there is no check.";
    const found: SwitchesTask["prepared"] = [];
    let tried = 0;
    for (const { program, line } of slipsIn(language, exercise.mended)) {
      if (found.length === mostPrepared || tried === mostTried) break;
      if (program === exercise.program || found.some((each) => each.line === line)) continue;
      tried += 1;
      const ran = await run(program, check);
      const seen = seenIn(ran);
      if (seen === null || seen.class === "none" || found.some((each) => each.class === seen.class)) continue;
      if ("outcome" in ran && isCutOff(ran.outcome)) continue;
      if (seen.class !== "logic" && seen.line === null) continue;
      found.push({
        ...{ line, text: lineTexts(program)[line - 1] ?? "", class: seen.class, named: seen.line },
        gives: seen.message === "" ? seen.output : `line ${seen.line}: ${seen.message}`,
      });
    }
    if (found.length < 2) return "Switching errors on is not asked: this program shows errors of one class only.";
    return { key, kind: "switches", marks: Math.max(2, marks), prepared: found };
  },
  parts: (task, exercise) => [
    ...task.prepared.map(({ line, text }, at) => ({
      says: `Error ${at + 1} is switched on, and no other: line ${line} is now ${text.trim() === "" ? "empty" : text.trim()}`,
      shown: [
        ...(at === 0 ? [{ says: "The program without errors", text: exercise.mended ?? "", isProgram: true }] : []),
        ...(at > 0 ? [{ says: `What error ${at} gave:`, text: task.prepared[at - 1]?.gives ?? "" }] : []),
      ],
      fields: [
        { name: classOf(at), says: "What will it be?", rows: 1, options: classOptions },
        { name: lineOf(at), says: "Which line will the message name? (“-” if there is no message)", rows: 1 },
      ],
    })),
    {
      says: "That was the last one.",
      shown: [{ says: `What error ${task.prepared.length} gave:`, text: task.prepared.at(-1)?.gives ?? "" }],
      fields: [],
    },
  ],
  right: (task) =>
    Object.fromEntries(
      task.prepared.flatMap((each, at) => [
        [classOf(at), each.class],
        [lineOf(at), each.named === null ? "-" : String(each.named)],
      ]),
    ),
  rule: () => "The marks are shared over the kinds of error and the lines, in halves, rounded down.",
  scheme: (task) => [
    {
      ...{ item: "errors", marks: task.marks },
      words: task.prepared
        .map((each, at) => `error ${at + 1}: ${each.class} error, line ${each.named ?? "-"}; ${each.gives.trim()}`)
        .join("\n"),
    },
  ],
  mark: (task, texts) => {
    let hits = 0;
    for (const [at, each] of task.prepared.entries()) {
      if (texts[classOf(at)] === each.class) hits += 1;
      const given = (texts[lineOf(at)] ?? "").trim();
      const number = /\d+/.exec(given)?.[0];
      if (each.named === null ? given !== "" && number === undefined : Number(number) === each.named) hits += 1;
    }
    return [sharedMark({ item: "errors", possible: task.marks }, hits, task.prepared.length * 2)];
  },
});
