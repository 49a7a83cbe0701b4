import * as z from "zod";

/** How often a value is typed in: a number of times, or as often as the value of another name says, or once ("1"). */
const repeatSchema = z.string().max(80).default("1");

/**
 * One value that is typed in, on a line of its own. `from`, `to`: the least and the greatest valid one of a number, the
 * shortest and the longest of a text; null where there is no limit. `choices`: the valid words of a choice.
 */
export const inputValueSchema = z.object({
  name: z.string().min(1).max(80),
  kind: z.enum(["whole", "decimal", "text", "choice"]),
  from: z.number().nullable().default(null),
  to: z.number().nullable().default(null),
  choices: z.array(z.string().max(200)).max(50).default([]),
  /** How many times: a whole number, the name of a value before it, or "until WORD" where a last line ends it. */
  repeat: repeatSchema,
});
export type InputValue = z.infer<typeof inputValueSchema>;

/** What is typed in to the programs of an assignment, value by value. */
export const inputShapeSchema = z.array(inputValueSchema).max(40);
export type InputShape = z.infer<typeof inputShapeSchema>;
