import * as z from "zod";
import type { Query } from "../database/database.ts";
import { asBytes, textBytes } from "../database/rows.ts";
import { newKey } from "../keys.ts";

const decisionRow = z.object({ about: z.string(), decision: z.enum(["mend", "accept", "hide"]), note: textBytes });
/**
 * What was decided of a warning: to mend it, to accept it, or to hide it here, with a note. `about` names the warning.
 */
export type WarningDecision = z.infer<typeof decisionRow>;

export async function listWarningDecisions(query: Query, faultyCase: string): Promise<WarningDecision[]> {
  return z
    .array(decisionRow)
    .parse(await query("select about, decision, note from warning_decision where faulty_case = $1", [faultyCase]));
}

/** Keeps what was decided of a warning; null takes the decision back. */
export async function decideWarning(
  query: Query,
  faultyCase: string,
  about: string,
  decision: WarningDecision["decision"] | null,
  note: string,
): Promise<void> {
  if (decision === null)
    await query("delete from warning_decision where faulty_case = $1 and about = $2", [faultyCase, about]);
  else
    await query(
      `insert into warning_decision (key, faulty_case, about, decision, note) values ($1, $2, $3, $4, $5)
       on conflict (faulty_case, about) do update set decision = excluded.decision, note = excluded.note, decided_at = now()`,
      [newKey(), faultyCase, about.slice(0, 500), decision, asBytes(note)],
    );
}
