import * as z from "zod";
import { probeSchema } from "../../core/narrowing/probes.ts";
import type { Query } from "../database/database.ts";
import { asBytes, asJson, asPlainText, jsonColumn, textBytes, timeColumn } from "../database/rows.ts";
import { newKey } from "../keys.ts";

/** What a try showed: its pieces of output (a printed value has the place of its probe, from 1), and how it ended, in words. */
export const triedSchema = z.object({
  pieces: z.array(
    z.object({ kind: z.enum(["out", "err", "in", "probe"]), probe: z.number().nullable(), text: z.string() }),
  ),
  ended: z.string(),
  passes: z.boolean().nullable(),
  milliseconds: z.number(),
});
export type Tried = z.infer<typeof triedSchema>;

const row = z.object({
  key: z.string(),
  version: z.string(),
  check_name: z.string(),
  probes: jsonColumn(z.array(probeSchema)),
  belief: textBytes,
  result: jsonColumn(triedSchema),
  tried_at: timeColumn,
});
/** A try with what was put into the copy and what it showed. */
export type NarrowTry = z.output<typeof row>;

/** Tries of a case that are kept; older ones go. */
const mostKept = 60;

/** The tries of a case, the newest first. */
export async function listTries(query: Query, faultyCase: string): Promise<NarrowTry[]> {
  const columns = Object.keys(row.shape).join(", ");
  return z
    .array(row)
    .parse(
      await query(
        `select ${columns} from narrow_try where faulty_case = $1 order by tried_at desc, key limit ${mostKept}`,
        [faultyCase],
      ),
    );
}

/** Writes a try into the log. */
export async function insertTry(
  query: Query,
  faultyCase: string,
  given: Omit<NarrowTry, "key" | "tried_at"> & { who: string },
): Promise<void> {
  await query(
    `insert into narrow_try (key, faulty_case, version, check_name, probes, belief, result, who) values ($1, $2, $3, $4, $5, $6, $7, $8)`,
    [
      ...[newKey(), faultyCase, given.version, asPlainText(given.check_name), asJson(given.probes)],
      ...[asBytes(given.belief), asJson(given.result), given.who],
    ],
  );
  await query(
    `delete from narrow_try where faulty_case = $1 and key not in
       (select key from narrow_try where faulty_case = $1 order by tried_at desc, key limit ${mostKept})`,
    [faultyCase],
  );
}

/** Takes a try out of the log. */
export async function deleteTry(query: Query, faultyCase: string, key: string): Promise<void> {
  await query("delete from narrow_try where faulty_case = $1 and key = $2", [faultyCase, key]);
}
