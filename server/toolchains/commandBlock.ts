import * as z from "zod";
import type { Block } from "./readBlock.ts";

/** What process 1 tells at the end of a job by commands (runners/sandbox/bent_nail_sandbox/commands.py). */
export const commandResultSchema = z.object({
  built: z.array(z.number()),
  exit: z.number().nullable(),
  signal: z.number(),
  ranOut: z.boolean(),
  stopped: z.enum(["none", "limit", "output", "steps"]),
});
export type CommandBlock = Block<z.infer<typeof commandResultSchema>>;
