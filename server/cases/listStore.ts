import { z } from "zod";
import { faultClassSchema, judgingOutcomes } from "../../core/cases/case.ts";
import type { Database } from "../database/database.ts";
import { asJson, timeColumn } from "../database/rows.ts";

const listRow = z.object({
  key: z.string(),
  title: z.string(),
  language: z.string(),
  label: z.string().nullable(),
  course_name: z.string().nullable(),
  wording: z.string(),
  created_at: timeColumn,
  judged_at: timeColumn.nullable(),
  verified_at: timeColumn.nullable(),
  class: faultClassSchema.nullable(),
  kind: z.enum(["form", "meaning"]).nullable(),
  outcome: z.enum(judgingOutcomes).nullable(),
  /** False where the class is what the evidence suggests and no teacher has said so. */
  confirmed: z.boolean(),
  layers: z.number(),
  text_state: z.string().nullable(),
});
export type CaseListRow = z.infer<typeof listRow>;

/** Rows shown on one page of a list. */
export const listLength = 25;

/**
 * What a list is narrowed to; an empty or absent one narrows nothing. `text` is looked for in programs, outputs, words
 * and notes.
 */
export type CaseFilter = {
  course?: string;
  student?: string;
  language?: string;
  class?: string;
  state?: string;
  text?: string;
};

/** Where a case stands, with the condition for it. */
export const caseStates: Readonly<Record<string, { words: string; condition: string }>> = {
  open: { words: "not judged yet", condition: "f.judged_at is null" },
  judged: { words: "judged, not mended", condition: "f.judged_at is not null and f.verified_at is null" },
  warned: { words: "the translator only warns", condition: "f.text_state = 'warnings only'" },
  differs: {
    words: "class decided otherwise than the evidence",
    condition:
      "exists (select 1 from layer l where l.faulty_case = f.key and l.decided is not null and l.decided_class is distinct from (l.decided ->> 'suggested'))",
  },
  verified: { words: "mended and verified", condition: "f.verified_at is not null" },
};

const columns = `f.key, f.title, f.language, s.label, c.name as course_name, coalesce(c.wording, 'three') as wording, f.created_at, f.judged_at, f.verified_at,
  case when first.decided is null and first.version_after is not null then first.suggested_class else first.decided_class end as class,
  case when first.decided is null and first.version_after is not null then first.suggested_kind else first.decided_kind end as kind,
  case when first.decided is not null or first.version_after is not null then first.outcome end as outcome,
  first.decided is not null as confirmed,
  (select count(*)::int from layer l where l.faulty_case = f.key) as layers, f.text_state`;
const tables = `faulty_case f left join student s on s.key = f.student left join course c on c.key = f.course
  left join layer first on first.faulty_case = f.key and first.position = 1`;

/** Signs that have a meaning in a pattern, as themselves. */
function literal(text: string): string {
  return text.replace(/[\\%_]/g, (sign) => `\\${sign}`);
}

/**
 * A page of the Tray (`judged` false), of what is judged (true) or the Casebook (null: all), newest first, with the
 * number of all that fit.
 */
export async function listCases(
  database: Database,
  wanted: { judged: boolean | null; page: number } & CaseFilter,
): Promise<{ rows: CaseListRow[]; total: number }> {
  const conditions = ["f.deleted_at is null"];
  const values: unknown[] = [];
  const add = (value: string | undefined, condition: (place: string) => string) => {
    if (!value) return;
    values.push(value);
    conditions.push(condition(`$${values.length}`));
  };
  if (wanted.judged !== null) conditions.push(`f.judged_at is ${wanted.judged ? "not null" : "null"}`);
  add(wanted.course, (place) => `f.course = ${place}`);
  add(wanted.student, (place) => `f.student = ${place}`);
  add(wanted.language, (place) => `f.language = ${place}`);
  add(
    wanted.class,
    (place) => `exists (select 1 from layer l where l.faulty_case = f.key and l.decided_class = ${place})`,
  );
  const state = caseStates[wanted.state ?? ""];
  if (state) conditions.push(state.condition);
  for (const word of (wanted.text ?? "")
    .toLowerCase()
    .split(/\s+/)
    .filter((each) => each !== "")
    .slice(0, 8))
    add(`%${literal(word.replaceAll("\0", ""))}%`, (place) => `f.search_text like ${place}`);
  const where = conditions.join(" and ");
  const [count, rows] = await Promise.all([
    database.query(`select count(*)::int as total from faulty_case f where ${where}`, values),
    database.query(
      // The page first, by an index alone; what stands in its rows is looked up for these only.
      `select ${columns} from ${tables} where f.key in (
         select f.key from faulty_case f where ${where}
         order by f.created_at desc, f.key limit ${listLength} offset ${Math.max(0, wanted.page) * listLength}
       ) order by f.created_at desc, f.key`,
      values,
    ),
  ]);
  return { rows: z.array(listRow).parse(rows), total: z.object({ total: z.number() }).parse(count[0]).total };
}

/** The given cases in the given order; those that were put away are left out. */
export async function listCasesByKey(database: Database, keys: readonly string[]): Promise<CaseListRow[]> {
  if (keys.length === 0) return [];
  const rows = z
    .array(listRow)
    .parse(
      await database.query(
        `select ${columns} from ${tables} where f.deleted_at is null and f.key in (select jsonb_array_elements_text($1::jsonb))`,
        [asJson(keys)],
      ),
    );
  const byKey = new Map(rows.map((row) => [row.key, row]));
  return keys.flatMap((key) => byKey.get(key) ?? []);
}
