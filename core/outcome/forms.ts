import * as z from "zod";

/** Something that stands on a form when a run is over. Colours by their names, where the program gave some. */
const controlSchema = z.object({
  kind: z.enum(["box", "label", "button", "check", "option", "list", "choice", "number", "timer", "form"]),
  name: z.string(),
  text: z.string(),
  enabled: z.boolean(),
  visible: z.boolean(),
  colour: z.string().optional(),
  behind: z.string().optional(),
  checked: z.boolean().optional(),
  /** Position of the chosen one, 0-based; -1: none. */
  chosen: z.number().int().optional(),
  items: z.array(z.string()).optional(),
});
export type ShownControl = z.infer<typeof controlSchema>;

const formSchema = z.object({
  name: z.string(),
  text: z.string(),
  closed: z.boolean(),
  controls: z.array(controlSchema),
});
export type ShownForm = z.infer<typeof formSchema>;

/**
 * The forms of a program as they stand when its run is over. `unheard`: buttons that were pressed and that nobody listens to; `missed`: lines of what
 * the user does that nobody could do.
 */
export const shownFormsSchema = z.object({
  forms: z.array(formSchema),
  unheard: z.array(z.string()),
  missed: z.array(z.string()),
});
export type ShownForms = z.infer<typeof shownFormsSchema>;

/** Reads what the runner told (runners/basic/Player.cs): the last record counts. Null where none can be read. */
export function readForms(records: readonly string[]): ShownForms | null {
  for (const record of records.toReversed()) {
    let data: unknown;
    try {
      data = JSON.parse(record);
    } catch {
      continue;
    }
    const read = shownFormsSchema.safeParse(data);
    if (read.success) return read.data;
  }
  return null;
}
