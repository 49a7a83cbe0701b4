import * as z from "zod";
import { faultClassSchema, hunkSchema, linePlaceSchema } from "../../core/cases/case.ts";
import type { Query } from "../database/database.ts";
import { jsonColumn, textBytes, timeColumn } from "../database/rows.ts";

const seenRow = z.object({
  faulty_case: z.string(),
  title: z.string(),
  language: z.string(),
  label: z.string().nullable(),
  course_name: z.string().nullable(),
  wording: z.string().nullable(),
  created_at: timeColumn,
  state: z.enum(["open", "judged", "verified"]),
  class: faultClassSchema.nullable(),
  kind: z.enum(["form", "meaning"]).nullable(),
  confirmed: z.boolean(),
  pattern: z.string().nullable(),
  message: textBytes.nullable(),
  reported_line: z.number().nullable(),
  same_message: z.boolean(),
  same_pattern: z.boolean(),
  same_fix: z.boolean(),
  faulty_lines: jsonColumn(z.array(linePlaceSchema)).nullable(),
  fix: jsonColumn(z.array(hunkSchema)).nullable(),
  explanation: textBytes.nullable(),
  intention: textBytes.nullable(),
});
/** An earlier fault that is like another one, and what was done about it. */
export type SeenRow = z.output<typeof seenRow>;

/** What earlier faults are looked for by; a null or absent part finds nothing. */
export type Likeness = {
  signature?: string | null;
  pattern?: string | null;
  family?: string | null;
  /** The case that it is, which is not its own earlier one. */
  except?: string;
  course?: string;
};

/**
 * Faults whose message is the same but for names, numbers and paths, or whose kind of mistake or fix is the same, the newest first; those with the
 * same message before the others. By indexes alone: the newest of each likeness, then these together.
 */
export async function listSeen(query: Query, like: Likeness, most: number): Promise<SeenRow[]> {
  const given: Array<[column: string, value: string]> = [];
  for (const column of ["signature", "pattern", "family"] as const) {
    const value = like[column];
    if (value) given.push([column, value]);
  }
  if (given.length === 0) return [];
  const values: unknown[] = [like.except ?? "", like.course ?? null];
  const parts = given.map(([column, value]) => {
    values.push(value);
    return `(select key from record where ${column} = $${values.length} and faulty_case <> $1 and ($2::text is null or course = $2)
      order by created_at desc limit ${most})`;
  });
  const same = (column: string) => {
    const at = given.findIndex(([name]) => name === column);
    return at < 0 ? "false" : `coalesce(r.${column} = $${3 + at}, false)`;
  };
  return z.array(seenRow).parse(
    await query(
      `select r.faulty_case, f.title, r.language, s.label, c.name as course_name, c.wording, r.created_at, r.state, r.class, r.kind, r.confirmed,
         r.pattern, n.message, r.reported_line, ${same("signature")} as same_message, ${same("pattern")} as same_pattern,
         ${same("family")} as same_fix, l.faulty_lines, l.fix, l.explanation, l.intention
       from record r join faulty_case f on f.key = r.faulty_case left join student s on s.key = r.student left join course c on c.key = r.course
         left join layer l on l.key = r.layer left join lateral (select x.message from finding x where x.version = coalesce(l.version_before, f.current_version) limit 1) n on true
       where r.key in (${parts.join(" union ")})
       order by ${like.signature ? `${same("signature")} desc, ` : ""}r.created_at desc, r.key limit ${most}`,
      values,
    ),
  );
}

const likenessRow = z.object({
  signature: z.string().nullable(),
  pattern: z.string().nullable(),
  family: z.string().nullable(),
});

/** What the open fault of a case, or its last one, is like. */
export async function likenessOf(query: Query, faultyCase: string): Promise<z.infer<typeof likenessRow> | null> {
  const [found] = await query(
    `select r.signature, r.pattern, r.family from record r left join layer l on l.key = r.layer
     where r.faulty_case = $1 order by l.version_after is not null, r.position desc limit 1`,
    [faultyCase],
  );
  return found ? likenessRow.parse(found) : null;
}
