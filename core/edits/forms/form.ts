import type { PlacedToken } from "../../syntax/placed.ts";
import type { EditContext, EditLine, Proposal } from "../edit.ts";

/** What a line lacks, or has from another language, in one form. */
export type OfLine = (line: EditLine, context: EditContext) => Proposal[];

export const byBraces = ({ writing }: EditContext): boolean => writing.blocks.by === "braces";
export const parameters = (before: string, after: string) => ({ before, after });

/** A part of a line's tokens between brackets, without these; empty where they do not stand there. */
export function within(code: readonly PlacedToken[], opening: number): PlacedToken[] {
  let depth = 0;
  for (let at = opening; at < code.length; at += 1) {
    if (/^[([]$/.test(code[at]?.text ?? "")) depth += 1;
    if (/^[)\]]$/.test(code[at]?.text ?? "")) depth -= 1;
    if (depth === 0) return code.slice(opening + 1, at);
  }
  return [];
}

/** What may end a value: a name, a number, a text, a closing bracket. */
export function endsValue(token: PlacedToken | undefined): boolean {
  return token !== undefined && (/^(?:name|number|text)$/.test(token.kind) || /^[)\]]$/.test(token.text));
}

/** What may begin a value. */
export function beginsValue(token: PlacedToken | undefined): boolean {
  return token !== undefined && (/^(?:name|number|text)$/.test(token.kind) || /^[([]$/.test(token.text));
}
