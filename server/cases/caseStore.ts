import * as z from "zod";
import type { NewCase, ToolOutput } from "../../core/cases/case.ts";
import type { ProgramFiles } from "../../core/outcome/outcome.ts";
import { decodeText } from "../../core/source/decode.ts";
import { insertCheck, listChecks, type ProgramCheck } from "../assignments/checkStore.ts";
import type { Database, Query } from "../database/database.ts";
import { asBytes, jsonColumn, keyRow, oneRow, textBytes, timeColumn } from "../database/rows.ts";
import { newKey } from "../keys.ts";
import { type Layer, listLayers } from "./layerStore.ts";
import { refreshSearchText, setSearchText } from "./searchStore.ts";
import {
  type Addition,
  insertOutput,
  insertVersion,
  type KeptOutput,
  lastHandedIn,
  listAdditions,
  listOutputs,
  listVersions,
  readFiles,
  type Version,
  type VersionHead,
  type WantedFiles,
} from "./versionStore.ts";

export const symptomSchema = z.enum(["never ends", "nothing appears"]);

const caseRow = z.object({
  key: z.string(),
  course: z.string().nullable(),
  student: z.string().nullable(),
  assignment: z.string().nullable(),
  language: z.string(),
  title: z.string(),
  intent: textBytes,
  changed_last: textBytes,
  instead: textBytes,
  came_out: textBytes,
  hand_table: textBytes,
  user_actions: textBytes,
  first_line: z.number(),
  only_read: z.boolean(),
  source: z.string(),
  note: textBytes,
  receipt: z.string().nullable(),
  symptom: symptomSchema.nullable(),
  current_version: z.string(),
  revision: z.number(),
  created_at: timeColumn,
  judged_at: timeColumn.nullable(),
  verified_at: timeColumn.nullable(),
  deleted_at: timeColumn.nullable(),
  student_label: z.string().nullable(),
  course_name: z.string().nullable(),
  endless_class: z.enum(["logic", "runtime"]),
  wording: z.string(),
  depth: z.enum(["short", "full"]),
  /** The way in which its course has its language; "" where it has none. */
  way: z.string(),
  /** The kinds of mistake that teachers added, and those that are suggested for the version that is worked on and by layer (null: nothing is kept). */
  kinds: jsonColumn(
    z.object({
      own: z.array(z.object({ id: z.string(), name: z.string() })),
      found: z.record(z.string(), z.array(z.object({ id: z.string(), name: z.string(), why: z.string() }))),
    }),
  ),
  /** What was done last and can be undone, in words. */
  undoable: z.string().nullable(),
});
export type CaseRow = z.infer<typeof caseRow>;

/**
 * A case with everything that belongs to it. `versions` are all of them without their texts; `loaded` those that were
 * asked for, with their files. `endless_class`, `wording`, `way` and `depth` are its course's policies, `depth` the student's where that is another.
 */
export type WholeCase = CaseRow & {
  versions: VersionHead[];
  loaded: Version[];
  checks: ProgramCheck[];
  layers: Layer[];
  outputs: KeptOutput[];
  additions: Addition[];
};

const caseSelect = `select f.key, f.course, f.student, f.assignment, f.language, f.title, f.intent, f.changed_last, f.instead,
    f.came_out, f.hand_table, f.user_actions, f.first_line, f.only_read, f.source, f.note, f.receipt, f.symptom, f.current_version, f.revision, f.created_at, f.judged_at,
    f.verified_at, f.deleted_at, s.label as student_label, c.name as course_name,
    coalesce(c.endless_class, 'logic') as endless_class, coalesce(c.wording, 'three') as wording,
    coalesce(s.depth, c.depth, 'full') as depth, coalesce(c.ways ->> f.language, '') as way,
    jsonb_build_object(
      'own', (select coalesce(jsonb_agg(jsonb_build_object('id', 'own/' || o.key, 'name', o.name) order by lower(o.name)), '[]') from own_pattern o where o.deleted_at is null),
      'found', (select coalesce(jsonb_object_agg(n.version, n.patterns), '{}') from finding n where n.faulty_case = f.key)) as kinds,
    (select nullif(u.says, '') from undo_step u where u.faulty_case = f.key and u.revision = f.revision order by u.made_at desc limit 1) as undoable
  from faulty_case f left join student s on s.key = f.student left join course c on c.key = f.course`;

