import * as z from "zod";
import type { Step, Value, Write } from "./trace.ts";

/** Recorded steps as they are kept in exercises; their meaning is said in trace.ts. */
const valueSchema: z.ZodType<Value> = z.lazy(() =>
  z.object({
    type: z.string(),
    text: z.string().optional(),
    id: z.number().optional(),
    shape: z.enum(["list", "tuple", "set", "dictionary", "object"]).optional(),
    items: z.array(z.object({ key: z.string().optional(), value: valueSchema })).optional(),
    length: z.number().optional(),
    behind: z.array(z.object({ key: z.string(), value: valueSchema })).optional(),
  }),
);

const writeSchema: z.ZodType<Write> = z.object({
  scope: z.enum(["global", "frame", "object"]),
  owner: z.number(),
  path: z.array(z.union([z.string(), z.number()])),
  value: valueSchema.nullable(),
});

export const stepSchema: z.ZodType<Step> = z.object({
  index: z.number(),
  line: z.number(),
  file: z.number(),
  frame: z.number(),
  depth: z.number(),
  call: z.string().optional(),
  className: z.string().optional(),
  calls: z.boolean().optional(),
  resumes: z.boolean().optional(),
  condition: z.boolean().optional(),
  raised: z.object({ errorName: z.string(), message: z.string() }).optional(),
  returned: valueSchema.optional(),
  writes: z.array(writeSchema),
  ended: z.array(z.string()).optional(),
  out: z.string().optional(),
  err: z.string().optional(),
  in: z.string().optional(),
  unseen: z.string().optional(),
});
