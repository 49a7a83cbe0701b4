import type { EditContext, EditFamily } from "../../edits/edit.ts";
import type { MistakePlace } from "./mistake.ts";

/** The places where a family of edits would mend something and is quite sure of it. */
export function placesOf(family: EditFamily, context: EditContext, least: number, why: string): MistakePlace[] {
  const lines = family
    .mends(context)
    .filter((edit) => edit.odds >= least)
    .map((edit) => context.lineOf(edit.from));
  return [...new Set(lines)].map((line) => ({ line, why }));
}
