import { z } from "zod";
import type { ToolOutput } from "../../core/cases/case.ts";
import { type Arrangement, arrange, type Corrections, fingerprintOf, type KnownCase, type PlannedCase } from "../../core/collecting/arrange.ts";
import type { Entry, Refused } from "../../core/collecting/entries.ts";
import { findLanguage } from "../../core/languages/languages.ts";
import { baseName } from "../../core/languages/messageReader.ts";
import { decodeText } from "../../core/source/decode.ts";
import type { Database, Query } from "../database/database.ts";
import { newKey } from "../keys.ts";
import { findCase, insertCase, insertHandIn, insertOutput, insertVersion } from "../stores/cases.ts";
import { addStudentsWith, listStudents } from "../stores/courses.ts";
import { bytesColumn, jsonColumn, oneRow } from "../stores/rows.ts";

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
    await query("insert into collection (key, course, name, refused) values ($1, $2, $3, $4)", [key, course, name, JSON.stringify(refused)]);
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
  return oneRow(collectionRow, await database.query("select key, course, name, corrections, refused, state, cases from collection where key = $1", [key]));
}

export async function listOpenCollections(database: Database): Promise<Array<{ key: string; name: string; files: number }>> {
  return z
    .array(z.object({ key: z.string(), name: z.string(), files: z.number() }))
    .parse(
      await database.query(
        "select c.key, c.name, (select count(*)::int from collection_file f where f.collection = c.key) as files from collection c where c.state = 'open' order by c.created_at desc limit 5",
      ),
    );
}

async function entriesOf(database: Database, key: string): Promise<Entry[]> {
  return z
    .array(z.object({ path: z.string(), bytes: bytesColumn }))
    .parse(await database.query("select path, bytes from collection_file where collection = $1 order by position", [key]));
}

/** What a set is compared with: every version that was handed in to the course, the newest first. */
async function knownCases(database: Database, course: string): Promise<KnownCase[]> {
  const rows = z
    .array(z.object({ key: z.string(), label: z.string().nullable(), language: z.string(), title: z.string(), name: z.string(), bytes: bytesColumn }))
    .parse(
      await database.query(
        `select f.key, s.label, f.language, f.title, vf.name, c.bytes
         from faulty_case f join version v on v.faulty_case = f.key and v.handed_in join version_file vf on vf.version = v.key and vf.position = 0
         join content c on c.hash = vf.hash left join student s on s.key = f.student
         where f.course = $1 and f.deleted_at is null order by f.created_at desc, v.number desc`,
        [course],
      ),
    );
  return rows.map(({ bytes, name, ...row }) => ({
    ...row,
    fileName: name,
    fingerprint: fingerprintOf(findLanguage(row.language) ?? null, decodeText(bytes).text),
  }));
}

/** A set as it would be taken in now, with what the teacher corrected. */
export async function arrangeCollection(database: Database, collection: Collection): Promise<{ arrangement: Arrangement; entries: Entry[] }> {
  const course = collection.course ?? "";
  const [entries, known, students] = await Promise.all([entriesOf(database, collection.key), knownCases(database, course), listStudents(database, course)]);
  const arrangement = arrange(entries, { labels: students.map((student) => student.label) }, known, collection.corrections);
  return { arrangement, entries };
}

/** Keeps what the teacher corrected in the table. */
export async function correctCollection(database: Database, key: string, corrections: Corrections): Promise<void> {
  await database.query("update collection set corrections = $2 where key = $1 and state = 'open'", [key, JSON.stringify(corrections)]);
}

/** Puts a set away that was not taken in. */
export async function dropCollection(database: Database, key: string): Promise<void> {
  await database.query("delete from collection where key = $1 and state = 'open'", [key]);
}

/**
 * Takes a set in: every program that is not left out becomes a case, or the next version of one. All of it or nothing; new labels are
 * added to the course. Returns the keys of the cases in the order of the table, or null if the set was taken in already.
 */
