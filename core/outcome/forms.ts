import { z } from "zod";
import type { ConsolePiece } from "./outcome.ts";

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

/** What a control shows, as a check can ask for it. */
function factsOf(control: ShownControl): Array<[name: string, value: string]> {
  const { kind, name, text } = control;
  const told: Array<[string, string]> = [];
  if (kind === "box" || kind === "label" || kind === "number" || kind === "choice") told.push([name, text]);
  if (control.checked !== undefined) told.push([name, control.checked ? "ticked" : "not ticked"]);
  if (kind === "list") told.push([name, (control.items ?? []).join(" | ")]);
  return told;
}

/** Facts of the forms by their names: the first are told with every result, the others where a check asks for them. */
export function formFacts({ forms }: ShownForms): { told: Array<[string, string]>; others: Array<[string, string]> } {
  const controls = forms.flatMap((form) => form.controls);
  return {
    told: controls.filter(({ visible }) => visible).flatMap(factsOf),
    others: controls.flatMap(
      (control): Array<[string, string]> => [
        [`${control.name} shown`, control.visible ? "yes" : "no"],
        [`${control.name} usable`, control.enabled ? "yes" : "no"],
        ...(control.colour === undefined ? [] : [[`${control.name} colour`, control.colour] as [string, string]]),
        ...(control.behind === undefined ? [] : [[`${control.name} background`, control.behind] as [string, string]]),
        ...(control.chosen === undefined
          ? []
          : [[`${control.name} chosen`, control.items?.[control.chosen] ?? "none"] as [string, string]]),
        ...(control.visible ? [] : factsOf(control)),
      ],
    ),
  };
}

const flat = (text: string) => text.replace(/\s*[\r\n]+\s*/g, " ");

/** What the forms show as lines that belong to the result: `form lblTotal = 12.50`. The piece keeps the other facts, since a check may ask for any. */
export function pieceOfForms(shown: ShownForms): ConsolePiece {
  const { told, others } = formFacts(shown);
  return {
    ...{ kind: "out", picture: true },
    text: told.map(([name, value]) => `form ${name} = ${flat(value)}\n`).join(""),
    cells: others.map(([name, value]) => [name, flat(value)]),
  };
}
