import * as z from "zod";
import { type FieldsAnswer, type FieldsCompared, type FieldsView, fieldsAnswerSchema } from "../asked.ts";
import { defineTaskKind, type ItemMark } from "../taskKind.ts";

const schema = z.object({ key: z.string(), kind: z.literal("reading"), marks: z.number().int().min(3) });

const fields: FieldsView["fields"] = [
  { name: "what", says: "What does the message say, in your own words?", rows: 2 },
  { name: "where", says: "On which line is the mistake? A number", rows: 1 },
  { name: "not", says: "What does the message not say that you have to find out?", rows: 2 },
];

/** Marks for the line; both readings in words have the rest, what it says the larger part. */
function shares(marks: number): { what: number; where: number; not: number } {
  const rest = marks - 1;
  return { what: Math.ceil(rest / 2), where: 1, not: Math.floor(rest / 2) };
}

/** Words of a message that carry what it is about: what stands in quotes, and longer words. */
function carriers(message: string): string[] {
  const quoted = [...message.matchAll(/['"‘“`]([^'"’”`]{1,40})['"’”`]/g)].map((match) => match[1] ?? "");
  const longer = message.replace(/^[\w.]+(?:Error|Exception):/, "").match(/[\p{L}]{5,}/gu) ?? [];
  return [...quoted, ...longer].map((word) => word.toLowerCase());
}

/** Read a message: what it says, where the mistake is, what it does not say. */
export const reading = defineTaskKind({
  kind: "reading",
  title: "Read the message",
  schema,
  answerSchema: fieldsAnswerSchema,
  usualMarks: () => 0,
  needsRun: false,
  answeredBeforeTrying: false,
  answeredOnProgram: false,
  make: async ({ exercise: { faults } }, { key, marks }) => {
    const [fault] = faults;
    if (!fault || fault.message === "")
      return "Reading a message cannot be asked: no tool says anything of this fault.";
    if (fault.faultyLines.length === 0) return "Reading a message cannot be asked: no faulty line is marked yet.";
    return { key, kind: "reading", marks: Math.max(3, marks) };
  },
  view: (_, { faults }): FieldsView => ({ shown: faults[0]?.message ?? "", fields }),
  rule: (task) => {
    const { what, not } = shares(task.marks);
    return `What it says earns ${what}, the line of the mistake 1 (often not the one that is named), what it does not say ${not}. Your teacher reads both texts.`;
  },
  scheme: (task, { faults: [fault] }) => {
    const { what, where, not } = shares(task.marks);
    return [
      { item: "what", marks: what, words: fault?.message ?? "" },
      { item: "where", marks: where, words: `line ${fault?.faultyLines.join(" or ") ?? "?"}` },
      {
        ...{ item: "not", marks: not },
        words: "for instance: how it is to be mended; whether the line that is named holds the mistake; what was meant",
      },
    ];
  },
  key: () => null,
  worthless: (): FieldsAnswer[] => [{ texts: {} }],
  mark: async (task, { texts }, { exercise }): Promise<ItemMark[]> => {
    const [fault] = exercise.faults;
    const possible = shares(task.marks);
    const line = Number(/\d+/.exec(texts.where ?? "")?.[0] ?? Number.NaN);
    const found = fault?.faultyLines.includes(line) ?? false;
    const words = (texts.what ?? "").toLowerCase();
    const told = carriers(fault?.message ?? "").filter((word) => words.includes(word));
    const inWords = (item: "what" | "not", suggested: number | null, reason: string): ItemMark => {
      if ((texts[item] ?? "").trim() === "")
        return { item, earned: 0, possible: possible[item], reason: "Nothing was written." };
      return { item, earned: null, possible: possible[item], reason, ...(suggested === null ? {} : { suggested }) };
    };
    return [
      inWords(
        "what",
        told.length > 0 ? Math.floor(possible.what) / 2 : 0,
        told.length > 0
          ? `It speaks of ${told.slice(0, 3).join(", ")}.`
          : "Nothing of what the message is about was found in it.",
      ),
      {
        ...{ item: "where", possible: possible.where, earned: found ? possible.where : 0 },
        reason: found ? "The line is right." : `The mistake is on line ${fault?.faultyLines.join(" or ")}.`,
      },
      inWords("not", null, "This is read by the teacher alone."),
    ];
  },
  compare: (_, { texts }): FieldsCompared => ({ fields, texts }),
});
