import * as z from "zod";
import { hunkSchema } from "../../core/cases/case.ts";
import { decodeText } from "../../core/source/decode.ts";
import { lineTexts, withoutEnd } from "../../core/source/lines.ts";
import { type CaseFilter, recordConditions } from "../cases/recordFilterStore.ts";
import type { Query } from "../database/database.ts";
import { bytesColumn, jsonColumn } from "../database/rows.ts";

const row = z.object({
  faulty_case: z.string(),
  language: z.string(),
  line: z.number().nullable(),
  fix: jsonColumn(z.array(hunkSchema)).nullable(),
  bytes: bytesColumn.nullable(),
});

/** A place of a student's program as an example: the faulty line (from 1) and the lines that mend it; without whose it is. */
export type PlaceOfFault = { case: string; language: string; line: number; before: string[]; after: string[] };

/** Lines of an example that are shown at most. */
const mostLines = 4;

/** Faults as examples, those with a fix first; of each student one, so that two examples are of two. */
export async function listPlaces(query: Query, filter: CaseFilter, most: number): Promise<PlaceOfFault[]> {
  const { conditions, values } = recordConditions(filter);
  const where = [...conditions, "r.class is not null"].join(" and ");
  const rows = z.array(row).parse(
    await query(
      `select g.faulty_case, g.language, g.line, l.fix, c.bytes from (
         select distinct on (coalesce(r.student, r.key)) r.faulty_case, r.language, r.layer, coalesce(r.faulty_line, r.reported_line) as line, r.created_at
         from record r where ${where} order by coalesce(r.student, r.key), r.state desc, r.created_at desc) g
         left join layer l on l.key = g.layer join faulty_case f on f.key = g.faulty_case
         left join version_file v on v.version = coalesce(l.version_before, f.current_version) and v.position = 0 left join content c on c.hash = v.hash
       order by l.fix is null, g.created_at desc limit ${most}`,
      values,
    ),
  );
  return rows.flatMap(({ faulty_case, language, line, fix, bytes }) => {
    const hunk = (fix ?? []).find((each) => !each.extra && each.file === undefined);
    if (hunk)
      return [
        {
          ...{ case: faulty_case, language, line: hunk.start },
          ...{
            before: hunk.before.slice(0, mostLines).map(withoutEnd),
            after: hunk.after.slice(0, mostLines).map(withoutEnd),
          },
        },
      ];
    const text = bytes && line ? lineTexts(decodeText(bytes).text)[line - 1] : undefined;
    return text === undefined || line === null
      ? []
      : [{ case: faulty_case, language, line, before: [text], after: [] }];
  });
}
