import type { ShownControl, ShownForms } from "./forms.ts";
import type { ConsolePiece } from "./outcome.ts";

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
