import { createHash } from "node:crypto";
import * as z from "zod";
import { decodeText, encodeText } from "../../core/source/decode.ts";
import { refreshSearchText } from "../cases/searchStore.ts";
import { forgetSteps } from "../cases/undoStore.ts";
import type { Database, Query } from "../database/database.ts";
import { asJson, bytesColumn, fromJson, keyRow } from "../database/rows.ts";
import { type JsonColumn, jsonColumns, type NameReplacement, nameReplacement } from "./nameReplacement.ts";
import { replaceInSittings, tasksSat } from "./sittingNamesStore.ts";

const keyRows = z.array(keyRow);

/** The keys of a student's cases. */
export async function casesOf(query: Query, student: string): Promise<string[]> {
  return keyRows.parse(await query("select key from faulty_case where student = $1", [student])).map((row) => row.key);
}

/** Bytes with a name replaced, in their own encoding, or null where the name is not in them. */
function replaced(bytes: Uint8Array, name: NameReplacement): Uint8Array | null {
  const { text, encoding } = decodeText(bytes);
  const changed = name.text(text);
  return changed === text ? null : encodeText(changed, encoding);
}

/**
 * Replaces a person's name by other words in everything that belongs to a student: programs of all versions, file
 * names, outputs, answers to the questions, titles, notes, checks, verdicts, fixes, and what all these were before.
 * What was written while sitting sheets is changed, too, but for what is chosen from lists.
 * This is the one change that is made to what was handed in, for privacy's sake. Runs, and what judging kept of
 * them, are forgotten and made again.
 * Letter case does not count, nor what stands between its words; parts of longer words stay. Returns in how many places
 * it stood.
 */
export async function replaceName(database: Database, student: string, name: string, by: string): Promise<number> {
  const replacement = nameReplacement(name, by);
  if (replacement === null) return 0;
  const sat = await tasksSat(database, student);
  return database.transaction(async (query) => {
    let places = await replaceInSittings(query, sat, replacement);
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
    const textColumn = async (table: string, name: string, where: string, key: string) => {
      const rows = await query(`select key, ${name} as value from ${table} where ${where} = $1`, [key]);
      for (const row of z.array(z.object({ key: z.string(), value: z.string() })).parse(rows)) {
        const changed = replacement.text(row.value);
        if (changed === row.value) continue;
        places += 1;
        await query(`update ${table} set ${name} = $2 where key = $1`, [row.key, changed]);
      }
    };
    const jsonOf = async ({ table, column: name, replace }: JsonColumn, key: string) => {
      const rows = await query(`select key, ${name} as value from ${table} where faulty_case = $1`, [key]);
      for (const row of z.array(z.object({ key: z.string(), value: z.string().nullable() })).parse(rows)) {
        if (row.value === null) continue;
        const value = fromJson(row.value);
        const changed = replace(value, replacement);
        if (asJson(changed) === asJson(value)) continue;
        places += 1;
        await query(`update ${table} set ${name} = $2 where key = $1`, [row.key, asJson(changed)]);
      }
    };
    for (const key of await casesOf(query, student)) {
      for (const name of ["intent", "changed_last", "instead", "came_out", "hand_table", "user_actions", "note"])
        await column("faulty_case", name, "key", key);
      await textColumn("faulty_case", "title", "key", key);
      await textColumn("faulty_case", "source", "key", key);
      await column("layer", "place_reason", "faulty_case", key);
      await column("layer", "explanation", "faulty_case", key);
      await column("layer", "unsaid", "faulty_case", key);
      await column("version", "belief", "faulty_case", key);
      await column("narrow_try", "belief", "faulty_case", key);
      for (const name of ["expression", "expected"]) await column("part_check", name, "faulty_case", key);
      await column("student_addition", "content", "faulty_case", key);
      await column("program_check", "input", "faulty_case", key);
      await column("program_check", "expected", "faulty_case", key);
      await column("layer", "intention", "faulty_case", key);
      for (const name of ["content", "intention"]) await column("kept_fix", name, "faulty_case", key);
      for (const json of jsonColumns) await jsonOf(json, key);
      await textColumn("former_value", "reason", "faulty_case", key);
      await textColumn("warning_decision", "about", "faulty_case", key);
      await column("warning_decision", "note", "faulty_case", key);
      for (const version of keyRows.parse(await query("select key from version where faulty_case = $1", [key]))) {
        await column("tool_output", "content", "version", version.key);
        places += await replaceInFiles(query, version.key, replacement);
        await query("delete from run where version = $1", [version.key]);
        // What judging kept for an overview quotes what a run printed.
        await query("delete from judged_version where version = $1", [version.key]);
        for (const table of ["fix_search", "further_inputs", "finding"])
          await query(`delete from ${table} where version = $1`, [version.key]);
        await query("update version set fingerprint = null where key = $1", [version.key]);
      }
      await forgetSteps(query, key);
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
    .parse(
      await query(
        "select f.position, f.name, c.bytes from version_file f join content c on c.hash = f.hash where f.version = $1",
        [version],
      ),
    );
  for (const row of rows) {
    const bytes = replaced(row.bytes, replacement);
    const name = replacement.fileName(row.name);
    if (!bytes && name === row.name) continue;
    places += 1;
    const kept = bytes ?? row.bytes;
    const hash = createHash("sha256").update(kept).digest("hex");
    await query("insert into content (hash, bytes) values ($1, $2) on conflict (hash) do nothing", [hash, kept]);
    await query("update version_file set name = $3, hash = $4 where version = $1 and position = $2", [
      version,
      row.position,
      name,
      hash,
    ]);
  }
  return places;
}

async function forgetUnusedContent(query: Query): Promise<void> {
  await query("delete from content where not exists (select 1 from version_file f where f.hash = content.hash)");
}

/** Deletes everything about a student for good: cases, sittings, answers, marks, the label. */
export async function deleteStudent(database: Database, student: string): Promise<void> {
  await database.transaction(async (query) => {
    const cases = await casesOf(query, student);
    // A mark's former value is kept by sitting, task and item; a check's may be all that is left of it.
    await query(
      "delete from former_value where about = 'mark' and split_part(about_key, ' ', 1) in (select key from sitting where student = $1)",
      [student],
    );
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
