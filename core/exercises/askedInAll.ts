import * as z from "zod";
import type { PartField, ShownText, TaskPart } from "./asked.ts";

/** All that a task asks, at once, and what is right in those of its fields of which that is known, by the fields' names. */
export type AskedInAll = { parts: TaskPart[]; right: Record<string, string> };

const option = z.object({ value: z.string(), words: z.string() });
const field = z.object({
  name: z.string(),
  says: z.string(),
  rows: z.number().default(1),
  code: z.boolean().optional(),
  options: z.array(option).optional(),
  starts: z.string().optional(),
}) satisfies z.ZodType<PartField>;
const shownText = z.object({
  says: z.string(),
  text: z.string(),
  isProgram: z.boolean().optional(),
  firstLine: z.number().optional(),
});
const views = z.union([
  z.object({ parts: z.array(z.object({ says: z.string(), shown: z.array(shownText), fields: z.array(field) })) }),
  z.object({ shown: z.string(), questions: z.array(field) }),
  z.object({ shown: z.string(), fields: z.array(field) }),
]);
const models = z
  .object({ texts: z.record(z.string(), z.string()) })
  .or(z.object({ choices: z.record(z.string(), z.string()) }));

/** The same from what a student sees of a task and from its model answer, where they are of the forms that most kinds have; else one field for all. */
export function askedByView(view: unknown, model: unknown): AskedInAll {
  const read = views.safeParse(view);
  const known = models.safeParse(model);
  const right = !known.success ? {} : "texts" in known.data ? known.data.texts : known.data.choices;
  if (!read.success)
    return { parts: [{ says: "", shown: [], fields: [{ name: "answer", says: "", rows: 6 }] }], right: {} };
  if ("parts" in read.data) return { parts: read.data.parts, right };
  const { shown } = read.data;
  const fields = "questions" in read.data ? read.data.questions : read.data.fields;
  return { parts: [{ says: "", shown: shown === "" ? [] : [{ says: "", text: shown }], fields }], right };
}

/** The program that a task is about, where it is not the exercise's own, and what is typed in. */
export function shownRun(text: string | null, input: string): ShownText[] {
  return [
    ...(text === null ? [] : [{ says: "This is about the mended program:", text, isProgram: true }]),
    ...(input === "" ? [] : [{ says: "Typed in:", text: input }]),
  ];
}