/** Everything of a case, or null if there is none with this key (a deleted one is found; see deleted_at). */
export async function findCase(
  { query }: { query: Query },
  key: string,
  wanted: WantedFiles = "current",
): Promise<WholeCase | null> {
  const [rows, versions, files, checks, layers, outputs, additions] = await Promise.all([
    query(`${caseSelect} where f.key = $1`, [key]),
    listVersions(query, key),
    readFiles(query, key, wanted),
    listChecks(query, key),
    listLayers(query, key),
    listOutputs(query, key),
    listAdditions(query, key),
  ]);
  const found = oneRow(caseRow, rows);
  if (!found) return null;
  const loaded = versions.flatMap((version) => {
    const own = files.get(version.key);
    return own ? [{ ...version, files: own }] : [];
  });
  return { ...found, versions, loaded, checks, layers, outputs, additions };
}

/** The same case with the files of all its versions. */
export async function withAllFiles({ query }: { query: Query }, found: WholeCase): Promise<WholeCase> {
  if (found.loaded.length === found.versions.length) return found;
  const files = await readFiles(query, found.key, "all");
  return { ...found, loaded: found.versions.map((version) => ({ ...version, files: files.get(version.key) ?? [] })) };
}

/** Takes a case into the Tray. The caller has looked at problemsOfNewCase. Returns its key. */
export async function collectCase(database: Database, given: NewCase): Promise<string> {
  return database.transaction((query) => insertCase(query, given));
}

/** The same inside a transaction, for many at once. */
export async function insertCase(query: Query, given: NewCase): Promise<string> {
  const key = newKey();
  await query(
    `insert into faulty_case (key, course, student, language, title, intent, changed_last, instead, user_actions, first_line,
       receipt, symptom, assignment, came_out, only_read, source, created_at)
     values ($1, $2, $3, $4, $5, $6, $7, $8, $9, $10, $11, $12, $13, $14, $15, $16, coalesce($17, clock_timestamp()))`,
    [
      ...[key, given.course, given.student, given.language, given.title, asBytes(given.intent)],
      ...[asBytes(given.changedLast), asBytes(given.instead ?? ""), asBytes((given.userActions ?? []).join("\n"))],
      ...[given.firstLine ?? 1, given.receipt ?? null, given.symptom, given.assignment ?? null],
      ...[asBytes(given.actual ?? ""), given.onlyRead ?? (given.firstLine ?? 1) > 1, given.source ?? ""],
      given.collectedAt ?? null,
    ],
  );
  const before = given.worked
    ? await insertVersion(query, key, given.worked, "worked before", null, { handedIn: true, worked: true })
    : null;
  const version = await insertVersion(query, key, given.files, "handed in", before, {
    handedIn: true,
    ...(given.collectedAt ? { at: given.collectedAt } : {}),
  });
  await setCurrentVersion(query, key, version);
  const outputs = [
    ...(given.errorOutput === undefined ? [] : [{ origin: "", text: given.errorOutput }]),
    ...(given.moreOutputs ?? []),
  ];
  for (const output of outputs) await insertOutput(query, version, output);
  await insertCheck(
    query,
    { faultyCase: key },
    { input: given.input, expected: given.expected ?? null, kind: "normal" },
    true,
  );
  const programs = [...(given.worked ?? []), ...given.files].map((file) => decodeText(file.bytes).text);
  await setSearchText(query, key, [
    ...[given.title, given.intent, given.instead ?? "", given.changedLast, given.actual ?? "", given.source ?? ""],
    ...outputs.map((output) => output.text),
    ...programs,
  ]);
  return key;
}

/**
 * The version that the search for the fault starts from: that of the first layer, else the last one handed in that is
 * not said to work.
 */
export function startVersion(found: WholeCase): VersionHead | undefined {
  const first = found.layers[0]?.version_before;
  return (
    found.versions.find((version) => version.key === first) ??
    found.versions.findLast((version) => version.handed_in && !version.worked) ??
    found.versions[0]
  );
}

/** A version with its files. Throws if the case was read without them, which is a mistake of ours. */
export function versionOf(found: WholeCase, key: string): Version {
  const version = found.loaded.find((each) => each.key === key);
  if (!version) throw new Error(`version ${key} was not read`);
  return version;
}

/** The last version before the given one that is said to have worked, or undefined. */
export function workedBefore(found: WholeCase, version: VersionHead): Version | undefined {
  return found.loaded.findLast((each) => each.worked && each.number < version.number);
}

/**
 * Adds a version that was handed in again, with what a tool said of it. It becomes the current one as long as the case
 * is not judged.
 */
export async function insertHandIn(
  query: Query,
  faultyCase: string,
  files: ProgramFiles,
  outputs: readonly ToolOutput[],
): Promise<string> {
  const before = await lastHandedIn(query, faultyCase);
  const key = await insertVersion(query, faultyCase, files, "handed in again", before, { handedIn: true });
  for (const output of outputs) await insertOutput(query, key, output);
  await query(
    `update faulty_case set current_version = $2, revision = revision + 1
     where key = $1 and judged_at is null and not exists (select 1 from layer where faulty_case = $1)`,
    [faultyCase, key],
  );
  await refreshSearchText(query, faultyCase);
  return key;
}

