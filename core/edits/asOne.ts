import { change, type EditContext, type Proposal } from "./edit.ts";

/** A place (UTF-16 offsets) and what it becomes. */
export type Small = { from: number; to: number; text: string };

/** Several small changes as one, from the first to the last; nothing for none. They must not overlap. */
export function asOne(
  context: EditContext,
  places: readonly Small[],
  parameters: Proposal["parameters"],
  odds: number,
): Proposal[] {
  const inOrder = [...places].sort((one, other) => one.from - other.from);
  const [first, last] = [inOrder[0], inOrder.at(-1)];
  if (!first || !last) return [];
  let text = "";
  let at = first.from;
  for (const place of inOrder) {
    text += context.text.slice(at, place.from) + place.text;
    at = place.to;
  }
  return [change({ from: first.from, to: last.to }, text, parameters, odds)];
}
