import * as z from "zod";

/** A question that is answered by choosing: its name in the answer, its words, and what may be chosen. */
export type Choice = { name: string; says: string; options: ReadonlyArray<{ value: string; words: string }> };

/** A question that is answered in words, or in lines of text. */
export type Field = { name: string; says: string; rows: number; code?: boolean };

/** Questions with what is shown above them: a message of a tool, an output. */
export type ChoicesView = { shown: string; questions: Choice[] };
export type FieldsView = { shown: string; fields: Field[] };

export const choicesAnswerSchema = z.object({ choices: z.record(z.string().max(80), z.string().max(80)) });
export type ChoicesAnswer = z.infer<typeof choicesAnswerSchema>;
export const fieldsAnswerSchema = z.object({ texts: z.record(z.string().max(80), z.string().max(20_000)) });
export type FieldsAnswer = z.infer<typeof fieldsAnswerSchema>;

/** An answer with its questions and the right choices, for whoever marks. */
export type ChoicesCompared = { questions: Choice[]; choices: Record<string, string>; right: Record<string, string> };
export type FieldsCompared = { fields: Field[]; texts: Record<string, string> };

export const yesOrNo = [
  { value: "yes", words: "yes" },
  { value: "no", words: "no" },
] as const;
export const trueOrFalse = [
  { value: "true", words: "true" },
  { value: "false", words: "false" },
] as const;

/** What a part of a task shows: a program with its lines numbered, or text as a tool wrote it. */
export type ShownText = { says: string; text: string; isProgram?: boolean; firstLine?: number };

/** A field of a part; with `options` it is chosen; `starts` is what stands in it at first. */
export type PartField = Field & { options?: Choice["options"]; starts?: string };

/** One part of a task: what is said and shown, and what is asked. */
export type TaskPart = { says: string; shown: ShownText[]; fields: PartField[] };

/** The parts of a task for a student; the first `closed` of them were given and stay as they are. */
export type PartsView = { closed: number; parts: TaskPart[] };
export const partsAnswerSchema = fieldsAnswerSchema.extend({ closed: z.number().int().min(0).max(40).default(0) });
export type PartsAnswer = z.infer<typeof partsAnswerSchema>;
export type PartsCompared = { parts: TaskPart[]; texts: Record<string, string>; right: Record<string, string> };
