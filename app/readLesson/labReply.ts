import * as z from "zod";
import { cameSchema } from "../../core/lessons/parts/labPart.ts";

/** What a student expects of a change. */
export const guesses = ["syntax", "runtime", "logic", "nothing"] as const;
export type Guess = (typeof guesses)[number];

/** What a page sends: the part, the whole program with one sign changed, and what is expected. */
export const labRequestSchema = z.object({ part: z.string().max(40), text: z.string().max(200_000) });

/** What it gets: what came of it, or words why it was not run. */
export const labReplySchema = z.union([
  z.object({ ok: z.literal(true), came: cameSchema, line: z.number(), before: z.string(), after: z.string() }),
  z.object({ ok: z.literal(false), message: z.string() }),
]);
export type LabReply = z.infer<typeof labReplySchema>;

/** A row of the table that a student makes: change, guess, what came. */
export const labRowSchema = z.object({
  ...{ line: z.number(), before: z.string(), after: z.string() },
  guess: z.enum(guesses),
  words: z.string(),
  came: cameSchema,
});
export type LabRow = z.infer<typeof labRowSchema>;
