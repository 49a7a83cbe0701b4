import * as z from "zod";
import { measuredTable } from "../work/measuredStore.ts";
import type { FurtherInputs } from "./furtherInputs.ts";

const kinds = z.enum(["normal", "boundary", "erroneous"]);
const guard = z.object({
  operation: z.enum(["division", "place in a list", "nothing there", "conversion", "file", "key", "other"]),
  line: z.number(),
  says: z.string(),
  condition: z.string().nullable(),
  handler: z.object({ fits: z.boolean(), because: z.string() }),
  holds: z.boolean(),
});
const further: z.ZodType<FurtherInputs> = z.object({
  ...{ tried: z.number(), well: z.number(), alsoTheModel: z.number(), compared: z.boolean(), seconds: z.number() },
  fails: z.array(
    z.object({
      how: z.enum(["stops", "does not end", "differs from the model"]),
      ...{ kind: kinds, input: z.string(), purpose: z.string(), says: z.string(), wanted: z.string().nullable() },
      ...{ line: z.number().nullable(), more: z.number(), guard: guard.nullable() },
    }),
  ),
  notTried: z.string().optional(),
});

/** What further inputs showed of a version, as they were tried last. */
export const furtherResults = measuredTable("further_inputs", "version", further);
