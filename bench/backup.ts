import { mkdtempSync, rmSync, statSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { testExercise } from "../core/exercises/testExercise.ts";
import { restoreBackup } from "../server/backup/restore.ts";
import { listTables, readSince } from "../server/backup/tableStore.ts";
import { writeBackup } from "../server/backup/writeBackup.ts";
import { collectCase } from "../server/cases/caseStore.ts";
import { type Database, openDatabase } from "../server/database/database.ts";
import { addCourse, addStudents, listStudents } from "../server/people/courseStore.ts";
import { addSheet, setSheet } from "../server/sheets/sheetStore.ts";
import { keepAnswer } from "../server/sittings/answerStore.ts";
import { beginSitting, listAnswers } from "../server/sittings/sittingStore.ts";
import type { Measure } from "./measure.ts";
import { percentile } from "./yardsticks.ts";

const [cases, sitters] = [5000, 200];

/** A case's program: made-up deck loads, each another one. */
const programOf = (at: number) =>
  Array.from({ length: 20 }, (_, line) => `load_${line} = ${(at * 7 + line * 13) % 90}`).join("\n") +
  `\nprint("Deck load:", load_1 + load_${(at % 18) + 2})\n`;

/** Cases of a course, and a sheet that all of its students sit; gives the sittings' keys. */
async function fill(database: Database): Promise<string[]> {
  const course = await addCourse(database, "Kittiwake Crossing", "python");
  await addStudents(
    database,
    course,
    Array.from({ length: sitters }, (_, at) => `S-${at + 1}`),
  );
  for (let at = 0; at < cases; at++)
    await collectCase(database, {
      ...{ language: "python", course, student: null, title: `Deck ${at}`, intent: "add the loads", changedLast: "" },
      files: [{ name: "deck.py", bytes: Buffer.from(programOf(at)) }],
      ...{ input: "", expected: "Deck load: 4\n", symptom: null },
    });
  const sheet = await addSheet(database, course, "Deck loads");
  const tasks = [{ key: "mend", kind: "mend", marks: 2, allowedExtraLines: 1, extraCost: 0 }];
  const edition = await setSheet(database, sheet, {
    title: "Deck loads",
    exercises: [{ key: "deck", title: "Deck", level: 1, content: testExercise({ tasks }) }],
  });
  const keys: string[] = [];
  for (const student of await listStudents(database, course))
    keys.push(await beginSitting(database, edition, student.key));
  return keys;
}

/** Rows of a table as text, in an order that does not depend on where they lie. */
const rowsOf = async (database: Database, table: Awaited<ReturnType<typeof listTables>>[number]) =>
  (await readSince(database, table, "0")).map(({ text }) => text).sort();

/**
 * A backup of 5 000 cases and 200 sittings, taken while answers are saved one after the other, brought back in another
 * folder: how many rows differ from what stood there at one moment, and how long saving takes meanwhile.
 */
export async function benchBackup(): Promise<Measure[]> {
  const folder = mkdtempSync(join(tmpdir(), "bent-nail-backup-"));
  const database = await openDatabase(join(folder, "here", "database"));
  const sittings = await fill(database);
  const saves: number[] = [];
  const alone: number[] = [];
  const revisions = new Map<string, number>();
  let written = 0;
  /** Saves the next answer: the number of how many there were before it, in the next sitting. */
  const save = async (times: number[]) => {
    const sitting = sittings[written % sittings.length] ?? "";
    const began = performance.now();
    const sent = { base: revisions.get(sitting) ?? 0, writer: "page", count: written + 1, typedAt: null };
    const kept = await keepAnswer(database, sitting, "mend", { ...sent, content: { text: String(written) } });
    if (kept.result !== "saved") throw new Error(`not saved: ${kept.result}`);
    times.push(performance.now() - began);
    revisions.set(sitting, kept.revision);
    written += 1;
  };
  for (let at = 0; at < sitters * 2; at++) await save(alone);
  let going = true;
  const writing = (async () => {
    while (going) await save(saves);
  })();
  const file = join(folder, "backup.zip");
  const began = performance.now();
  await writeBackup(database, file);
  const seconds = (performance.now() - began) / 1000;
  going = false;
  await writing;

  await restoreBackup(join(folder, "there"), file);
  const other = await openDatabase(join(folder, "there", "database"));
  let differ = 0;
  for (const table of await listTables(database)) {
    if (table.name === "answer") continue;
    const [one, two] = [await rowsOf(database, table), await rowsOf(other, table)];
    const left = new Set(two);
    differ += one.filter((row) => !left.delete(row)).length + left.size;
  }
  // Answers: those of one moment, after which none was taken and before which none is missing.
  const found = new Map<number, number>();
  for (const [at, sitting] of sittings.entries())
    for (const { content } of await listAnswers(other, sitting)) found.set(at, Number(Object(content).text));
  const last = Math.max(...found.values());
  for (const at of sittings.keys()) {
    const until = last - ((last - at) % sittings.length);
    if (found.get(at) !== until) differ += 1;
  }
  const megabytes = statSync(file).size / 1e6;
  await other.close();
  await database.close();
  rmSync(folder, { recursive: true, force: true });
  console.log(
    `${cases} cases, ${sitters} sittings: ${seconds.toFixed(1)} s, ${megabytes.toFixed(1)} MB; ${saves.length} answers saved meanwhile, p50 ${percentile(saves, 0.5).toFixed(1)} ms, p95 ${percentile(saves, 0.95).toFixed(1)} ms (alone ${percentile(alone, 0.95).toFixed(1)} ms); the backup has the first ${last + 1} of ${written}`,
  );
  return [
    {
      work: "backup: rows that differ when it is brought back",
      against: "none",
      value: differ,
      unit: "rows",
      atMost: 0,
    },
    {
      work: "backup: save meanwhile, p95",
      against: "100 ms",
      value: percentile(saves, 0.95) / 100,
      unit: "x",
      atMost: 1,
    },
  ];
}
