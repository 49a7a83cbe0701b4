import * as z from "zod";
import type { CaseEntry } from "../../core/formats/caseEntry.ts";
import { type CaseFilter, recordConditions } from "../cases/recordFilterStore.ts";
import type { Query } from "../database/database.ts";
import { asBytes, asJson, asPlainText, jsonColumn, keyRow } from "../database/rows.ts";

/** The keys of the cases that a filter lets through, the oldest first. */
export async function listCaseKeys(query: Query, filter: CaseFilter): Promise<string[]> {
  const { conditions, values } = recordConditions(filter);
  const where = conditions.join(" and ") || "true";
  return z
    .array(keyRow)
    .parse(
      await query(
        `select r.faulty_case as key from record r where ${where} group by r.faulty_case, r.created_at order by r.created_at, r.faulty_case`,
        values,
      ),
    )
    .map(({ key }) => key);
}

const aboutRow = z.object({
  key: z.string(),
  assignment: z.string().nullable(),
  labels: jsonColumn(z.array(z.string())),
  suggested: jsonColumn(z.record(z.string(), z.string())),
  carried: jsonColumn(z.record(z.string(), z.unknown())).nullable(),
});
/** What is known of a case beside itself: its assignment's title, the labels of its course, suggested patterns by version, keys that came with a bundle. */
export type AboutCase = z.output<typeof aboutRow>;

/** What an entry says of a case that is not of the case itself. */
export async function aboutCase(query: Query, key: string): Promise<AboutCase | null> {
  const [found] = await query(
    `select f.key, a.title as assignment, f.carried,
       (select coalesce(jsonb_agg(s.label), '[]') from student s where s.course = f.course) as labels,
       (select coalesce(jsonb_object_agg(n.version, n.patterns -> 0 ->> 'id') filter (where jsonb_array_length(n.patterns) > 0), '{}') from finding n where n.faulty_case = f.key) as suggested
     from faulty_case f left join assignment a on a.key = f.assignment where f.key = $1`,
    [key],
  );
  return found ? aboutRow.parse(found) : null;
}

/** Keeps keys of a bundle's case that this version does not know, so that they go out again. */
export async function keepCarried(
  query: Query,
  key: string,
  carried: Readonly<Record<string, unknown>>,
): Promise<void> {
  await query("update faulty_case set carried = $2 where key = $1", [key, asJson(carried)]);
}

/** Writes what of an imported case does not come with collecting it: its first version's own words, its note and its table. Returns that version. */
export async function keepImported(
  query: Query,
  key: string,
  given: Pick<CaseEntry, "note" | "handTable"> & { first: CaseEntry["versions"][number] },
): Promise<string> {
  await query("update faulty_case set note = $2, hand_table = $3 where key = $1", [
    ...[key, asBytes(given.note), asBytes(given.handTable)],
  ]);
  const { origin, worked, handedIn, at } = given.first;
  const [row] = await query(
    "update version set origin = $2, worked = $3, handed_in = $4, created_at = $5 where faulty_case = $1 and number = 1 returning key",
    [key, asPlainText(origin), worked, handedIn, at],
  );
  return keyRow.parse(row).key;
}