export async function keepCollection(database: Database, collection: Collection): Promise<string[] | null> {
  if (collection.state !== "open" || collection.course === null) return null;
  const course = collection.course;
  const { arrangement, entries } = await arrangeCollection(database, collection);
  const bytes = new Map(entries.map((entry) => [entry.path, entry.bytes]));
  const taken = arrangement.programs.filter((program) => !program.left && !program.alreadyHere && program.language !== null);
  const joined = new Map(
    await Promise.all(
      taken.flatMap(({ joins }) => (joins?.kind === "case" ? [joins.key] : [])).map(async (key) => [key, await findCase(database, key)] as const),
    ),
  );
  return database.transaction(async (query) => {
    const still = await query("update collection set state = 'kept' where key = $1 and state = 'open' returning key", [collection.key]);
    if (still.length === 0) return null;
    const labels = [...new Set(taken.filter((program) => program.studentIsNew).map((program) => program.student))];
    await addStudentsWith(query, course, labels);
    const students = new Map(
      z
        .array(z.object({ key: z.string(), label: z.string() }))
        .parse(await query("select key, label from student where course = $1", [course]))
        .map((student) => [student.label, student.key]),
    );
    const keys = new Map<string, string>();
    // Lists show the newest first, so the last of the table comes first; what joins another program of the set comes after it.
    for (const program of [...taken].reverse().sort((one, other) => Number(one.joins?.kind === "program") - Number(other.joins?.kind === "program"))) {
      const files = program.files.map((file) => ({ name: file.name, bytes: bytes.get(file.path) ?? new Uint8Array() }));
      const outputs: ToolOutput[] = program.outputs.map((output) => ({
        origin: output.path === null ? "the end of the program file" : baseName(output.path),
        text: output.text,
      }));
      const target = program.joins?.kind === "case" ? joined.get(program.joins.key) : null;
      const before = program.joins?.kind === "program" ? keys.get(program.joins.id) : undefined;
      if (target) {
        await insertHandIn(query, target, files, outputs);
        keys.set(program.id, target.key);
      } else if (before) {
        await insertHandIn(query, { key: before }, files, outputs);
        keys.set(program.id, before);
      } else keys.set(program.id, await insertPlanned(query, course, program, files, outputs, students.get(program.student) ?? null));
    }
    const inOrder = [...new Set(taken.map((program) => keys.get(program.id) ?? ""))];
    await query("update collection set cases = $2 where key = $1", [collection.key, JSON.stringify(inOrder)]);
    await query("delete from collection_file where collection = $1", [collection.key]);
    return inOrder;
  });
}

/** A new case of a set. A message that was pasted plainly behind the program is taken off in a version of its own: what was handed in stays. */
async function insertPlanned(
  query: Query,
  course: string,
  program: PlannedCase,
  files: Array<{ name: string; bytes: Uint8Array }>,
  outputs: readonly ToolOutput[],
  student: string | null,
): Promise<string> {
  const plain = program.atEnd && !program.atEnd.commented ? program.atEnd : null;
  const key = await insertCase(query, {
    language: program.language ?? "",
    course,
    student,
    title: program.files[0]?.name ?? "",
    intent: "",
    changedLast: "",
    files,
    moreOutputs: plain ? [] : outputs,
    input: "",
    symptom: null,
  });
  if (plain) {
    const [main, ...rest] = files;
    const first = z
      .object({ current_version: z.string() })
      .parse((await query("select current_version from faulty_case where key = $1", [key]))[0]).current_version;
    const version = await insertVersion(
      query,
      key,
      [{ name: main?.name ?? "", bytes: Buffer.from(plain.program, "utf8") }, ...rest],
      "the message at its end taken off",
      first,
      { handedIn: true },
    );
    for (const output of outputs) await insertOutput(query, version, output);
    await query("update faulty_case set current_version = $2 where key = $1", [key, version]);
  }
  return key;
}
