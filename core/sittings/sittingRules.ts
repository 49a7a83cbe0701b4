import * as z from "zod";

/**
 * How a sheet is sat. `test`: marks are shown when the teacher releases them. `practice`: marks are shown as soon as they
 * are there, and the sheet can be done again. `paper`: nothing is typed; the sheet is printed.
 */
export const sittingModes = ["test", "practice", "paper"] as const;
export type SittingMode = (typeof sittingModes)[number];

export const sittingRulesSchema = z.object({
  mode: z.enum(sittingModes).default("test"),
  /** Minutes that each student has from beginning; null: as long as the sheet is open. */
  minutes: z.number().int().min(1).max(600).nullable().default(null),
  /** Whether a student sees one exercise at a time, in order, or all of them. */
  oneAtATime: z.boolean().default(false),
  /** What a hint costs, in marks of the exercise; null: there are no hints. */
  hintCost: z.number().min(0).max(20).nullable().default(null),
  /** Whether a practice sheet that is done again has other names and numbers, as far as there are such. */
  otherScenes: z.boolean().default(false),
  /** Whether neighbours have other names and numbers, by where they stand in the list of their course. */
  bySeat: z.boolean().default(false),
  /** Whether short encouraging words are shown. */
  encouraging: z.boolean().default(true),
});
export type SittingRules = z.infer<typeof sittingRulesSchema>;

/** The rules of a sheet that nobody has said any of. */
export const usualRules: SittingRules = sittingRulesSchema.parse({});
