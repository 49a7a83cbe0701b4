import { z } from "zod";
import { type Limits, type Outcome, outcomeSchema } from "../../core/outcome/outcome.ts";
import type { Database } from "../database/database.ts";
import { newKey } from "../keys.ts";
import { jsonColumn, oneRow } from "./rows.ts";

/** What a run is stored by: the same four give the same run. */
export type RunIdentity = { version: string; check: string; checksEdition: number; translator: string; limits: Limits };

const runRow = z.object({ outcome: jsonColumn(outcomeSchema) });

export async function findRun(database: Database, run: RunIdentity): Promise<Outcome | null> {
  const rows = await database.query(
    "select outcome from run where version = $1 and program_check = $2 and check_edition = $3 and translator = $4 and limits = $5 limit 1",
    [run.version, run.check, run.checksEdition, run.translator, JSON.stringify(run.limits)],
  );
  return oneRow(runRow, rows)?.outcome ?? null;
}

export async function saveRun(database: Database, run: RunIdentity, outcome: Outcome): Promise<void> {
  await database.query("insert into run (key, version, program_check, check_edition, translator, limits, outcome) values ($1, $2, $3, $4, $5, $6, $7)", [
    newKey(),
    run.version,
    run.check,
    run.checksEdition,
    run.translator,
    JSON.stringify(run.limits),
    JSON.stringify(outcome),
  ]);
}
