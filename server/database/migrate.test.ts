import { readdirSync, readFileSync } from "node:fs";
import { join } from "node:path";
import { PGlite } from "@electric-sql/pglite";
import { pg_trgm } from "@electric-sql/pglite/contrib/pg_trgm";
import { expect, test } from "vitest";
import { productFolder } from "../productFolder.ts";
import { fromJson } from "./rows.ts";

const folder = join(productFolder, "db/migrations");
const migration = (number: string) =>
  readFileSync(join(folder, readdirSync(folder).find((name) => name.startsWith(number)) ?? ""), "utf8");

/** Data as the version before had it: a course with a task, a mended case with two checks, marks and former values. */
const before = `
insert into course (key, name, language, task, hand_in_code, hand_in_open) values ('c', 'Kittiwake', 'python', 'Add the loads.', 'ABCD-EFGH', true), ('d', 'Tern', 'c', '', null, false);
insert into student (key, course, label, personal_code, position) values ('s', 'c', 'S-01', 'AAAA-AA', 0);
insert into faulty_case (key, course, student, language, title, intent, changed_last, current_version, checks_edition, receipt)
  values ('f', 'c', 's', 'python', 'Deck', '', '', 'v2', 3, 'RRRR-RRRR');
insert into version (key, faulty_case, number, origin, parent) values ('v1', 'f', 1, 'handed in', null), ('v2', 'f', 2, 'mended', 'v1');
insert into program_check (key, faulty_case, position, input, expected, kind, ignore_prompts, handed_in, surroundings)
  values ('k1', 'f', 0, '1', '2', 'normal', true, true, '{"a.txt": "nul \\u0000 here"}'), ('k2', 'f', 1, '', null, 'boundary', false, false, '{}');
insert into layer (key, faulty_case, position, version_before, version_after, verdict, decided, faulty_lines, fix, first_fix, verified) values
  ('l1', 'f', 1, 'v1', 'v2', '{"class":"logic","kind":null,"symptom":"wrong result","gate":3,"reasons":["it \\\\u0000 says"],"reportedLine":null,"message":"\\ud800"}',
   '{"class":"syntax","kind":"form","suggested":"logic","reason":"so","at":"2026-01-02T00:00:00Z"}', '[{"file":"deck.py","line":2}]',
   '[{"start":2,"before":["x\\n"],"after":[]}]', null, '{"version":"v2","checksEdition":3,"translator":"CPython","at":"2026-01-02T00:00:00Z"}'),
  ('l2', 'f', 2, 'v2', null, '{"class":null,"kind":null,"symptom":"","gate":null,"reasons":[],"reportedLine":null,"message":""}', null, '[]', null, null, '{"version":"v2","checksEdition":2,"translator":"","at":""}');
insert into run (key, version, program_check, check_edition, translator, limits, outcome) values
  ('r1', 'v2', 'k1', 3, 'CPython', '{"cpuSeconds":2}', '{"console":[]}'), ('r2', 'v2', 'k1', 2, 'CPython', '{}', '{}'), ('r3', 'v2', 'gone', 3, 'CPython', '{}', '{}');
insert into former_value (key, about, about_key, former, who, reason, faulty_case) values
  ('o1', 'layer', 'l1', '{"class":"runtime"}', 'teacher', '', 'f'), ('o2', 'layer', 'x', '{}', 'program', '', 'gone');
insert into exercise (key, title, content) values ('e', 'Deck', '{"tasks":[]}');
insert into collection (key, course, name, cases) values ('g', 'c', 'set', '["f"]');
`;

test("data of the version before is carried over: nothing is lost, what was decided stays decided", async () => {
  const database = await PGlite.create({ extensions: { pg_trgm } });
  for (const number of ["0001", "0002", "0003", "0004"]) await database.exec(migration(number));
  await database.exec(before);
  await database.exec(migration("0005"));
  const rows = async (sql: string) => (await database.query(sql)).rows;
  const json = (value: unknown) => fromJson(JSON.stringify(value));

  expect(
    await rows(
      "select key, title, hand_in_code, hand_in_open, convert_from(statement, 'UTF8') as said from assignment",
    ),
  ).toEqual([
    { key: "c-1", title: "Kittiwake", hand_in_code: "ABCD-EFGH", hand_in_open: true, said: "Add the loads." },
  ]);
  expect(await rows("select assignment from faulty_case")).toEqual([{ assignment: "c-1" }]);
  expect(await rows("select owner from course")).toEqual([{ owner: "first" }, { owner: "first" }]);
  expect(await rows("select key, edition, visible, comparison from program_check order by position")).toEqual([
    { key: "k1", edition: 3, visible: false, comparison: { ignorePrompts: true } },
    { key: "k2", edition: 3, visible: false, comparison: {} },
  ]);
  const [check] = await rows("select surroundings from program_check where key = 'k1'");
  expect(json(check)).toEqual({ surroundings: { "a.txt": "nul \0 here" } });
  // Runs of former editions and of checks that are gone can be made again; the others stay.
  expect(await rows("select key from run")).toEqual([{ key: "r1" }]);

  const layers = await rows("select * from layer order by position");
  expect(layers.map(json)).toMatchObject([
    {
      suggested_class: "logic",
      decided_class: "syntax",
      decided_kind: "form",
      outcome: "fault",
      symptom: "wrong result",
      verdict: { gate: 3, reasons: ["it \\u0000 says"], message: "\ud800" },
      decided: { suggested: "logic", reason: "so" },
      faulty_lines: [{ line: 2 }],
      verified: {
        checks: [
          { check: "k1", edition: 3 },
          { check: "k2", edition: 3 },
        ],
      },
    },
    // What rested on other checks than there are now names editions that never were.
    { suggested_class: null, decided_class: null, verified: { checks: [{ edition: 0 }, { edition: 0 }] } },
  ]);
  expect(Object.keys(Object(json(layers[0])))).not.toContain("checksEdition");
  expect(await rows("select key, teacher, former from former_value")).toEqual([
    { key: "o1", teacher: "first", former: { class: "runtime" } },
  ]);
  expect(await rows("select content from exercise")).toEqual([{ content: { tasks: [] } }]);
  expect(await rows("select cases from collection")).toEqual([{ cases: ["f"] }]);

  // Rules of comparing have words of their own since; checks keep what they had, and judge as they did.
  for (const number of ["0006", "0007"]) await database.exec(migration(number));
  expect(await rows("select key, comparison, name, pieces, confirmed from program_check order by position")).toEqual([
    { key: "k1", comparison: { prompts: "ignored" }, name: "", pieces: null, confirmed: true },
    { key: "k2", comparison: {}, name: "", pieces: null, confirmed: true },
  ]);
  expect(await rows("select key, comparison, languages, input_shape, revision from assignment")).toEqual([
    { key: "c-1", comparison: {}, languages: [], input_shape: [], revision: 1 },
  ]);
  await database.close();
});
