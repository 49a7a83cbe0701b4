import { createHash } from "node:crypto";
import { z } from "zod";
import {
  type Decision,
  decisionSchema,
  hunkSchema,
  keptVerdictSchema,
  linePlaceSchema,
  type NewCase,
  type ToolOutput,
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
  instead: textBytes,
  user_actions: textBytes,
  first_line: z.number(),
  note: textBytes,
  receipt: z.string().nullable(),
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

const versionRow = z.object({
  key: z.string(),
  number: z.number(),
  origin: z.string(),
  parent: z.string().nullable(),
  worked: z.boolean(),
  handed_in: z.boolean(),
  created_at: timeColumn,
});
const outputRow = z.object({ key: z.string(), version: z.string(), origin: z.string(), content: textBytes });
const additionRow = z.object({ content: textBytes, created_at: timeColumn });
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
export type WholeCase = CaseRow & {
  versions: Version[];
  checks: ProgramCheck[];
  layers: Layer[];
  /** What tools said, by version, in the order in which it was given. */
  outputs: Array<z.infer<typeof outputRow>>;
  additions: Array<z.infer<typeof additionRow>>;
  studentLabel: string | null;
  courseName: string | null;
};

const caseColumns =
  "key, course, student, language, title, intent, changed_last, instead, user_actions, first_line, note, receipt, symptom, current_version, checks_edition, revision, created_at, judged_at, verified_at, deleted_at";

/** Keeps the files of a version by the hash of their bytes. `said`: whether it was handed in, and whether it worked. */
export async function insertVersion(
  query: Query,
  caseKey: string,
  files: ProgramFiles,
  origin: string,
  parent: string | null,
  said: { handedIn?: boolean; worked?: boolean } = {},
): Promise<string> {
  const key = newKey();
  await query(
    "insert into version (key, faulty_case, number, origin, parent, handed_in, worked) values ($1, $2, (select coalesce(max(number), 0) + 1 from version where faulty_case = $2), $3, $4, $5, $6)",
    [key, caseKey, origin, parent, said.handedIn ?? false, said.worked ?? false],
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

/** Keeps what a tool said of a version, after what is there. */
export async function insertOutput(query: Query, version: string, output: ToolOutput): Promise<void> {
  await query(
    "insert into tool_output (key, version, position, origin, content) values ($1, $2, (select coalesce(max(position), -1) + 1 from tool_output where version = $2), $3, $4)",
    [newKey(), version, output.origin, asBytes(output.text)],
  );
}

/** Takes a case into the Tray. The caller has looked at problemsOfNewCase. Returns its key. */
export async function collectCase(database: Database, given: NewCase): Promise<string> {
  return database.transaction((query) => insertCase(query, given));
}

/** The same inside a transaction, for many at once. */
export async function insertCase(query: Query, given: NewCase): Promise<string> {
  const key = newKey();
  await query(
    `insert into faulty_case (key, course, student, language, title, intent, changed_last, instead, user_actions, first_line, receipt, symptom)
     values ($1, $2, $3, $4, $5, $6, $7, $8, $9, $10, $11, $12)`,
    [
      ...[key, given.course, given.student, given.language, given.title, asBytes(given.intent), asBytes(given.changedLast), asBytes(given.instead ?? "")],
      ...[asBytes((given.userActions ?? []).join("\n")), given.firstLine ?? 1, given.receipt ?? null, given.symptom],
    ],
  );
  const before = given.worked ? await insertVersion(query, key, given.worked, "worked before", null, { handedIn: true, worked: true }) : null;
  const version = await insertVersion(query, key, given.files, "handed in", before, { handedIn: true });
  await query("update faulty_case set current_version = $2 where key = $1", [key, version]);
  const outputs = [...(given.errorOutput === undefined ? [] : [{ origin: "", text: given.errorOutput }]), ...(given.moreOutputs ?? [])];
  for (const output of outputs) await insertOutput(query, version, output);
  await query("insert into program_check (key, faulty_case, position, input, expected, kind, handed_in) values ($1, $2, 0, $3, $4, 'normal', true)", [
    newKey(),
    key,
    asBytes(given.input),
    given.expected === undefined ? null : asBytes(given.expected),
  ]);
  const programs = [...(given.worked ?? []), ...given.files].map((file) => decodeText(file.bytes).text);
  await setSearchText(query, key, [given.title, given.intent, given.instead ?? "", given.changedLast, ...outputs.map((output) => output.text), ...programs]);
  return key;
}

/** Characters of a case that can be searched; more than any program of a class has. */
const searchable = 60_000;

/** Makes the text that a case is searched by anew, from its programs, outputs, words and notes. */
export async function refreshSearchText(query: Query, key: string): Promise<void> {
  const parts = z
    .array(z.object({ bytes: bytesColumn }))
    .parse(
      await query(
        `select intent as bytes from faulty_case where key = $1 union all select instead from faulty_case where key = $1 union all select changed_last from faulty_case where key = $1
         union all select note from faulty_case where key = $1 union all select convert_to(title, 'UTF8') from faulty_case where key = $1
         union all select content from student_addition where faulty_case = $1
         union all select substring(o.content from 1 for ${searchable}) from tool_output o join version v on v.key = o.version where v.faulty_case = $1
         union all select substring(c.bytes from 1 for ${searchable}) from version v join version_file f on f.version = v.key join content c on c.hash = f.hash where v.faulty_case = $1`,
        [key],
      ),
    )
    .map((row) => decodeText(row.bytes).text);
  await setSearchText(query, key, parts);
}

async function setSearchText(query: Query, key: string, parts: readonly string[]): Promise<void> {
  // Through bytes, so that broken surrogates do not reach the text column.
  const joined = parts.map((part) => part.slice(0, searchable)).join("\n");
  const text = asBytes(joined.slice(0, searchable).toLowerCase().replaceAll("\0", "")).toString("utf8");
  await query("update faulty_case set search_text = $2 where key = $1", [key, text]);
}

/** Everything of a case, or null if there is none with this key (a deleted one is found; see deleted_at). */
export async function findCase(database: Database, key: string): Promise<WholeCase | null> {
  const found = oneRow(caseRow, await database.query(`select ${caseColumns} from faulty_case where key = $1`, [key]));
  if (!found) return null;
  const [versions, files, checks, layers, names, outputs, additions] = await Promise.all([
    database.query("select key, number, origin, parent, worked, handed_in, created_at from version where faulty_case = $1 order by number", [key]),
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
    database.query(
      "select o.key, o.version, o.origin, o.content from tool_output o join version v on v.key = o.version where v.faulty_case = $1 order by v.number, o.position",
      [key],
    ),
    database.query("select content, created_at from student_addition where faulty_case = $1 order by created_at", [key]),
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
    outputs: z.array(outputRow).parse(outputs),
    additions: z.array(additionRow).parse(additions),
  };
}

/** The version that the search for the fault starts from: that of the first layer, else the last one handed in that is not said to work. */
export function startVersion(found: WholeCase): Version | undefined {
  const first = found.layers[0]?.version_before;
  return (
    found.versions.find((version) => version.key === first) ?? found.versions.findLast((version) => version.handed_in && !version.worked) ?? found.versions[0]
  );
}

/** The last version before the given one that is said to have worked, or undefined. */
export function workedBefore(found: WholeCase, version: Version): Version | undefined {
  return found.versions.findLast((each) => each.worked && each.number < version.number);
}

/** Says of a version that it worked, or takes that back; what was changed since is then the first suspect. */
export async function setWorked(database: Database, faultyCase: string, version: string, worked: boolean): Promise<void> {
  await database.query("update version set worked = $3 where key = $2 and faulty_case = $1", [faultyCase, version, worked]);
}

/** Adds a version that was handed in again, with what a tool said of it. It becomes the current one as long as the case is not judged. */
export async function addHandIn(database: Database, found: WholeCase, files: ProgramFiles, outputs: readonly ToolOutput[]): Promise<string> {
  return database.transaction((query) => insertHandIn(query, found, files, outputs));
}

/** The same inside a transaction. */
export async function insertHandIn(query: Query, found: Pick<WholeCase, "key">, files: ProgramFiles, outputs: readonly ToolOutput[]): Promise<string> {
  const before = oneRow(
    z.object({ key: z.string() }),
    await query("select key from version where faulty_case = $1 and handed_in order by number desc limit 1", [found.key]),
  );
  const key = await insertVersion(query, found.key, files, "handed in again", before?.key ?? null, { handedIn: true });
  for (const output of outputs) await insertOutput(query, key, output);
  await query(
    "update faulty_case set current_version = $2, revision = revision + 1 where key = $1 and judged_at is null and not exists (select 1 from layer where faulty_case = $1)",
    [found.key, key],
  );
  await refreshSearchText(query, found.key);
  return key;
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

/** Keeps a note of the teacher's. */
export async function setNote(database: Database, key: string, note: string): Promise<void> {
  await database.transaction(async (query) => {
    await query("update faulty_case set note = $2 where key = $1", [key, asBytes(note)]);
    await refreshSearchText(query, key);
  });
}

/** Keeps what another tool said of the current version. */
export async function addOutput(database: Database, found: WholeCase, output: ToolOutput): Promise<void> {
  await database.transaction(async (query) => {
    await insertOutput(query, found.current_version, output);
    await refreshSearchText(query, found.key);
  });
}
