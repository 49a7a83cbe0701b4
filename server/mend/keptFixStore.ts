import * as z from "zod";
import type { Query } from "../database/database.ts";
import { asBytes, textBytes } from "../database/rows.ts";
import { newKey } from "../keys.ts";

const row = z.object({ key: z.string(), content: textBytes, intention: textBytes, preferred: z.boolean() });
/** A fix that a teacher accepts: the whole text of the main file with it. */
export type KeptFix = z.output<typeof row>;

/** The accepted fixes of a version, the preferred one first. */
export async function listFixes({ query }: { query: Query }, version: string): Promise<KeptFix[]> {
  return z
    .array(row)
    .parse(
      await query(
        "select key, content, intention, preferred from kept_fix where version = $1 order by preferred desc, kept_at, key",
        [version],
      ),
    );
}

export async function insertFix(
  query: Query,
  version: string,
  fix: { text: string; intention: string; preferred: boolean },
): Promise<void> {
  await query(
    `insert into kept_fix (key, version, faulty_case, content, intention, preferred)
     select $2, key, faulty_case, $3, $4, $5 from version where key = $1`,
    [version, newKey(), asBytes(fix.text), asBytes(fix.intention), fix.preferred],
  );
}

/** Makes one fix of a version the preferred one. */
export async function preferFix(query: Query, version: string, key: string): Promise<void> {
  await query("update kept_fix set preferred = (key = $2) where version = $1", [version, key]);
}

export async function deleteFix(query: Query, key: string): Promise<void> {
  await query("delete from kept_fix where key = $1", [key]);
}
