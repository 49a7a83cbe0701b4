import * as z from "zod";
import { type Limits, type Outcome, outcomeSchema } from "../../core/outcome/outcome.ts";
import type { Database } from "../database/database.ts";
import { asJson, jsonColumn, keyRow, oneRow } from "../database/rows.ts";
import { newKey } from "../keys.ts";

/** What a run is kept by: the same five give the same run. */
export type RunIdentity = { version: string; check: string; edition: number; translator: string; limits: Limits };

const runRow = z.object({ program_check: z.string(), outcome: jsonColumn(outcomeSchema) });

/** The kept runs of a version with its checks as they are now, by check. */
export async function listRuns(
  database: Database,
  run: Pick<RunIdentity, "version" | "translator" | "limits">,
): Promise<ReadonlyMap<string, Outcome>> {
  const rows = await database.query(
    `select distinct on (r.program_check) r.program_check, r.outcome
     from run r join program_check c on c.key = r.program_check and c.edition = r.check_edition
     where r.version = $1 and r.translator = $2 and r.limits = $3 order by r.program_check, r.created_at desc`,
    [run.version, run.translator, asJson(run.limits)],
  );
  return new Map(
    z
      .array(runRow)
      .parse(rows)
      .map((row) => [row.program_check, row.outcome]),
  );
}

/** The newest kept run of each version of a case with the check that was handed in, by version. */
export async function listRunsOfVersions(
  database: Database,
  faultyCase: string,
): Promise<ReadonlyMap<string, Outcome>> {
  const rows = await database.query(
    `select distinct on (r.version) r.version, r.outcome from run r
       join program_check c on c.key = r.program_check and c.edition = r.check_edition
     where c.faulty_case = $1 and c.handed_in order by r.version, r.created_at desc`,
    [faultyCase],
  );
  return new Map(
    z
      .array(z.object({ version: z.string(), outcome: jsonColumn(outcomeSchema) }))
      .parse(rows)
      .map((row) => [row.version, row.outcome]),
  );
}

/** The newest kept run of a version with an edition of a check, or null. */
export async function findKeptRun(
  database: Database,
  run: Pick<RunIdentity, "version" | "check" | "edition">,
): Promise<Outcome | null> {
  const rows = await database.query(
    `select program_check, outcome from run where version = $1 and program_check = $2 and check_edition = $3
     order by created_at desc limit 1`,
    [run.version, run.check, run.edition],
  );
  return oneRow(runRow, rows)?.outcome ?? null;
}

/** Keeps a run, unless its check was changed or its version taken away while it ran. */
export async function saveRun(database: Database, run: RunIdentity, outcome: Outcome): Promise<void> {
  await database.query(
    `insert into run (key, version, program_check, check_edition, translator, limits, outcome)
     select $1, v.key, c.key, c.edition, $5, $6, $7 from version v, program_check c
     where v.key = $2 and c.key = $3 and c.edition = $4`,
    [newKey(), run.version, run.check, run.edition, run.translator, asJson(run.limits), asJson(outcome)],
  );
}

/**
 * Throws runs away that nothing asks for any more: those of a check's former editions, and all but the newest of a
 * version and check. Returns how many.
 */
export async function sweepRuns(database: Database): Promise<number> {
  const rows = await database.query(
    `delete from run r using program_check c where c.key = r.program_check
       and (c.edition <> r.check_edition or exists (select 1 from run newer where newer.version = r.version
         and newer.program_check = r.program_check and newer.check_edition = r.check_edition
         and (newer.created_at, newer.key) > (r.created_at, r.key)))
     returning r.key`,
  );
  return z.array(keyRow).parse(rows).length;
}

/** Those of some cases of which a run is kept. */
export async function listCasesWithRuns(database: Database, cases: readonly string[]): Promise<string[]> {
  const rows = await database.query(
    `select distinct v.faulty_case as key from run r join version v on v.key = r.version
     where v.faulty_case in (select jsonb_array_elements_text($1::jsonb))`,
    [asJson(cases)],
  );
  return z
    .array(keyRow)
    .parse(rows)
    .map((row) => row.key);
}
