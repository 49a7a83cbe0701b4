import * as z from "zod";
import type { Database } from "../database/database.ts";
import { asBytes, asJson, asPlainText, textBytes } from "../database/rows.ts";
import type { FoundFix } from "./foundFix.ts";
import type { SearchResult } from "./search.ts";

const hunk = z.object({
  file: z.string().optional(),
  start: z.number(),
  before: z.array(z.string()),
  after: z.array(z.string()),
  extra: z.boolean().optional(),
});
const foundFix: z.ZodType<FoundFix> = z.object({
  text: z.string(),
  hunks: z.array(hunk),
  steps: z.array(z.string()),
  lines: z.array(z.number()),
  why: z.string(),
  families: z.array(z.string()),
  checks: z.object({ passed: z.number(), of: z.number() }),
  worth: z.number(),
  repairs: z.enum(["repairs", "hides", "open"]),
  because: z.string(),
});
const fixes = textBytes.transform((text) => z.array(foundFix).parse(JSON.parse(text)));

const row = z.object({
  checks: z.string(),
  state: z.enum(["waiting", "done", "stopped"]),
  fixes,
  starts: fixes,
  tried: z.number(),
  seconds: z.number(),
  not_searched: z.string().nullable(),
});
/** What a search found for a version, or how far it is. */
export type KeptSearch = z.output<typeof row>;

/** The search of a version; null where none was begun. */
export async function findSearch(database: Database, version: string): Promise<KeptSearch | null> {
  const [found] = await database.query(
    "select checks, state, fixes, starts, tried, seconds, not_searched from fix_search where version = $1",
    [version],
  );
  return found ? row.parse(found) : null;
}

/** Begins a search anew, whatever one before it found. */
export async function beginSearch(
  database: Database,
  faultyCase: string,
  version: string,
  checks: string,
): Promise<void> {
  await database.query(
    `insert into fix_search (version, faulty_case, checks) select key, faulty_case, $3 from version where key = $1 and faulty_case = $2
     on conflict (version) do update set checks = excluded.checks, state = 'waiting', fixes = '[]', starts = '[]', tried = 0,
       seconds = 0, not_searched = null, searched_at = now()`,
    [version, faultyCase, checks],
  );
}

/** Keeps what was found so far; `state` "waiting" while the search goes on. What was stopped by hand stays stopped. */
export async function keepSearch(
  database: Database,
  version: string,
  found: SearchResult,
  state: "waiting" | "done",
): Promise<void> {
  await database.query(
    `update fix_search set fixes = $2, starts = $3, tried = $4, seconds = $5, not_searched = $6, searched_at = now(),
       state = case when state = 'stopped' then state else $7 end where version = $1`,
    [
      ...[version, asBytes(asJson(found.fixes)), asBytes(asJson(found.starts)), found.tried, found.seconds],
      ...[found.notSearched === undefined ? null : asPlainText(found.notSearched), state],
    ],
  );
}

/** Notes that a search was stopped by hand. */
export async function noteStopped(database: Database, version: string): Promise<void> {
  await database.query("update fix_search set state = 'stopped' where version = $1 and state = 'waiting'", [version]);
}

/** Forgets a search, so that it is begun anew when it is asked for. */
export async function dropSearch(database: Database, version: string): Promise<void> {
  await database.query("delete from fix_search where version = $1", [version]);
}

/** Forgets a search that has found nothing and has not come to its end; one that has found something is noted as stopped. */
export async function dropUnfinished(database: Database, version: string): Promise<void> {
  await database.query("delete from fix_search where version = $1 and state = 'waiting' and fixes = '[]'", [version]);
  await noteStopped(database, version);
}
