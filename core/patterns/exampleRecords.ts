import * as z from "zod";
import { faultClassSchema } from "../cases/case.ts";
import recorded from "./recorded.json" with { type: "json" };

/**
 * What real tools gave for an example: its class (null: no fault shows), the kind of refusal, the symptom, the message as the tool said it, the line
 * that it named and the line of the slip (from 1), and the first of what is intended and of what came out.
 */
export const exampleRecordSchema = z.object({
  /** SHA-256 of the example as it was when this was recorded: another one is to be recorded anew. */
  example: z.string(),
  class: faultClassSchema.nullable(),
  kind: z.enum(["form", "meaning"]).nullable(),
  symptom: z.string(),
  message: z.string().nullable(),
  reportedLine: z.number().nullable(),
  faultyLine: z.number(),
  intended: z.string(),
  printed: z.string(),
});
export type ExampleRecord = z.infer<typeof exampleRecordSchema>;

/** The records of the examples of each pattern, in their order; made by real runs (`BENT_NAIL_RECORD=1`, see CONTRIBUTING.md) and held by tests. */
export const exampleRecords: Readonly<Record<string, readonly ExampleRecord[]>> = z
  .record(z.string(), z.array(exampleRecordSchema))
  .parse(recorded);
