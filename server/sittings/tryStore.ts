import * as z from "zod";
import { consolePieceSchema } from "../../core/outcome/outcome.ts";
import type { Query } from "../database/database.ts";
import { asBytes, textBytes, timeColumn } from "../database/rows.ts";
import { newKey } from "../keys.ts";

type Reach = { query: Query };

const consoleColumn = textBytes.transform((text) =>
  z.object({ pieces: z.array(consolePieceSchema), cut: z.number() }).parse(JSON.parse(text)),
);
const tryRow = z.object({
  key: z.string(),
  exercise: z.string(),
  text: textBytes,
  input: textBytes,
  console: consoleColumn,
  ended: z.string(),
  error: z.string(),
  tried_at: timeColumn,
});
/** A program that a student had run while sitting a sheet. `error`: what is the same in every program that fails so; "" for none. */
export type SittingTry = z.infer<typeof tryRow>;

/** Tries that are kept of a sitting, the oldest ones give way; and characters of a text and of what was typed in. */
const mostTries = 60;
const longestText = 20_000;
const longestInput = 5000;

export async function addTry(
  { query }: Reach,
  sitting: string,
  given: Omit<SittingTry, "key" | "tried_at">,
): Promise<void> {
  await query(
    `insert into sitting_try (key, sitting, exercise, text, input, console, ended, error)
     values ($1, $2, $3, $4, $5, $6, $7, $8)`,
    [
      ...[newKey(), sitting, given.exercise, asBytes(given.text.slice(0, longestText))],
      asBytes(given.input.slice(0, longestInput)),
      ...[asBytes(JSON.stringify(given.console)), given.ended, given.error],
    ],
  );
  await query(
    `delete from sitting_try where sitting = $1 and key in
       (select key from sitting_try where sitting = $1 order by tried_at desc offset $2)`,
    [sitting, mostTries],
  );
}

/** The newest run of a sitting, or null. */
export async function lastTry({ query }: Reach, sitting: string): Promise<SittingTry | null> {
  const rows = await query(
    `select key, exercise, text, input, console, ended, error, tried_at from sitting_try
     where sitting = $1 order by tried_at desc limit 1`,
    [sitting],
  );
  return z.array(tryRow).parse(rows)[0] ?? null;
}

/** All runs of a sitting that are kept, the oldest first. */
export async function listTries({ query }: Reach, sitting: string): Promise<SittingTry[]> {
  const rows = await query(
    `select key, exercise, text, input, console, ended, error, tried_at from sitting_try
     where sitting = $1 order by tried_at`,
    [sitting],
  );
  return z.array(tryRow).parse(rows);
}

const triedRow = z.object({
  sitting: z.string(),
  exercise: z.string(),
  ended: z.string(),
  error: z.string(),
  tried_at: timeColumn,
});

/** What was run in the sittings of a sheet, without texts, the oldest first. */
export async function listTried({ query }: Reach, sheet: string): Promise<Array<z.infer<typeof triedRow>>> {
  const rows = await query(
    `select t.sitting, t.exercise, t.ended, t.error, t.tried_at from sitting_try t
     join sitting i on i.key = t.sitting join sheet_edition e on e.key = i.edition
     where e.sheet = $1 order by t.tried_at`,
    [sheet],
  );
  return z.array(triedRow).parse(rows);
}
