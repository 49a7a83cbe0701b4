import { createHash } from "node:crypto";
import { z } from "zod";
import {
  type Decision,
  decisionSchema,
  faultClassSchema,
  hunkSchema,
  keptVerdictSchema,
  linePlaceSchema,
  type NewCase,
  verificationSchema,
} from "../../core/cases/case.ts";
import { surroundingsSchema } from "../../core/cases/surroundings.ts";
import type { ProgramFiles } from "../../core/outcome/outcome.ts";
import { decodeText } from "../../core/source/decode.ts";
import type { Database, Query } from "../database/database.ts";
import { newKey } from "../keys.ts";
import { asBytes, bytesColumn, jsonColumn, oneRow, textBytes, timeColumn } from "./rows.ts";

const caseRow = z.object({
  key: z.string(),
  course: z.string().nullable(),
  student: z.string().nullable(),
  language: z.string(),
  title: z.string(),
  intent: textBytes,
  changed_last: textBytes,
  error_output: textBytes.nullable(),
  symptom: z.enum(["never ends", "nothing appears"]).nullable(),
  current_version: z.string(),
  checks_edition: z.number(),
  revision: z.number(),
  created_at: timeColumn,
  judged_at: timeColumn.nullable(),
  verified_at: timeColumn.nullable(),
  deleted_at: timeColumn.nullable(),
});
export type CaseRow = z.infer<typeof caseRow>;

const versionRow = z.object({ key: z.string(), number: z.number(), origin: z.string(), parent: z.string().nullable(), created_at: timeColumn });
const fileRow = z.object({ version: z.string(), name: z.string(), hash: z.string(), encoding: z.string(), bytes: bytesColumn });
const checkRow = z.object({
  key: z.string(),
  input: textBytes,
  expected: textBytes.nullable(),
  kind: z.enum(["normal", "boundary", "erroneous"]),
  ignore_prompts: z.boolean(),
  handed_in: z.boolean(),
  surroundings: jsonColumn(surroundingsSchema),
});
export type ProgramCheck = z.infer<typeof checkRow>;
const layerRow = z.object({
  key: z.string(),
  position: z.number(),
  version_before: z.string(),
  version_after: z.string().nullable(),
  verdict: jsonColumn(keptVerdictSchema),
  decided: jsonColumn(decisionSchema).nullable(),
  faulty_lines: jsonColumn(z.array(linePlaceSchema)),
  fix: jsonColumn(z.array(hunkSchema)).nullable(),
  first_fix: jsonColumn(z.array(hunkSchema)).nullable(),
  intention: textBytes.nullable(),
  verified: jsonColumn(verificationSchema).nullable(),
});
export type Layer = z.infer<typeof layerRow>;

/** A version with its files; `files[0]` is where the program starts. */
export type Version = z.infer<typeof versionRow> & { files: Array<{ name: string; bytes: Uint8Array; text: string; encoding: string }> };
export type WholeCase = CaseRow & { versions: Version[]; checks: ProgramCheck[]; layers: Layer[]; studentLabel: string | null; courseName: string | null };

const caseColumns =
  "key, course, student, language, title, intent, changed_last, error_output, symptom, current_version, checks_edition, revision, created_at, judged_at, verified_at, deleted_at";

/** Keeps the files of a version by the hash of their bytes. */
export async function insertVersion(query: Query, caseKey: string, files: ProgramFiles, origin: string, parent: string | null): Promise<string> {
  const key = newKey();
  await query(
    "insert into version (key, faulty_case, number, origin, parent) values ($1, $2, (select coalesce(max(number), 0) + 1 from version where faulty_case = $2), $3, $4)",
    [key, caseKey, origin, parent],
  );
  for (const [position, file] of files.entries()) {
    const hash = createHash("sha256").update(file.bytes).digest("hex");
    await query("insert into content (hash, bytes) values ($1, $2) on conflict (hash) do nothing", [hash, file.bytes]);
    await query("insert into version_file (version, position, name, hash, encoding) values ($1, $2, $3, $4, $5)", [
      key,
      position,
      file.name,
      hash,
      decodeText(file.bytes).encoding,
    ]);
  }
  return key;
}

/** Takes a case into the Tray. The caller has looked at problemsOfNewCase. Returns its key. */
export async function collectCase(database: Database, given: NewCase): Promise<string> {
  return database.transaction(async (query) => {
    const key = newKey();
    await query(
      "insert into faulty_case (key, course, student, language, title, intent, changed_last, error_output, symptom) values ($1, $2, $3, $4, $5, $6, $7, $8, $9)",
      [
        ...[key, given.course, given.student, given.language, given.title],
        ...[asBytes(given.intent), asBytes(given.changedLast), given.errorOutput === undefined ? null : asBytes(given.errorOutput), given.symptom],
      ],
    );
    const version = await insertVersion(query, key, given.files, "handed in", null);
    await query("update faulty_case set current_version = $2 where key = $1", [key, version]);
    await query("insert into program_check (key, faulty_case, position, input, expected, kind, handed_in) values ($1, $2, 0, $3, $4, 'normal', true)", [
      newKey(),
      key,
      asBytes(given.input),
      given.expected === undefined ? null : asBytes(given.expected),
    ]);
    return key;
  });
}

