import * as z from "zod";
import type { Query } from "../database/database.ts";
import { asBytes, asJson, jsonColumn, textBytes } from "../database/rows.ts";

const ruleRow = z.object({
  ...{ task: z.string(), number: z.number() },
  rules: jsonColumn(z.record(z.string(), z.number())),
  reason: textBytes,
});
/** Rules of a task as they were changed at one time, with the teacher's reason. */
export type SchemeRules = z.infer<typeof ruleRow>;

/** All changes of rules of an edition, the oldest first. */
export async function listSchemeRules({ query }: { query: Query }, edition: string): Promise<SchemeRules[]> {
  return z
    .array(ruleRow)
    .parse(
      await query("select task, number, rules, reason from scheme_rule where edition = $1 order by number", [edition]),
    );
}

/** Keeps changed rules of a task; former ones stay. */
export async function addSchemeRules(
  query: Query,
  edition: string,
  { task, rules, reason }: Pick<SchemeRules, "task" | "rules" | "reason">,
): Promise<void> {
  await query(
    `insert into scheme_rule (edition, task, number, rules, reason)
       select $1, $2, 1 + coalesce(max(number), 0), $3, $4 from scheme_rule where edition = $1 and task = $2`,
    [edition, task, asJson(rules), asBytes(reason)],
  );
}
