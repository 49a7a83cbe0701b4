import { createHash } from "node:crypto";
import { z } from "zod";
import { decodeText, encodeText } from "../core/source/decode.ts";
import type { Database, Query } from "./database/database.ts";
import { layerColumns, type NameReplacement, nameReplacement, replaceInFormer, surroundingsColumn } from "./nameReplacement.ts";
import { findCase, refreshSearchText } from "./stores/cases.ts";
import { bytesColumn } from "./stores/rows.ts";

const keyRows = z.array(z.object({ key: z.string() }));

async function casesOf(query: Query, student: string): Promise<string[]> {
  return keyRows.parse(await query("select key from faulty_case where student = $1", [student])).map((row) => row.key);
}

/** Gives a student another label. Words for the person if it cannot be. */
export async function renameStudent(database: Database, student: string, label: string): Promise<string | null> {
  const name = label.trim();
  if (name === "" || name.length > 80) return "A label has 1 to 80 characters.";
  const taken = await database.query("select 1 from student s join student me on me.key = $1 where s.course = me.course and s.label = $2 and s.key <> $1", [
    student,
    name,
  ]);
  if (taken.length > 0) return "Another student of the course has this label.";
  await database.query("update student set label = $2 where key = $1", [student, name]);
  return null;
}

/** Bytes with a name replaced, in their own encoding, or null where the name is not in them. */
function replaced(bytes: Uint8Array, name: NameReplacement): Uint8Array | null {
  const { text, encoding } = decodeText(bytes);
  const changed = name.text(text);
  return changed === text ? null : encodeText(changed, encoding);
}

/**
 * Replaces a person's name by other words in everything that belongs to a student: programs of all versions, file names, outputs, answers to
 * the questions, titles, notes, checks, verdicts, fixes, and what all these were before. This is the one change that is made to what was handed in, for privacy's sake. Runs are
 * forgotten and made again. Letter case does not count, nor what stands between its words; parts of longer words stay. Returns in how many places it stood.
 */
export async function replaceName(database: Database, student: string, name: string, by: string): Promise<number> {
  const replacement = nameReplacement(name, by);
  if (replacement === null) return 0;
  return database.transaction(async (query) => {
    let places = 0;
    const column = async (table: string, name: string, where: string, key: string) => {
      for (const row of z
        .array(z.object({ key: z.string(), value: bytesColumn.nullable() }))
        .parse(await query(`select key, ${name} as value from ${table} where ${where} = $1`, [key]))) {
        const changed = row.value && replaced(row.value, replacement);
        if (!changed) continue;
        places += 1;
        await query(`update ${table} set ${name} = $2 where key = $1`, [row.key, changed]);
      }
    };
    const textColumn = async (table: string, name: string, where: string, key: string, change: (text: string) => string = replacement.text) => {
      for (const row of z
        .array(z.object({ key: z.string(), value: z.string().nullable() }))
        .parse(await query(`select key, ${name} as value from ${table} where ${where} = $1`, [key]))) {
        const changed = row.value === null ? null : change(row.value);
        if (changed === row.value) continue;
        places += 1;
        await query(`update ${table} set ${name} = $2 where key = $1`, [row.key, changed]);
      }
    };
    for (const key of await casesOf(query, student)) {
      for (const name of ["intent", "changed_last", "instead", "user_actions", "note"]) await column("faulty_case", name, "key", key);
      await textColumn("faulty_case", "title", "key", key);
      await column("student_addition", "content", "faulty_case", key);
      await column("program_check", "input", "faulty_case", key);
      await column("program_check", "expected", "faulty_case", key);
      await column("layer", "intention", "faulty_case", key);
      for (const { table, column: name, replace } of [...layerColumns, surroundingsColumn])
        await textColumn(table, name, "faulty_case", key, (json) => replace(json, replacement));
      await textColumn("former_value", "former", "faulty_case", key, (json) => replaceInFormer(json, replacement));
      await textColumn("former_value", "reason", "faulty_case", key);
      await textColumn("warning_decision", "about", "faulty_case", key);
      await column("warning_decision", "note", "faulty_case", key);
      for (const version of keyRows.parse(await query("select key from version where faulty_case = $1", [key]))) {
        await column("tool_output", "content", "version", version.key);
        places += await replaceInFiles(query, version.key, replacement);
        await query("delete from run where version = $1", [version.key]);
      }
      await query("update faulty_case set revision = revision + 1 where key = $1", [key]);
      await refreshSearchText(query, key);
    }
    await forgetUnusedContent(query);
    return places;
  });
}

