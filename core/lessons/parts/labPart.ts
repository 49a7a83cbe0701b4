import * as z from "zod";
import { faultClassSchema } from "../../cases/case.ts";
import { definePart } from "../partKind.ts";

/** What came of a change: how its run ended, by evidence (null: nothing is wrong), with the first words of the message. */
export const cameSchema = z.object({
  class: faultClassSchema.nullable(),
  message: z.string(),
  /** The line that the message names, 1-based. */
  line: z.number().int().nullable(),
  printed: z.string(),
});
export type Came = z.infer<typeof cameSchema>;

/** A right program in which one sign is changed; `text` is the whole program then. */
export const labChangeSchema = z.object({ text: z.string().max(200_000), came: cameSchema });
export type LabChange = z.infer<typeof labChangeSchema>;

export const labSchema = z.object({ exercise: z.string(), changes: z.array(labChangeSchema).max(20) });

export const labPart = definePart({
  kind: "lab",
  title: "One sign changed",
  about: "A right program in which one sign is changed: guess what comes of it, run it, compare.",
  schema: labSchema,
  minutes: ({ changes }) => 2 + 2 * changes.length,
  tasks: () => 1,
  begins: ({ exercises }) => {
    const first = exercises.find(({ mended }) => mended);
    return first ? { exercise: first.key, changes: [] } : "There is no exercise of a mended case yet. Make one first.";
  },
});
