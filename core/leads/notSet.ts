import { editContext } from "../edits/context.ts";
import type { EditContext } from "../edits/edit.ts";
import { explain } from "../reading/explain.ts";
import type { LeadContext } from "./lead.ts";

/** A name that may have no value yet where a translator refuses it: the name, and the line (1-based) that is reported. */
export type NotSet = { context: EditContext; name: string; reported: number };

/** What a refusal says of such a name; null for another one, or where its message does not tell the name. */
export function notSetIn({ verdict, language, program, text }: LeadContext): NotSet | null {
  const { diagnostic } = verdict;
  if (verdict.class !== "syntax" || !diagnostic?.line || verdict.reportedFile !== null) return null;
  if (explain(language, diagnostic, text)?.kind !== "not set") return null;
  const context = editContext(language, program);
  const name = /variable\s+['‘“`]?(\w+)/i.exec(diagnostic.message)?.[1];
  return context && name ? { context, name, reported: diagnostic.line } : null;
}
