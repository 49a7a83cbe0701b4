import type { EditContext, Proposal } from "./edit.ts";
import { headerForms } from "./forms/headers.ts";
import { nameForms } from "./forms/names.ts";
import { rowForms } from "./forms/rows.ts";
import { signForms } from "./forms/signs.ts";
import { typeForms } from "./forms/types.ts";

const ofLine = [...headerForms, ...typeForms, ...signForms, ...nameForms, ...rowForms];

/** What a line lacks, or has from another language, in small forms that are known by the tokens of a line. */
export function smallForms(context: EditContext): Proposal[] {
  return context.lines.flatMap((line) => (line.code.length > 0 ? ofLine.flatMap((form) => form(line, context)) : []));
}
