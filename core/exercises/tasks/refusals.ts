import * as z from "zod";
import { definePartsKind, sharedMark } from "../partsKind.ts";
import { seenIn, wordsShared } from "../seen.ts";
import type { ItemMark } from "../taskKind.ts";

const schema = z.object({
  ...{ key: z.string(), kind: z.literal("refusals"), marks: z.number().int().min(3) },
  /** Lines that the translator names, and what it says, the first message first. */
  named: z.array(z.number().int().positive()).min(1),
  says: z.array(z.string()),
});
type RefusalsTask = z.infer<typeof schema>;

const numbersIn = (text: string) => [...new Set((text.match(/\d+/g) ?? []).map(Number))];

/** Mark what the translator will refuse, and compare with what it says. */
export const refusals = definePartsKind<RefusalsTask>({
  kind: "refusals",
  title: "What will be refused?",
  schema,
  answeredBeforeTrying: true,
  besideRight: { differs: "the line where it was noticed" },
  make: async ({ exercise, run }, { key, marks }) => {
    const [check] = exercise.checks;
    const ran = check ? await run(exercise.program, check) : { notRun: "there is no check.", unknown: false };
    if ("notRun" in ran) return `What will be refused cannot be asked: ${ran.notRun}`;
    if (seenIn(ran)?.class !== "syntax") return "What will be refused is not asked: the program is not refused.";
    const errors = ran.outcome.diagnostics.filter((each) => each.severity === "error" && each.line !== undefined);
    const named = [...new Set(errors.flatMap(({ line }) => (line === undefined ? [] : [line])))];
    if (named.length === 0) return "What will be refused cannot be asked: no message names a line.";
    const says = errors.map(
      ({ line, errorName, message }) => `line ${line}: ${errorName ? `${errorName}: ` : ""}${message}`,
    );
    return { key, kind: "refusals", marks: Math.max(3, marks), named, says };
  },
  parts: (task) => [
    {
      says: "Read the program as the translator does, before it sees it.",
      shown: [],
      fields: [
        { name: "lines", says: "Which lines will it name? Their numbers", rows: 1 },
        { name: "message", says: "What will it say, in your words?", rows: 2 },
      ],
    },
    {
      says: "This is what it said. Compare.",
      shown: [{ says: "", text: task.says.join("\n") }],
      fields: [{ name: "differs", says: "What did you expect otherwise, and why does it say this?", rows: 3 }],
    },
  ],
  right: (task) => ({ lines: task.named.join(", "), message: task.says[0] ?? "" }),
  rule: (task) =>
    `The lines earn ${task.marks - 2}: those that the translator names, or the one where the mistake is; a line too many takes one that is right away. What it says and what you compare earn 1 each, and are read by your teacher.`,
  scheme: (task) => [
    { item: "lines", marks: task.marks - 2, words: task.named.join(", ") },
    { item: "message", marks: 1, words: task.says.join("\n") },
    {
      item: "comparison",
      marks: 1,
      words: "Says where the mistake is and why the translator notices it where it does.",
    },
  ],
  worthless: (_, exercise) => [
    {
      lines: exercise.program
        .split("\n")
        .map((_line, index) => index + 1)
        .join(" "),
    },
  ],
  mark: (task, texts, { exercise }): ItemMark[] => {
    const faulty = exercise.faults.flatMap(({ faultyLines }) => faultyLines);
    const given = numbersIn(texts.lines ?? "");
    const hits = task.named.filter((line) => given.includes(line)).length;
    const onIt = hits === 0 && faulty.some((line) => given.includes(line));
    const beside = given.filter((line) => !task.named.includes(line) && !faulty.includes(line)).length;
    // The first message is what a reader goes by; those behind it often follow from the same mistake.
    const first = task.named[0] !== undefined && given.includes(task.named[0]);
    const right = onIt || first ? task.named.length : hits;
    const said = (texts.message ?? "").trim();
    const compared = (texts.differs ?? "").trim();
    const shared = wordsShared(task.says[0]?.replace(/^line \d+: /, "") ?? "", said);
    return [
      sharedMark(
        {
          ...{ item: "lines", possible: task.marks - 2 },
          reason: `It names line ${task.named.join(", ")}${beside > 0 ? `; ${beside} too many were given` : ""}.`,
        },
        right - beside * task.named.length,
        task.named.length,
      ),
      said === ""
        ? { item: "message", possible: 1, earned: 0, reason: "Nothing was written." }
        : {
            ...{ item: "message", possible: 1, earned: null, suggested: shared >= 0.6 ? 1 : shared >= 0.25 ? 0.5 : 0 },
            reason: `It shares ${Math.round(shared * 100)} % of the message’s words.`,
          },
      {
        ...{ item: "comparison", possible: 1, earned: compared === "" ? 0 : null },
        reason: compared === "" ? "Nothing was written." : "This is read by the teacher.",
      },
    ];
  },
});
