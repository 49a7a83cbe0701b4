import * as z from "zod";
import { faultClassSchema, judgingOutcomes } from "../../core/cases/case.ts";
import { languageName } from "../../core/languages/named.ts";
import type { Database } from "../database/database.ts";
import { asJson, timeColumn } from "../database/rows.ts";
import { type CaseFilter, recordConditions } from "./recordFilterStore.ts";

const listRow = z
  .object({
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
  })
  .transform((row) => ({ ...row, languageName: languageName(row.language) }));
export type CaseListRow = z.infer<typeof listRow>;

/** Rows shown on one page of a list. */
export const listLength = 25;

const columns = `f.key, f.title, f.language, s.label, c.name as course_name, coalesce(c.wording, 'three') as wording, f.created_at, f.judged_at, f.verified_at,
  case when first.decided is null and first.version_after is not null then first.suggested_class else first.decided_class end as class,
  case when first.decided is null and first.version_after is not null then first.suggested_kind else first.decided_kind end as kind,
  case when first.decided is not null or first.version_after is not null then first.outcome end as outcome,
  first.decided is not null as confirmed,
  (select count(*)::int from layer l where l.faulty_case = f.key) as layers, f.text_state`;
const tables = `faulty_case f left join student s on s.key = f.student left join course c on c.key = f.course
  left join layer first on first.faulty_case = f.key and first.position = 1`;

/**
 * A page of the Tray (`judged` false), of what is judged (true) or the Casebook (null: all), newest first, with the
 * number of all that fit.
 */
export async function listCases(
  database: Database,
  wanted: { judged: boolean | null; page: number } & CaseFilter,
): Promise<{ rows: CaseListRow[]; total: number }> {
  const { conditions, values } = recordConditions(wanted);
  if (wanted.judged !== null) conditions.push(wanted.judged ? "r.state <> 'open'" : "r.state = 'open'");
  // A case has a row for each of its faults; alone the first is there for every case.
  if (conditions.length === 0) conditions.push("r.position = 1");
  const where = conditions.join(" and ");
  const [count, rows] = await Promise.all([
    database.query(`select count(distinct r.faulty_case)::int as total from record r where ${where}`, values),
    database.query(
      // The page first, by an index alone; what stands in its rows is looked up for these only.
      `select ${columns} from ${tables} where f.key in (
         select r.faulty_case from record r where ${where} group by r.faulty_case, r.created_at
         order by r.created_at desc, r.faulty_case limit ${listLength} offset ${Math.max(0, wanted.page) * listLength}
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
