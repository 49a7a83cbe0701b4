import { mkdirSync, mkdtempSync, readdirSync, readFileSync, rmSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { afterAll, beforeAll, expect, test } from "vitest";
import { collectCase } from "../cases/caseStore.ts";
import { type Database, openDatabase } from "../database/database.ts";
import { migrate, newestMigration } from "../database/migrate.ts";
import { addCourse, addStudents, listStudents } from "../people/courseStore.ts";
import { keepAnswer } from "../sittings/answerStore.ts";
import { beginSitting, handIn } from "../sittings/sittingStore.ts";
import { sheetToSit } from "../sittings/testSheet.ts";
import { openTestServices } from "../testServices.ts";
import { openBackup } from "./readBackup.ts";
import { fillFrom, planRestore, restoreBackup, rowsOfFolder } from "./restore.ts";
import { countRows, listTables, readSince } from "./tableStore.ts";
import { writeBackup } from "./writeBackup.ts";

let folder = "";
let services: Awaited<ReturnType<typeof openTestServices>>;
beforeAll(async () => {
  folder = mkdtempSync(join(tmpdir(), "bent-nail-backup-"));
  services = await openTestServices();
});
afterAll(async () => {
  await services.close();
  rmSync(folder, { recursive: true, force: true });
});

/** All rows of all tables as text, by table. */
async function everything(database: Database): Promise<Record<string, string[]>> {
  const all: Record<string, string[]> = {};
  for (const table of await listTables(database))
    all[table.name] = (await readSince(database, table, "0")).map(({ text }) => text).sort();
  return all;
}

/** Texts that are hard to keep: every kind of sign, none of them lost on the way. */
const hard = 'Straße “4”\t\\u0000 \\ "deck" 🛳 \u2028 \r\n\ud800';

/** Signs that end a line for some readers; they stand in columns of text, not of bytes. */
const endings = "\u2028\u2029\u0085\r\v\f|";

async function someData(database: Database): Promise<void> {
  const made = await sheetToSit(database, ["S-01", "S 02 ü", 'S"03']);
  for (const [at, student] of made.students.entries()) {
    const sitting = await beginSitting(database, made.edition, student.key);
    const sent = { base: 0, writer: "page", count: 1, typedAt: new Date(1_790_000_000_123), content: { text: hard } };
    await keepAnswer(database, sitting, "mend", sent);
    if (at > 0) await handIn(database, sitting);
  }
  await collectCase(database, {
    ...{
      language: "python",
      course: made.course,
      student: null,
      title: `Deck ${endings}`,
      intent: hard,
      changedLast: "",
    },
    files: [{ name: "deck.py", bytes: Buffer.from([0, 1, 255, 13, 10, 39, 92]) }],
    ...{ input: "\0", expected: "9\n", symptom: null },
  });
}

test("everything comes back as it was, in another folder; what is there is put aside and not lost", async () => {
  await someData(services.database);
  const file = join(folder, "all.zip");
  const head = await writeBackup(services.database, file);
  expect(head.schema).toBe(newestMigration());
  const elsewhere = mkdtempSync(join(folder, "other-"));
  expect(await rowsOfFolder(elsewhere)).toEqual(new Map());
  expect(await restoreBackup(elsewhere, file)).toBeNull();
  const restored = await openDatabase(join(elsewhere, "database"));
  expect(await everything(restored)).toEqual(await everything(services.database));
  // It is data like any other: references hold, triggers work.
  await expect(addStudents(restored, "no such course", ["S-09"])).rejects.toThrow();
  await addCourse(restored, "Terns", "python");
  await restored.close();

  const plan = await planRestore(file, await rowsOfFolder(elsewhere));
  expect(plan).toEqual({
    ...{ holds: "1 course, 3 students, 1 case, 1 sheet, 3 sittings", madeAt: head.madeAt },
    replaces: "2 courses, 3 students, 1 case, 1 sheet, 3 sittings",
  });
  const aside = await restoreBackup(elsewhere, file);
  expect(aside).toMatch(/^database\.before-/);
  expect(readdirSync(elsewhere).sort()).toEqual([aside ?? "", "database"].sort());
  expect((await rowsOfFolder(elsewhere)).get("course")).toBe(1);
});

test("a backup that is taken while people work is as at one moment: what belongs together is in it together", async () => {
  const { database } = services;
  const course = await addCourse(database, "0", "0");
  await addStudents(
    database,
    course,
    Array.from({ length: 60 }, (_, at) => `W-${at}`),
  );
  let over = false;
  let changes = 0;
  const working = (async () => {
    while (!over) {
      changes += 1;
      // Name and language are always the same; a student goes and a pair of new ones comes.
      await database.transaction(async (query) => {
        await query("update course set name = $2 where key = $1", [course, String(changes)]);
        await query("update course set language = $2 where key = $1", [course, String(changes)]);
        await query(
          "delete from student where key = (select key from student where course = $1 and label like 'W-%' limit 1)",
          [course],
        );
        for (const half of ["a", "b"])
          await query("insert into student (key, course, label, personal_code, position) values ($1, $2, $1, 'X', 0)", [
            `P-${changes}-${half}`,
            course,
          ]);
      });
    }
  })();
  const file = join(folder, "busy.zip");
  await writeBackup(database, file);
  const during = changes;
  over = true;
  await working;
  expect(during).toBeGreaterThan(3);
  const elsewhere = mkdtempSync(join(folder, "busy-"));
  await restoreBackup(elsewhere, file);
  const restored = await openDatabase(join(elsewhere, "database"));
  const rows = await restored.query("select name, language from course where key = $1", [course]);
  const [{ name = "", language = "" } = {}] = rows as Array<{ name?: string; language?: string }>;
  expect(name).toBe(language);
  const labels = (await listStudents(restored, course)).map(({ label }) => label);
  const pairs = labels.filter((label) => label.startsWith("P-"));
  expect(pairs).toHaveLength(Number(name) * 2);
  expect(labels.length - pairs.length).toBe(Math.max(0, 60 - Number(name)));
  await restored.close();
});

test("what is no backup, is damaged, or comes from a newer version is said, and nothing is changed", async () => {
  const { database } = services;
  const file = join(folder, "sound.zip");
  await writeBackup(database, file);
  const place = mkdtempSync(join(folder, "kept-"));
  mkdirSync(join(place, "database"));
  const bytes = readFileSync(file);
  const tries: Array<[string, Buffer, string]> = [
    ["text", Buffer.from("no zip at all"), "no backup of Bent Nail"],
    ["half", bytes.subarray(0, bytes.length / 2), "no backup of Bent Nail"],
  ];
  const spoilt = Buffer.from(bytes);
  // In the middle of the compressed rows.
  for (let at = 2000; at < 2040; at += 1) spoilt[at] = (spoilt[at] ?? 0) ^ 0x55;
  tries.push(["spoilt", spoilt, "damaged"]);
  for (const [name, content, words] of tries) {
    const wrong = join(folder, `${name}.zip`);
    writeFileSync(wrong, content);
    await expect(restoreBackup(place, wrong), name).rejects.toThrow(words);
    expect(readdirSync(place)).toEqual(["database"]);
  }
});

/** Rows that every version has had a place for. */
const early = `
insert into course (key, name, language) values ('c', 'Kittiwake', 'python');
insert into student (key, course, label, personal_code, position) values ('s', 'c', 'S-01', 'AAAA-AA', 0);
insert into faulty_case (key, course, student, language, title, intent, changed_last) values ('f', 'c', 's', 'python', 'Deck', 'add', '');
insert into content (hash, bytes) values ('h', 'print(1)');
insert into version (key, faulty_case, number, origin, parent) values ('v', 'f', 1, 'handed in', null);
insert into version_file (version, position, name, hash, encoding) values ('v', 0, 'deck.py', 'h', 'utf-8');
insert into exercise (key, title, content) values ('e', 'Deck', '{"tasks":[]}');
insert into sheet (key, course, title, code, state) values ('h', 'c', 'Loads', 'ABCD-EFGH', 'set');
insert into sheet_exercise (sheet, exercise, position) values ('h', 'e', 1);
insert into sheet_edition (key, sheet, number, content) values ('d', 'h', 1, '{"title":"Loads","exercises":[]}');
insert into sitting (key, edition, student) values ('i', 'd', 's');
insert into answer (sitting, task, revision, content) values ('i', 'mend', 1, '{}');
insert into mark (key, sitting, task, item, earned, possible, reason, marker) values ('m', 'i', 'mend', 'fault 1', 1.5, 2, 'so', 'program');
`;

/** All versions in `npm run test:long`; else those before and after much had changed, and the newest ones. */
const versions = Array.from({ length: newestMigration() }, (_, at) => at + 1).filter(
  (schema) => process.env.BENT_NAIL_LONG || [1, 4, 5, 16, 17].includes(schema) || schema >= newestMigration() - 1,
);

test("a copy made by each earlier version is restored as if that version had been brought up to date", async () => {
  const first = join(folder, "first.tar");
  const begun = await openDatabase(null, null, 1);
  await begun.exec(early);
  await begun.dump(first);
  await begun.close();
  const database = await openDatabase(null, first, 1);
  for (const schema of versions) {
    await migrate(database, schema);
    const file = join(folder, `schema-${schema}.zip`);
    expect((await writeBackup(database, file)).schema).toBe(schema);
  }
  const now = await everything(database);
  expect(now.mark).toHaveLength(1);
  await database.close();
  for (const schema of versions) {
    const restored = await openDatabase(null, first, schema);
    const backup = await openBackup(join(folder, `schema-${schema}.zip`));
    await fillFrom(restored, backup);
    backup.close();
    await migrate(restored);
    const there = await everything(restored);
    expect(
      [...(await countRows(restored, await listTables(restored)))].filter(([, rows]) => rows > 0).length,
    ).toBeGreaterThan(12);
    expect(without(there), `schema ${schema}`).toEqual(without(now));
    await restored.close();
  }
});

/** What was written when a version was brought up to date carries the time of that. */
function without(all: Record<string, string[]>): Record<string, string[]> {
  return Object.fromEntries(
    Object.entries(all).map(([table, rows]) => [
      table,
      rows.map((row) => row.replace(/"\d{4}-\d\d-\d\dT[\d:.+-]+"/g, '"then"')),
    ]),
  );
}
