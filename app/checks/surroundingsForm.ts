import type { z } from "zod";
import { type Surroundings, surroundingsSchema } from "../../core/cases/surroundings.ts";
import { field } from "../forms.ts";

/** The fields of a form that names files beside the program. */
export const surroundingsFields = { fileName: field.list(), fileText: field.list(), fileAbsent: field.list() };

/** The files of a check's form: names, texts and which of them are to be absent. Null if one cannot be taken. */
export function readSurroundings(given: z.output<z.ZodObject<typeof surroundingsFields>>): Surroundings | null {
  const absent = new Set(given.fileAbsent);
  const entries = given.fileName.map(
    (name, index) => [name.trim(), absent.has(String(index)) ? null : (given.fileText[index] ?? "")] as const,
  );
  return surroundingsSchema.safeParse(Object.fromEntries(entries)).data ?? null;
}
