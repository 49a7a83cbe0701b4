import * as z from "zod";
import type { Example } from "../../core/patterns/example.ts";
import { type ExampleRecord, exampleRecordSchema } from "../../core/patterns/exampleRecords.ts";
import type { Query } from "../database/database.ts";
import { asBytes, asJson, asPlainText, jsonColumn, textBytes } from "../database/rows.ts";
import { newKey } from "../keys.ts";

const row = z
  .object({
    key: z.string(),
    name: z.string(),
    says: textBytes,
    mends: textBytes,
    language: z.string().nullable(),
    right_text: textBytes,
    faulty_text: textBytes,
    input: textBytes,
    recorded: jsonColumn(exampleRecordSchema).nullable(),
  })
  .transform(({ key, name, says, mends, language, right_text, faulty_text, input, recorded }) => ({
    ...{ key, id: `own/${key}`, name, says, mends, recorded },
    example: language === null ? null : ({ language, right: right_text, faulty: faulty_text, input } satisfies Example),
  }));
/** A kind of mistake of a teacher's own. `recorded`: what its example showed when it ran; null while it has none that runs. */
export type OwnPattern = z.output<typeof row>;

const columns = "key, name, says, mends, language, right_text, faulty_text, input, recorded";

/** The kinds of mistake that teachers added, by name. */
export async function listOwnPatterns(query: Query): Promise<OwnPattern[]> {
  return z
    .array(row)
    .parse(await query(`select ${columns} from own_pattern where deleted_at is null order by lower(name), key`));
}

/** One of them by its key, also where it was put away: what a case was called stays. */
export async function findOwnPattern(query: Query, key: string): Promise<OwnPattern | null> {
  const [found] = await query(`select ${columns} from own_pattern where key = $1`, [key]);
  return found ? row.parse(found) : null;
}

/** What a teacher says of a kind of mistake of their own. */
export type OwnPatternFields = {
  name: string;
  says: string;
  mends: string;
  example: Example | null;
  recorded: ExampleRecord | null;
};

const valuesOf = ({ name, says, mends, example, recorded }: OwnPatternFields) => [
  ...[asPlainText(name), asBytes(says), asBytes(mends), example?.language ?? null],
  ...[asBytes(example?.right ?? ""), asBytes(example?.faulty ?? ""), asBytes(example?.input ?? "")],
  recorded === null ? null : asJson(recorded),
];

/** Adds a kind of mistake; returns its key. */
export async function addOwnPattern(query: Query, owner: string, fields: OwnPatternFields): Promise<string> {
  const key = newKey();
  await query(
    `insert into own_pattern (key, owner, name, says, mends, language, right_text, faulty_text, input, recorded)
     values ($1, $2, $3, $4, $5, $6, $7, $8, $9, $10)`,
    [key, owner, ...valuesOf(fields)],
  );
  return key;
}

/** Writes one anew; its key stays, so what cases were called stays true. */
export async function setOwnPattern(query: Query, key: string, fields: OwnPatternFields): Promise<void> {
  await query(
    `update own_pattern set name = $2, says = $3, mends = $4, language = $5, right_text = $6, faulty_text = $7, input = $8, recorded = $9
     where key = $1`,
    [key, ...valuesOf(fields)],
  );
}

/** Puts one away, or takes it back. */
export async function putOwnPatternAway(query: Query, key: string, away: boolean): Promise<void> {
  await query("update own_pattern set deleted_at = case when $2 then now() end where key = $1", [key, away]);
}