/** The key of the case with a hand-in's number, or null. */
export async function findByReceipt(database: Database, receipt: string): Promise<string | null> {
  const rows = await database.query("select key from faulty_case where receipt = $1 and deleted_at is null", [
    receipt.toUpperCase(),
  ]);
  return oneRow(keyRow, rows)?.key ?? null;
}

/** Unjudged hand-ins of a student for an assignment in a language, newest first, with the name of their main file. */
export async function listOpenHandIns(
  database: Database,
  student: string,
  assignment: string,
  language: string,
): Promise<Array<{ key: string; receipt: string; name: string }>> {
  const rows = await database.query(
    `select f.key, f.receipt, vf.name from faulty_case f
       join version_file vf on vf.version = f.current_version and vf.position = 0
     where f.student = $1 and f.language = $2 and f.assignment = $3 and f.receipt is not null and f.judged_at is null and f.deleted_at is null
     order by f.created_at desc limit 50`,
    [student, language, assignment],
  );
  return z.array(z.object({ key: z.string(), receipt: z.string(), name: z.string() })).parse(rows);
}

/** Puts a case away; `restoreCase` takes that back. */
export async function deleteCase(database: Database, key: string): Promise<void> {
  await database.query("update faulty_case set deleted_at = now() where key = $1", [key]);
}

export async function restoreCase(database: Database, key: string): Promise<void> {
  await database.query("update faulty_case set deleted_at = null where key = $1", [key]);
}

/**
 * Locks a case for a writer who had read it at `revision`: true, and the revision is one higher; false if somebody wrote
 * meanwhile. The lock lasts to the end of the transaction.
 */
export async function takeRevision(query: Query, key: string, revision: number): Promise<boolean> {
  const rows = await query(
    "update faulty_case set revision = revision + 1 where key = $1 and revision = $2 returning key",
    [key, revision],
  );
  return rows.length === 1;
}

/** The same for a writer who changes nothing that others have read: the revision stays. */
export async function holdRevision(query: Query, key: string, revision: number): Promise<boolean> {
  const rows = await query("select key from faulty_case where key = $1 and revision = $2 for update", [key, revision]);
  return rows.length === 1;
}

/** Fields of a case that a person may change, by their columns. */
export type CaseFields = {
  title?: string;
  intent?: string;
  note?: string;
  student?: string | null;
  language?: string;
  source?: string;
  only_read?: boolean;
  user_actions?: string;
  hand_table?: string;
};

/** Writes fields of a case and makes the text it is searched by anew. */
export async function setCaseFields(query: Query, key: string, fields: CaseFields): Promise<void> {
  const { title, intent, note, student, language, source, only_read, user_actions, hand_table } = fields;
  await query(
    `update faulty_case set title = coalesce($2, title), intent = coalesce($3, intent), note = coalesce($4, note),
       student = case when $5 then $6 else student end, language = coalesce($7, language),
       source = coalesce($8, source), only_read = coalesce($9, only_read), user_actions = coalesce($10, user_actions),
       hand_table = coalesce($11, hand_table)
     where key = $1`,
    [
      ...[key, title ?? null, intent === undefined ? null : asBytes(intent), note === undefined ? null : asBytes(note)],
      ...[student !== undefined, student ?? null, language ?? null, source ?? null, only_read ?? null],
      user_actions === undefined ? null : asBytes(user_actions),
      hand_table === undefined ? null : asBytes(hand_table),
    ],
  );
  await refreshSearchText(query, key);
}

/** Makes a version the one that is worked on; whether it was verified is open again. */
export async function setCurrentVersion(query: Query, key: string, version: string): Promise<void> {
  await query("update faulty_case set current_version = $2, verified_at = null where key = $1", [key, version]);
}

/** Keeps what the translator said of the text as it was handed in, as a whole. */
export async function setTextState({ query }: { query: Query }, key: string, state: string): Promise<void> {
  await query("update faulty_case set text_state = $2 where key = $1 and text_state is distinct from $2", [key, state]);
}

/** Says that a case was judged; when it was first judged stays. */
export async function noteJudged(query: Query, key: string): Promise<void> {
  await query("update faulty_case set judged_at = coalesce(judged_at, now()) where key = $1", [key]);
}

/** Says that all checks pass on the current version, or that this is open again. */
export async function noteVerified(query: Query, key: string, verified: boolean): Promise<void> {
  await query("update faulty_case set verified_at = case when $2 then now() end where key = $1", [key, verified]);
}
