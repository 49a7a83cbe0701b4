import * as z from "zod";
import type { faultClassSchema } from "../../core/cases/case.ts";
import type { Suggested } from "../../core/patterns/suggest.ts";
import type { Query } from "../database/database.ts";
import { asBytes, asJson, asPlainText, jsonColumn } from "../database/rows.ts";

/** What the evidence says of a version, as far as lists, charts and searches ask for it. `signature` as core/reading/signature.ts makes it. */
export type Finding = {
  version: string;
  faultyCase: string;
  class: z.infer<typeof faultClassSchema> | null;
  kind: "form" | "meaning" | null;
  symptom: string;
  message: string;
  messageKind: string | null;
  signature: string | null;
  reportedLine: number | null;
  /** The family of the likeliest change that mends it, where changes were looked for. */
  family: string | null;
  patterns: readonly Suggested[];
  /** Whether changes were looked for: what was found by one that did is not taken back by one that did not. */
  searched: boolean;
};

/**
 * Keeps what the evidence says of a version, if it is still there and this is something new. What a search found stays until another search is
 * done, or until the version shows another class or message.
 */
export async function saveFinding(query: Query, finding: Finding): Promise<void> {
  await query(
    `insert into finding as old (version, faulty_case, class, kind, symptom, message, message_kind, signature, reported_line, family, patterns, searched)
     select v.key, v.faulty_case, $3, $4, $5, $6, $7, $8, $9, $10, $11, $12 from version v where v.key = $1 and v.faulty_case = $2
     on conflict (version) do update set class = excluded.class, kind = excluded.kind, symptom = excluded.symptom, message = excluded.message,
       message_kind = excluded.message_kind, signature = excluded.signature, reported_line = excluded.reported_line, family = excluded.family,
       patterns = excluded.patterns, searched = excluded.searched, found_at = now()
     where (old.class, old.signature, old.reported_line) is distinct from (excluded.class, excluded.signature, excluded.reported_line)
       or (excluded.searched or not old.searched) and (old.patterns, old.family, old.searched) is distinct from (excluded.patterns, excluded.family, excluded.searched)`,
    [
      ...[finding.version, finding.faultyCase, finding.class, finding.kind, finding.symptom, asBytes(finding.message)],
      ...[finding.messageKind, finding.signature === null ? null : asPlainText(finding.signature)],
      ...[finding.reportedLine, finding.family, asJson(finding.patterns), finding.searched],
    ],
  );
}

const suggestedSchema = z.array(z.object({ id: z.string(), name: z.string(), why: z.string() }));

/** The kinds of mistake that are suggested for a version, best first. */
export async function suggestedFor(query: Query, version: string): Promise<Suggested[]> {
  const [found] = await query("select patterns from finding where version = $1", [version]);
  return found ? z.object({ patterns: jsonColumn(suggestedSchema) }).parse(found).patterns : [];
}

/** Cases that were judged and whose current version nothing is kept of yet, the oldest first. */
export async function listWithoutFinding(query: Query, most: number): Promise<string[]> {
  const rows = await query(
    `select f.key from faulty_case f where f.deleted_at is null
       and f.judged_at is not null
       and not exists (select 1 from finding n where n.faulty_case = f.key) order by f.created_at limit $1`,
    [most],
  );
  return z
    .array(z.object({ key: z.string() }))
    .parse(rows)
    .map((row) => row.key);
}
