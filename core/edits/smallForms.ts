import type { EditContext, Proposal } from "./edit.ts";
import { blockEnds } from "./forms/blockEnds.ts";
import { headerForms } from "./forms/headers.ts";
import { linesElsewhere } from "./forms/lines.ts";
import { nameForms } from "./forms/names.ts";
import { rowForms } from "./forms/rows.ts";
import { signForms } from "./forms/signs.ts";
import { typeForms } from "./forms/types.ts";

const ofLine = [...headerForms, ...typeForms, ...signForms, ...nameForms, ...rowForms];

/** What a line lacks, or has from another language, in small forms that are known by the tokens of a line. */
export function smallForms(context: EditContext): Proposal[] {
  const ofLines = context.lines.flatMap((line) =>
    line.code.length > 0 ? ofLine.flatMap((form) => form(line, context)) : [],
  );
  return [...ofLines, ...linesElsewhere(context), ...blockEnds(context)];
}
