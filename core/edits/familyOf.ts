import type { Language } from "../languages/language.ts";
import { editContext } from "./context.ts";
import { applyEdit } from "./edit.ts";
import { proposeEdits } from "./families.ts";

/** A text as far as it counts whether two changes come to the same: without blanks at ends of lines and of the text. */
const plain = (text: string) => text.replace(/[ \t]+$/gm, "").trimEnd();

/** The family of small edits by one of which a faulty program becomes the mended one, whoever made the change; null where none does. */
export function familyOf(language: Language, faulty: string, mended: string): string | null {
  const context = editContext(language, faulty);
  if (!context) return null;
  const wanted = plain(mended);
  // A program that is refused has families of its own; which of both it is does not matter here.
  const edits = (["mend", "mend a refusal"] as const).flatMap((way) => proposeEdits(context, way));
  return edits.find((edit) => plain(applyEdit(faulty, edit)) === wanted)?.family ?? null;
}
