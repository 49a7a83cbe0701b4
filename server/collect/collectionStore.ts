import { createHash } from "node:crypto";
import * as z from "zod";
import { type Corrections, fingerprintOf, type KnownCase } from "../../core/collecting/arrange.ts";
import type { Entry, Refused } from "../../core/collecting/entries.ts";
import { findLanguage } from "../../core/languages/languages.ts";
import { decodeText } from "../../core/source/decode.ts";
import type { Database, Query } from "../database/database.ts";
import { asJson, bytesColumn, jsonColumn, keyRow, oneRow } from "../database/rows.ts";
import { newKey } from "../keys.ts";

const refusedSchema = z.array(z.object({ path: z.string(), reason: z.string() }));
const texts = z.record(z.string(), z.string());
const correctionsSchema = z.object({
  rule: z.string().optional(),
  students: texts.optional(),
  languages: texts.optional(),
  pairs: texts.optional(),
  left: z.record(z.string(), z.boolean()).optional(),
});
const collectionRow = z.object({
  key: z.string(),
  course: z.string().nullable(),
  assignment: z.string().nullable(),
  name: z.string(),
  corrections: jsonColumn(correctionsSchema),
  refused: jsonColumn(refusedSchema),
  state: z.enum(["open", "kept", "judged", "stopped"]),
  cases: jsonColumn(z.array(z.string())),
});
export type Collection = z.infer<typeof collectionRow>;

/** Days after which a set that nobody took in is forgotten. */
const keptDays = 14;

/** Keeps a set of files to be looked through; nothing of it is a case yet. Returns its key. */
export async function openCollection(
  database: Database,
  course: string,
  name: string,
  entries: readonly Entry[],
  refused: readonly Refused[],
): Promise<string> {
  return database.transaction(async (query) => {
    await query(`delete from collection where state = 'open' and created_at < now() - interval '${keptDays} days'`);
    const key = newKey();
    await query("insert into collection (key, course, name, refused) values ($1, $2, $3, $4)", [
      key,
      course,
      name,
      asJson(refused),
    ]);
    // Many rows a statement: a set may have thousands of files.
    for (let from = 0; from < entries.length; from += 200) {
      const part = entries.slice(from, from + 200);
      const places = part.map((_, index) => `($1, $${index * 3 + 2}, $${index * 3 + 3}, $${index * 3 + 4})`);
      await query(`insert into collection_file (collection, position, path, bytes) values ${places.join(", ")}`, [
        key,
        ...part.flatMap((entry, index) => [from + index, entry.path, entry.bytes]),
      ]);
    }
    return key;
  });
}

export async function findCollection(database: Database, key: string): Promise<Collection | null> {
  return oneRow(
    collectionRow,
    await database.query(
      "select key, course, assignment, name, corrections, refused, state, cases from collection where key = $1",
      [key],
    ),
  );
}

export async function listOpenCollections(
  database: Database,
): Promise<Array<{ key: string; name: string; files: number }>> {
  return z
    .array(z.object({ key: z.string(), name: z.string(), files: z.number() }))
    .parse(
      await database.query(
        "select c.key, c.name, (select count(*)::int from collection_file f where f.collection = c.key) as files from collection c where c.state = 'open' order by c.created_at desc limit 5",
      ),
    );
}

/** The files of a set that is not taken in yet. */
export async function entriesOf(database: Database, key: string): Promise<Entry[]> {
  return z
    .array(z.object({ path: z.string(), bytes: bytesColumn }))
    .parse(
      await database.query("select path, bytes from collection_file where collection = $1 order by position", [key]),
    );
}

/** A program's fingerprint in few signs, for comparing with many. */
export function digestOf(fingerprint: string): string {
  return createHash("sha256").update(fingerprint).digest("base64url");
}

const knownRow = z.object({
  version: z.string(),
  key: z.string(),
  label: z.string().nullable(),
  language: z.string(),
  title: z.string(),
  name: z.string(),
  fingerprint: z.string().nullable(),
  bytes: bytesColumn.nullable(),
});

/**
 * What a set is compared with: every version that was handed in to the course, the newest first, with the digest of its
 * fingerprint. A program's text is read once, when it is first compared.
 */
export async function listKnownCases(database: Database, course: string): Promise<KnownCase[]> {
  const rows = await database.query(
    `select v.key as version, f.key, s.label, f.language, f.title, vf.name, v.fingerprint,
       case when v.fingerprint is null then c.bytes end as bytes
     from faulty_case f join version v on v.faulty_case = f.key and v.handed_in
       join version_file vf on vf.version = v.key and vf.position = 0
       join content c on c.hash = vf.hash left join student s on s.key = f.student
     where f.course = $1 and f.deleted_at is null order by f.created_at desc, v.number desc`,
    [course],
  );
  const fresh: Record<string, string> = {};
  const known = z
    .array(knownRow)
    .parse(rows)
    .map(({ bytes, name, version, fingerprint, ...row }) => {
      const text = () => decodeText(bytes ?? new Uint8Array()).text;
      const print = fingerprint ?? digestOf(fingerprintOf(findLanguage(row.language) ?? null, text()));
      if (fingerprint === null) fresh[version] = print;
      return { ...row, fileName: name, fingerprint: print };
    });
  if (Object.keys(fresh).length > 0)
    await database.query(
      `update version v set fingerprint = fresh.value from jsonb_each_text($1::jsonb) fresh where v.key = fresh.key`,
      [asJson(fresh)],
    );
  return known;
}

/** Keeps what the teacher corrected in the table. */
export async function correctCollection(database: Database, key: string, corrections: Corrections): Promise<void> {
  await database.query("update collection set corrections = $2 where key = $1 and state = 'open'", [
    key,
    asJson(corrections),
  ]);
}

/** Says which assignment the programs of a set were written for. */
export async function setCollectionAssignment(query: Query, key: string, assignment: string | null): Promise<void> {
  await query("update collection set assignment = $2 where key = $1", [key, assignment]);
}

/** Puts a set away that was not taken in. */
export async function dropCollection(database: Database, key: string): Promise<void> {
  await database.query("delete from collection where key = $1 and state = 'open'", [key]);
}

/** Claims a set for being taken in; false if it was taken in already. */
export async function claimCollection(query: Query, key: string): Promise<boolean> {
  const rows = await query("update collection set state = 'kept' where key = $1 and state = 'open' returning key", [
    key,
  ]);
  return rows.length === 1;
}

/** Keeps which cases a set has become, and forgets its files. */
export async function finishCollection(query: Query, key: string, cases: readonly string[]): Promise<void> {
  await query("update collection set cases = $2 where key = $1", [key, asJson(cases)]);
  await query("delete from collection_file where collection = $1", [key]);
}

/** Moves a set that was taken in to the state that its judging has come to. */
export async function setJudgingState(database: Database, key: string, state: "judged" | "stopped"): Promise<void> {
  await database.query("update collection set state = $2 where key = $1 and state in ('kept', $2)", [key, state]);
}

/** The sets that were taken in and are not judged to their end. */
export async function listKeptCollections(database: Database): Promise<string[]> {
  const rows = await database.query("select key from collection where state = 'kept' order by created_at");
  return z
    .array(keyRow)
    .parse(rows)
    .map((row) => row.key);
}
