import * as z from "zod";
import type { Query } from "../database/database.ts";
import { asBytes, asJson, asPlainText, jsonColumn, textBytes } from "../database/rows.ts";
import { newKey } from "../keys.ts";

/** What a part's check gave: the value that was printed (null: none came), whether it is the one that is wanted, and why not. */
export const partResultSchema = z.object({
  value: z.string().nullable(),
  passes: z.boolean(),
  ended: z.string(),
  version: z.number(),
});
export type PartResult = z.infer<typeof partResultSchema>;

const row = z.object({
  key: z.string(),
  part: z.string(),
  expression: textBytes,
  expected: textBytes,
  result: jsonColumn(partResultSchema).nullable(),
});
/** A check of one part of a program. */
export type PartCheck = z.output<typeof row>;

/** Checks of parts that a case may have. */
export const mostPartChecks = 40;

export async function listPartChecks(query: Query, faultyCase: string): Promise<PartCheck[]> {
  const columns = Object.keys(row.shape).join(", ");
  return z
    .array(row)
    .parse(await query(`select ${columns} from part_check where faulty_case = $1 order by made_at, key`, [faultyCase]));
}

export async function insertPartCheck(
  query: Query,
  faultyCase: string,
  given: Pick<PartCheck, "part" | "expression" | "expected">,
): Promise<void> {
  await query("insert into part_check (key, faulty_case, part, expression, expected) values ($1, $2, $3, $4, $5)", [
    ...[newKey(), faultyCase, asPlainText(given.part), asBytes(given.expression), asBytes(given.expected)],
  ]);
}

export async function deletePartCheck(query: Query, faultyCase: string, key: string): Promise<void> {
  await query("delete from part_check where faulty_case = $1 and key = $2", [faultyCase, key]);
}

export async function setPartResult(query: Query, key: string, result: PartResult): Promise<void> {
  await query("update part_check set result = $2 where key = $1", [key, asJson(result)]);
}
