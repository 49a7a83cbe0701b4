import * as z from "zod";
import { consolePieceSchema } from "../../core/outcome/outcome.ts";

/**
 * What a run in the student's own browser gave, as that browser says. It is shown to the teacher and decides nothing;
 * `messages`: what the interpreter said at the end.
 */
export const ranHere = z.object({
  console: z.object({ pieces: z.array(consolePieceSchema).max(5000), cut: z.number().int().min(0) }),
  stoppedBy: z.enum(["none", "fault", "refused", "time", "memory", "output", "steps", "person", "broken"]),
  messages: z.string().max(20_000),
});
export type RanHere = z.infer<typeof ranHere>;
