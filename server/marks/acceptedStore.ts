import { createHash } from "node:crypto";
import * as z from "zod";
import type { Query } from "../database/database.ts";
import { asBytes, textBytes } from "../database/rows.ts";

const acceptedRow = z.object({
  ...{ task: z.string(), item: z.string(), answer: z.string(), earned: z.coerce.number() },
  reason: textBytes,
});
/** A decision for an answer to an item of a task. */
export type Accepted = z.infer<typeof acceptedRow>;

/** Words without blanks and letter case, and keys in order: answers that say the same are the same. */
function canonical(value: unknown): unknown {
  if (typeof value === "string")
    return value
      .trim()
      .replace(/[ \t]+/g, " ")
      .replaceAll("\r\n", "\n");
  if (Array.isArray(value)) return value.map(canonical);
  if (typeof value !== "object" || value === null) return value;
  return Object.fromEntries(
    Object.entries(value)
      .map(([key, each]) => [key, canonical(each)] as const)
      .filter(([, each]) => each !== "" && each !== undefined)
      .sort(([one], [other]) => (one < other ? -1 : 1)),
  );
}

/** What is the same for answers that say the same of the same program: in another scene it is another one. */
export function answerKey(answer: unknown, scene: number): string {
  const said = createHash("sha256")
    .update(JSON.stringify(canonical(answer)) ?? "")
    .digest("hex");
  return scene === 0 ? said : `${scene} ${said}`;
}

/** What was decided for answers on an edition. */
export async function listAccepted({ query }: { query: Query }, edition: string): Promise<Accepted[]> {
  return z
    .array(acceptedRow)
    .parse(await query("select task, item, answer, earned, reason from accepted_answer where edition = $1", [edition]));
}

/** Keeps a decision for an answer, in place of a former one. */
export async function keepAccepted(query: Query, edition: string, accepted: Accepted): Promise<void> {
  await query(
    `insert into accepted_answer (edition, task, item, answer, earned, reason) values ($1, $2, $3, $4, $5, $6)
     on conflict (edition, task, item, answer) do update set earned = excluded.earned, reason = excluded.reason, decided_at = now()`,
    [edition, accepted.task, accepted.item, accepted.answer, accepted.earned, asBytes(accepted.reason)],
  );
}