async function replaceInFiles(query: Query, version: string, replacement: NameReplacement): Promise<number> {
  let places = 0;
  const rows = z
    .array(z.object({ position: z.number(), name: z.string(), bytes: bytesColumn }))
    .parse(await query("select f.position, f.name, c.bytes from version_file f join content c on c.hash = f.hash where f.version = $1", [version]));
  for (const row of rows) {
    const bytes = replaced(row.bytes, replacement);
    const name = replacement.fileName(row.name);
    if (!bytes && name === row.name) continue;
    places += 1;
    const kept = bytes ?? row.bytes;
    const hash = createHash("sha256").update(kept).digest("hex");
    await query("insert into content (hash, bytes) values ($1, $2) on conflict (hash) do nothing", [hash, kept]);
    await query("update version_file set name = $3, hash = $4 where version = $1 and position = $2", [version, row.position, name, hash]);
  }
  return places;
}

async function forgetUnusedContent(query: Query): Promise<void> {
  await query("delete from content where not exists (select 1 from version_file f where f.hash = content.hash)");
}

/** Everything that is kept about a student, for the student: cases with their versions and words, sittings with answers and marks. */
export async function exportStudent(database: Database, student: string): Promise<object | null> {
  const row = (await database.query("select s.label, c.name as course from student s join course c on c.key = s.course where s.key = $1", [student]))[0];
  if (!row) return null;
  const { label, course } = z.object({ label: z.string(), course: z.string() }).parse(row);
  const cases = await Promise.all((await casesOf((sql, values) => database.query(sql, values), student)).map((key) => findCase(database, key)));
  const sittings = z
    .array(z.object({ key: z.string(), title: z.string(), started_at: z.date(), handed_in_at: z.date().nullable() }))
    .parse(
      await database.query(
        "select i.key, h.title, i.started_at, i.handed_in_at from sitting i join sheet_edition e on e.key = i.edition join sheet h on h.key = e.sheet where i.student = $1",
        [student],
      ),
    );
  return {
    format: "bent-nail student export 1",
    label,
    course,
    cases: cases.flatMap((found) =>
      found
        ? [
            {
              title: found.title,
              language: found.language,
              handedIn: found.created_at,
              intent: found.intent,
              instead: found.instead,
              changedLast: found.changed_last,
              userActions: found.user_actions.split("\n").filter((step) => step !== ""),
              additions: found.additions.map((addition) => addition.content),
              versions: found.versions.map((version) => ({
                number: version.number,
                origin: version.origin,
                files: Object.fromEntries(version.files.map((file) => [file.name, file.text])),
                outputs: found.outputs.filter((output) => output.version === version.key).map((output) => ({ origin: output.origin, text: output.content })),
              })),
              layers: found.layers.map((layer) => ({ class: layer.decided?.class ?? null, faultyLines: layer.faulty_lines, fix: layer.fix })),
            },
          ]
        : [],
    ),
    sittings: await Promise.all(
      sittings.map(async (sitting) => ({
        title: sitting.title,
        startedAt: sitting.started_at,
        handedInAt: sitting.handed_in_at,
        answers: z
          .array(z.object({ task: z.string(), content: bytesColumn }))
          .parse(await database.query("select task, content from answer where sitting = $1", [sitting.key]))
          .map((answer) => ({ task: answer.task, content: decodeText(answer.content).text })),
        marks: await database.query("select task, item, earned::float as earned, possible::float as possible, marker from mark where sitting = $1", [
          sitting.key,
        ]),
      })),
    ),
  };
}

/** Deletes everything about a student for good: cases, sittings, answers, marks, the label. */
export async function deleteStudent(database: Database, student: string): Promise<void> {
  await database.transaction(async (query) => {
    const cases = await casesOf(query, student);
    // A mark's former value is kept by sitting, task and item; a check's may be all that is left of it.
    await query("delete from former_value where about = 'mark' and split_part(about_key, ' ', 1) in (select key from sitting where student = $1)", [student]);
    for (const key of cases) {
      await query(
        "delete from former_value where faulty_case = $1 or about_key in (select key from layer where faulty_case = $1 union all select key from program_check where faulty_case = $1)",
        [key],
      );
      await query("update exercise set faulty_case = null where faulty_case = $1", [key]);
      // Versions point at one another and layers at versions, so they go before the case.
      await query("delete from layer where faulty_case = $1", [key]);
      await query("update version set parent = null where faulty_case = $1", [key]);
      await query("delete from faulty_case where key = $1", [key]);
    }
    await query("delete from student where key = $1", [student]);
    await forgetUnusedContent(query);
  });
}
