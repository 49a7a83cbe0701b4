import * as z from "zod";
import type { Query } from "../database/database.ts";
import { keyRow } from "../database/rows.ts";
import { newKey } from "../keys.ts";
import type { Who } from "../people/teacherStore.ts";

/** What belongs to one press of a person: a key in common, and what was done, in words ("the verdict"). */
export type Press = { key: string; says: string };

/** Steps of a case that are kept. */
const mostKept = 40;

/** The columns of a case that a person changes. */
const caseColumns = [
  ...["course", "student", "assignment", "language", "title", "intent", "changed_last", "instead", "came_out"],
  ...["hand_table", "user_actions", "first_line", "only_read", "source", "note", "symptom", "current_version"],
  ...["judged_at", "verified_at", "deleted_at"],
].join(", ");
/** What belongs to a case and is changed with it, each thing with its columns beside key and case. */
const parts: Readonly<Record<string, string>> = {
  layer: [
    ...["position", "version_before", "version_after", "verdict", "decided", "faulty_lines", "fix", "first_fix"],
    ...["intention", "verified", "suggested_class", "suggested_kind", "decided_class", "decided_kind", "outcome"],
    ...["symptom", "cause", "moment", "depends", "pattern", "place", "place_reason", "explanation", "advice", "unsaid"],
  ].join(", "),
  program_check: [
    ...["position", "input", "expected", "kind", "handed_in", "surroundings", "edition", "visible", "comparison"],
    ...["name", "purpose", "pieces", "worked_out_by", "confirmed"],
  ].join(", "),
  kept_fix: "version, content, intention, preferred, kept_at",
  warning_decision: "about, decision, note, decided_at",
};

/** Keeps what a case is now, before a change whose revision it has already; inside the change's transaction. */
export async function keepStep(query: Query, faultyCase: string, press: Press, who: Who): Promise<void> {
  await query(
    `with old as (delete from undo_step u using faulty_case f
       where f.key = $2 and u.faulty_case = f.key and (u.revision < f.revision - $6 or u.revision >= f.revision))
     insert into undo_step (key, faulty_case, revision, press, says, who, snapshot)
     select $1, f.key, f.revision, $3, $4, $5, jsonb_build_object('case', to_jsonb(f) - 'search_text',
       'worked', (select coalesce(jsonb_agg(v.key), '[]') from version v where v.faulty_case = f.key and v.worked),
       ${Object.keys(parts)
         .map(
           (table) =>
             `'${table}', (select coalesce(jsonb_agg(to_jsonb(p)), '[]') from ${table} p where p.faulty_case = f.key)`,
         )
         .join(", ")})
     from faulty_case f where f.key = $2`,
    [newKey(), faultyCase, press.key, press.says, who.role, mostKept],
  );
}

const stepRow = z.object({ key: z.string(), revision: z.number(), press: z.string(), says: z.string() });
/** A change that can be undone. */
export type UndoStep = z.output<typeof stepRow>;

/** The steps of a case that can be undone now, the newest first: those of one press, one after another up to now. */
export async function lastSteps(query: Query, faultyCase: string): Promise<UndoStep[]> {
  const steps = z.array(stepRow).parse(
    await query(
      `select u.key, u.revision, u.press, u.says from undo_step u join faulty_case f on f.key = u.faulty_case
         where f.key = $1 and u.revision <= f.revision order by u.revision desc limit $2`,
      [faultyCase, mostKept],
    ),
  );
  const [newest] = steps;
  const [now] = await query("select revision from faulty_case where key = $1", [faultyCase]);
  if (!newest || newest.revision !== z.object({ revision: z.number() }).parse(now).revision) return [];
  const end = steps.findIndex((step, at) => step.press !== newest.press || step.revision !== newest.revision - at);
  return end < 0 ? steps : steps.slice(0, end);
}

/** Other cases that a press changed. */
export async function casesOfPress(query: Query, press: string): Promise<string[]> {
  const rows = await query("select distinct faulty_case as key from undo_step where press = $1", [press]);
  return z
    .array(keyRow)
    .parse(rows)
    .map((row) => row.key);
}

/** Makes a case what it was at a step. Versions stay; what is there and was not then goes. */
export async function restoreStep(query: Query, faultyCase: string, step: string): Promise<void> {
  const given = [faultyCase, step];
  // A check that was changed since gets an edition of its own, since runs of both editions may be kept.
  await query(
    `update undo_step u set snapshot = jsonb_set(snapshot, '{program_check}', (select coalesce(jsonb_agg(case
       when c.key is null or to_jsonb(c.edition) = each -> 'edition' then each
       else jsonb_set(each, '{edition}', to_jsonb(c.edition + 1)) end), '[]')
       from jsonb_array_elements(u.snapshot -> 'program_check') as each left join program_check c on c.key = each ->> 'key'))
     where key = $2 and faulty_case = $1`,
    given,
  );
  const snapshot = "(select snapshot from undo_step where key = $2 and faulty_case = $1)";
  await query(
    `update faulty_case set (${caseColumns}) = (select ${caseColumns} from jsonb_populate_record(null::faulty_case, ${snapshot} -> 'case'))
     where key = $1`,
    given,
  );
  await query(
    `update version set worked = ${snapshot} -> 'worked' @> to_jsonb(key) where faulty_case = $1 and worked <> (${snapshot} -> 'worked' @> to_jsonb(key))`,
    given,
  );
  for (const [table, columns] of Object.entries(parts)) {
    const was = `jsonb_populate_recordset(null::${table}, ${snapshot} -> '${table}')`;
    await query(`delete from ${table} where faulty_case = $1 and key not in (select key from ${was})`, given);
    const named = columns
      .split(", ")
      .map((column) => `${column} = excluded.${column}`)
      .join(", ");
    await query(
      `insert into ${table} (key, faulty_case, ${columns}) select key, faulty_case, ${columns} from ${was} w
       on conflict (key) do update set ${named}`,
      given,
    );
  }
}

/** Forgets all steps of a case: a name was replaced in it, and they hold what it was. */
export async function forgetSteps(query: Query, faultyCase: string): Promise<void> {
  await query("delete from undo_step where faulty_case = $1", [faultyCase]);
}
