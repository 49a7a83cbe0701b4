import * as z from "zod";
import type { Query } from "../database/database.ts";
import { keyRow } from "../database/rows.ts";

type Reach = { query: Query };

/** Says something to all who sit a sheet; "" takes it back. */
export async function sayWord({ query }: Reach, sheet: string, word: string): Promise<void> {
  await query("update sheet set word = $2 where key = $1", [sheet, word]);
}

/** Nobody can write from now on. Does nothing where it is paused already. */
export async function pauseSheet({ query }: Reach, sheet: string): Promise<void> {
  await query("update sheet set paused_at = coalesce(paused_at, now()) where key = $1", [sheet]);
}

/**
 * Ends a pause: the bell is moved by its length, and who sat it then has so much more of the own minutes. All or nothing,
 * so `query` is a transaction's.
 */
export async function endPause(query: Query, sheet: string): Promise<void> {
  await query(
    `update sitting i set paused_seconds = paused_seconds
         + ceil(extract(epoch from now() - greatest(h.paused_at, i.started_at)))::integer
     from sheet_edition e join sheet h on h.key = e.sheet
     where e.key = i.edition and h.key = $1 and h.paused_at is not null and i.handed_in_at is null`,
    [sheet],
  );
  await query(
    "update sheet set bell_at = bell_at + (now() - paused_at), paused_at = null where key = $1 and paused_at is not null",
    [sheet],
  );
}

/** When all is collected by itself; null: not by itself. */
export async function setBell({ query }: Reach, sheet: string, at: Date | null): Promise<void> {
  await query("update sheet set bell_at = $2 where key = $1", [sheet, at]);
}

/** Lets a student sit a sheet although it is closed, or takes that back. */
export async function allowLater({ query }: Reach, sheet: string, student: string, allowed: boolean): Promise<void> {
  await query(
    allowed
      ? "insert into later_sitting (sheet, student) values ($1, $2) on conflict do nothing"
      : "delete from later_sitting where sheet = $1 and student = $2",
    [sheet, student],
  );
}

/** The students who may sit a sheet later than the others. */
export async function listLater({ query }: Reach, sheet: string): Promise<ReadonlySet<string>> {
  const rows = await query("select student as key from later_sitting where sheet = $1", [sheet]);
  return new Set(
    z
      .array(keyRow)
      .parse(rows)
      .map(({ key }) => key),
  );
}

/** Closes the sheets whose bell has rung before a time and that nobody sits any more. */
export async function closeRung({ query }: Reach, before: Date): Promise<void> {
  await query(
    `update sheet h set state = 'closed' where h.state = 'set' and h.bell_at < $1 and h.paused_at is null and not exists
       (select 1 from sitting i join sheet_edition e on e.key = i.edition where e.sheet = h.key and i.handed_in_at is null
          and not exists (select 1 from later_sitting l where l.sheet = h.key and l.student = i.student))`,
    [before],
  );
}
