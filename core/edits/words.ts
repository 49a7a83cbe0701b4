import type { Edit, EditContext } from "./edit.ts";
import { findFamily } from "./families.ts";

/** An edit as a sentence: the line, what stood there, what stands there now, and what it is about. */
export function sayEdit(context: EditContext, edit: Edit): string {
  const line = context.lineOf(edit.from);
  const shown = (text: string) => text.replace(/\s+/g, " ").trim();
  const [before, after] = [shown(context.text.slice(edit.from, edit.to)), shown(edit.text)];
  const about = findFamily(edit.family)?.says ?? edit.family;
  const what =
    before === "" && after === ""
      ? "its indentation changes"
      : before === ""
        ? `“${after}” is put in`
        : after === ""
          ? `“${before}” goes`
          : `“${before}” becomes “${after}”`;
  return `Line ${line}: ${what}. It is about ${about}.`;
}
