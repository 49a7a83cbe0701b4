import * as z from "zod";

/** What the runner tells at the end of a run (runners/python/bent_nail_runner/program.py). */
export const pythonResultSchema = z.object({
  started: z.boolean().nullable(),
  stoppedBy: z.enum(["none", "fault", "memory", "output", "steps"]),
  exit: z.number().int(),
  crash: z.string(),
  errorName: z.string(),
  problems: z.array(
    z.object({
      severity: z.enum(["error", "warning"]),
      file: z.string(),
      line: z.number().optional(),
      text: z.string(),
    }),
  ),
  ranOut: z.boolean(),
  steps: z.number(),
});