/** Everything of a case, or null if there is none with this key (a deleted one is found; see deleted_at). */
export async function findCase(database: Database, key: string): Promise<WholeCase | null> {
  const found = oneRow(caseRow, await database.query(`select ${caseColumns} from faulty_case where key = $1`, [key]));
  if (!found) return null;
  const [versions, files, checks, layers, names] = await Promise.all([
    database.query("select key, number, origin, parent, created_at from version where faulty_case = $1 order by number", [key]),
    database.query(
      "select f.version, f.name, f.hash, f.encoding, c.bytes from version_file f join version v on v.key = f.version join content c on c.hash = f.hash where v.faulty_case = $1 order by f.version, f.position",
      [key],
    ),
    database.query("select key, input, expected, kind, ignore_prompts, handed_in, surroundings from program_check where faulty_case = $1 order by position", [
      key,
    ]),
    database.query(
      "select key, position, version_before, version_after, verdict, decided, faulty_lines, fix, first_fix, intention, verified from layer where faulty_case = $1 order by position",
      [key],
    ),
    database.query(
      "select s.label, c.name from faulty_case f left join student s on s.key = f.student left join course c on c.key = f.course where f.key = $1",
      [key],
    ),
  ]);
  const allFiles = z.array(fileRow).parse(files);
  const name = z.object({ label: z.string().nullable(), name: z.string().nullable() }).parse(names[0]);
  return {
    ...found,
    studentLabel: name.label,
    courseName: name.name,
    versions: z
      .array(versionRow)
      .parse(versions)
      .map((version) => ({
        ...version,
        files: allFiles
          .filter((file) => file.version === version.key)
          .map((file) => ({ name: file.name, bytes: file.bytes, text: decodeText(file.bytes).text, encoding: file.encoding })),
      })),
    checks: z.array(checkRow).parse(checks),
    layers: z.array(layerRow).parse(layers),
  };
}

const listRow = z.object({
  key: z.string(),
  title: z.string(),
  language: z.string(),
  label: z.string().nullable(),
  course_name: z.string().nullable(),
  created_at: timeColumn,
  judged_at: timeColumn.nullable(),
  verified_at: timeColumn.nullable(),
  class: faultClassSchema.nullable(),
  layers: z.number(),
});
export type CaseListRow = z.infer<typeof listRow>;

/** Rows shown on one page of a list. */
export const listLength = 25;

/** A page of the Tray (`judged` false) or the Casebook (null: all), newest first, with the number of all that fit. */
export async function listCases(
  database: Database,
  wanted: { judged: boolean | null; class?: string; page: number },
): Promise<{ rows: CaseListRow[]; total: number }> {
  const conditions = ["f.deleted_at is null"];
  const values: unknown[] = [];
  if (wanted.judged === false) conditions.push("f.judged_at is null");
  if (wanted.judged === true) conditions.push("f.judged_at is not null");
  if (wanted.class) {
    values.push(wanted.class);
    conditions.push(`exists (select 1 from layer l where l.faulty_case = f.key and l.decided::json ->> 'class' = $${values.length})`);
  }
  const where = conditions.join(" and ");
  const [count, rows] = await Promise.all([
    database.query(`select count(*)::int as total from faulty_case f where ${where}`, values),
    database.query(
      `select f.key, f.title, f.language, s.label, c.name as course_name, f.created_at, f.judged_at, f.verified_at,
         (select l.decided::json ->> 'class' from layer l where l.faulty_case = f.key order by l.position limit 1) as class,
         (select count(*)::int from layer l where l.faulty_case = f.key) as layers
       from faulty_case f left join student s on s.key = f.student left join course c on c.key = f.course
       where ${where} order by f.created_at desc, f.key limit ${listLength} offset ${Math.max(0, wanted.page) * listLength}`,
      values,
    ),
  ]);
  return { rows: z.array(listRow).parse(rows), total: z.object({ total: z.number() }).parse(count[0]).total };
}

/** Puts a case away; `restoreCase` takes that back. */
export async function deleteCase(database: Database, key: string): Promise<void> {
  await database.query("update faulty_case set deleted_at = now() where key = $1", [key]);
}

export async function restoreCase(database: Database, key: string): Promise<void> {
  await database.query("update faulty_case set deleted_at = null where key = $1", [key]);
}

/** True if the case was still at the revision that the writer had read; then the revision is one higher. Call it first in a transaction. */
export async function takeRevision(query: Query, key: string, revision: number): Promise<boolean> {
  return (await query("update faulty_case set revision = revision + 1 where key = $1 and revision = $2 returning key", [key, revision])).length === 1;
}

export type { Decision };
