import * as z from "zod";
import { measuredTable } from "../work/measuredStore.ts";
import type { Strength } from "./strength.ts";

const strength: z.ZodType<Strength> = z.object({
  noticed: z.number(),
  killable: z.number(),
  alike: z.array(z.string()),
  unnoticed: z.array(z.object({ says: z.string(), line: z.number(), input: z.string() })),
  missing: z.array(z.string()),
  tried: z.number(),
  inputs: z.number(),
  seconds: z.number(),
  notMeasured: z.string().optional(),
});

/** How strong the checks of an assignment are, as it was measured last. */
export const strengths = measuredTable("check_strength", "assignment", strength);
