import { mkdir, mkdtemp, readFile, rm, writeFile } from "node:fs/promises";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { afterAll, beforeAll, expect, test } from "vitest";
import { commandHere } from "./commandHere.ts";

const fare = 'age = int(input())\nif age < 15:\n    print("Fare", 6)\nelse:\n    print("Fare", 12)\n';
const faulty = fare.replace("< 15", "<= 15");
const refused = fare.replace("else:", "else");
const checks = [
  { name: "child", input: "14\n", expected: "Fare 6\n" },
  { name: "limit", input: "15\n", expected: "Fare 12\n" },
];

let folder = "";
beforeAll(async () => {
  folder = await mkdtemp(join(tmpdir(), "bent-nail-"));
  const files: Record<string, string> = {
    "fare.py": fare,
    "faulty.py": faulty,
    "refused.py": refused,
    "checks.json": JSON.stringify(checks),
    "fares.json": JSON.stringify({
      ...{ format: "bent-nail-assignment", version: 1, languages: ["python"] },
      models: [{ language: "python", files: [{ path: "model.py", text: fare }] }],
      checks: [{ name: "child", input: "3\n" }],
    }),
    "loads.pseudo": 'total ← 0\nFOR deck ← 1 TO 3\n    total ← total + deck\nNEXT deck\nOUTPUT "Load ", total\n',
  };
  for (const [name, text] of Object.entries(files)) await writeFile(join(folder, name), text);
});
afterAll(() => rm(folder, { recursive: true, force: true }));

const bentNail = (given: string[], input = "", environment: Record<string, string> = {}) =>
  commandHere(folder, given, input, environment);

test("mend finds the smallest change, as a table and as JSON", async () => {
  const told = await bentNail(["mend", "faulty.py", "--checks", "checks.json", "--seconds", "2", "--json"]);
  const { fixes, tried } = JSON.parse(told.out);
  expect([told.code, fixes[0].repairs, fixes[0].checks]).toEqual([0, "repairs", { passed: 2, of: 2 }]);
  expect(fixes[0].hunks).toEqual([{ start: 2, before: ["if age <= 15:"], after: ["if age < 15:"] }]);
  expect(tried).toBeGreaterThan(0);
  const table = (await bentNail(["mend", "faulty.py", "--checks", "checks.json", "--seconds", "2"])).out;
  expect(table).toContain("  line 2\n  - if age <= 15:\n  + if age < 15:\n");
});

test("mend of a refused program, by an assignment's checks, and in a batch with a bad line", async () => {
  const one = await bentNail(["mend", "refused.py", "--assignment", "fares.json", "--seconds", "2", "--json"]);
  expect(JSON.parse(one.out).fixes[0].hunks).toEqual([{ start: 4, before: ["else"], after: ["else:"] }]);
  const lines = [
    { id: "a", language: "python", program: faulty, checks },
    { id: "b", language: "python" },
    { id: "c", language: "python", program: fare, checks },
  ].map((line) => JSON.stringify(line));
  const batch = await bentNail(["mend", "--batch", "-", "--seconds", "2"], lines.join("\n"));
  const [first, second, third] = batch.out
    .trim()
    .split("\n")
    .map((line) => JSON.parse(line));
  expect([first.id, first.fixes[0].hunks[0].after]).toEqual(["a", ["if age < 15:"]]);
  expect([second.id, second.error]).toEqual(["b", "program: missing"]);
  // What passes everything needs no mending.
  expect([third.id, third.fixes]).toEqual(["c", []]);
});

test.each([
  [["mend"], 2, "name a program or give --batch"],
  [["mend", "nowhere.py"], 1, "there is no file nowhere.py"],
  [["mend", "faulty.py", "--seconds", "soon"], 2, "a number of seconds from 0 to 600"],
  [["mend", "faulty.py", "--checks", "fare.py"], 1, "the checks cannot be read"],
  [["mend", "--batch", "nowhere.jsonl"], 1, "nowhere.jsonl"],
  [["checks"], 2, "--assignment"],
  [["checks", "--assignment", "checks.json"], 1, "checks.json"],
  [["plant", "fare.py", "--count", "none"], 2, "a whole number from 1 to 50"],
  [["plant", "fare.py", "--level", "6"], 2, "a level from 1 to 5"],
  [["plant", "fare.py", "--classes", "logic,grave"], 2, "classes are syntax, runtime, logic"],
  [["plant", "fare.py", "--pattern", "bent-nail"], 1, "there is no pattern bent-nail"],
  [["plant", "fare.txt"], 1, "fare.txt"],
  [["exercise", "make", "fare.py", "--tasks", "poem"], 2, "kinds of task are"],
  [["exercise", "make", "fare.py", "--tasks", "trace=0"], 2, "marks are whole numbers from 1 to 100"],
  [["exercise", "make", "fare.py", "--show", "answers"], 2, "what can be shown is outputs, errors"],
  [["exercise", "twin", "fare.py"], 1, "JSON"],
  [["exercise", "twin", "fare.py", "--seed", "-1"], 2, "a scene is a whole number from 0"],
  [["exercise", "mark", "fare.py", "-"], 1, "JSON"],
  [["patterns", "--language", "klingon"], 1, "klingon"],
  [["write", "loads.pseudo", "--as", "song"], 2, "song"],
  [["write", "loads.pseudo", "--as", "svg", "--routine", "Dock"], 1, "has no routine Dock"],
  [["write", "nowhere.pseudo"], 1, "there is no file nowhere.pseudo"],
  [["import", "nowhere.zip"], 1, "nowhere.zip"],
  [["export", "--format", "song"], 2, "song"],
  [["export", "--class", "grave"], 2, "grave"],
  [["export", "--since", "last week"], 2, "a day is written like 2026-09-01"],
  [["export", "--until", "2026-02-30"], 2, "a day is written like 2026-09-01"],
  [["export", "--course", "nowhere"], 1, "there is no course nowhere"],
] as Array<[string[], number, string]>)(
  "%j is refused with words, and nothing is printed",
  async (given, code, words) => {
    const told = await bentNail(given, "", { BENT_NAIL_DATA: join(folder, "data") });
    expect(told).toMatchObject({ code, out: "", err: expect.stringContaining(words) });
  },
);

test("checks says which small changes of the model nothing notices, with an input that would", async () => {
  const told = await bentNail(["checks", "--assignment", "fares.json", "--seconds", "8", "--json"]);
  const { strength, noticed, killable, unnoticed, missing } = JSON.parse(told.out);
  expect(told.code).toBe(0);
  expect([noticed < killable, strength]).toEqual([true, Math.round((1000 * noticed) / killable) / 10]);
  expect(unnoticed.length).toBe(killable - noticed);
  expect(unnoticed.every((each: { says: string; input: string }) => each.says && each.input)).toBe(true);
  expect(missing.length).toBeGreaterThan(0);
  const table = (await bentNail(["checks", "--assignment", "fares.json", "--seconds", "8"])).out;
  expect(table).toMatch(/^\d+(\.\d)? % of the small changes that can be told apart are noticed: \d+ of \d+\n/);
  expect(table).toMatch(/ {2}not noticed: .+\n {4}this input would: "\d+\\n"\n/);
});

test("plant makes faults of the kinds and classes that are asked for, each proven, in rising level", async () => {
  const given = ["plant", "fare.py", "--checks", "checks.json", "--count", "6", "--seconds", "15", "--json"];
  const planted = JSON.parse((await bentNail(given)).out);
  expect(planted.length).toBeGreaterThan(2);
  const levels = planted.map((each: { level: number }) => each.level);
  expect(levels).toEqual([...levels].sort((one, other) => one - other));
  const logic = JSON.parse((await bentNail([...given, "--classes", "logic"])).out);
  expect(new Set(logic.map((each: { class: string }) => each.class))).toEqual(new Set(["logic"]));
  const table = await bentNail(["plant", "fare.py", "--checks", "checks.json", "--count", "2", "--classes", "syntax"]);
  expect(table.out).toMatch(/^level \d {2}syntax {2}line \d/);
  // Nothing of a kind that this program has no place for.
  const none = await bentNail([...given, "--pattern", "file-not-there"]);
  expect([none.code, none.out, none.err === ""]).toEqual([1, "[]\n", false]);
});

test("exercise: made of two programs, marked from lines, with a twin in another scene", async () => {
  const made = await bentNail([
    ...["exercise", "make", "faulty.py", "--mended", "fare.py", "--checks", "checks.json", "--title", "Fares"],
    ...["--tasks", "classify=2,point,trace=6,mend", "--own-rows", "--nothing-given"],
  ]);
  expect([made.code, made.err]).toEqual([0, ""]);
  await writeFile(join(folder, "exercise.json"), made.out);
  const { title, exercise } = JSON.parse(made.out);
  expect([title, exercise.tasks.map((task: { kind: string }) => task.kind)]).toEqual([
    "Fares",
    ["classify", "point", "trace", "mend"],
  ]);
  expect(exercise.tasks[2]).toMatchObject({ linesGiven: false, given: [], marks: 6 });
  const [classify, point] = exercise.tasks;
  const lines = [
    JSON.stringify({ id: 1, task: classify.key, answer: { class: "logic" } }),
    JSON.stringify({ id: 2, task: point.key, answer: { line: 2 } }),
    "{no json",
    JSON.stringify({ id: 4, task: "none-such", answer: {} }),
    "",
    JSON.stringify({ task: classify.key }),
  ];
  const marked = await bentNail(["exercise", "mark", "exercise.json", "-"], lines.join("\n"));
  const results = marked.out
    .trim()
    .split("\n")
    .map((line) => JSON.parse(line));
  expect(results).toHaveLength(5);
  expect([results[0].id, results[0].error]).toEqual([1, undefined]);
  expect(results[2]).toEqual({ id: 3, error: "this line is no JSON" });
  expect([results[3].id, typeof results[3].error]).toEqual([4, "string"]);
  expect([results[4].id, typeof results[4].error]).toEqual([6, "string"]);
  // What students see may not say what a table asks for.
  const shown = JSON.parse(made.out);
  shown.exercise.given = [{ of: "output", says: "It prints when 15 is typed in:", text: "Fare 6\n" }];
  await writeFile(join(folder, "shown.json"), JSON.stringify(shown));
  expect(await bentNail(["exercise", "twin", "shown.json"])).toMatchObject({
    ...{ code: 1, out: "", err: expect.stringMatching(/^bent-nail: No equal exercise was found: .*[^.]\.\n$/) },
  });
  const twin = await bentNail(["exercise", "twin", "exercise.json", "--seed", "3"]);
  const again = await bentNail(["exercise", "twin", "exercise.json", "--seed", "3"]);
  expect([twin.code, again.out]).toEqual([0, twin.out]);
  const other = JSON.parse(twin.out).exercise;
  expect(other.tasks.map((task: { key: string }) => task.key)).toEqual(
    exercise.tasks.map((task: { key: string }) => task.key),
  );
  expect(other.program).not.toBe(exercise.program);
});

test("write: another style, Python, a chart in words and back, a drawing", async () => {
  const python = await bentNail(["write", "loads.pseudo", "--as", "python"]);
  expect([python.code, python.out]).toEqual([0, expect.stringContaining("total = total + deck")]);
  const words = await bentNail(["write", "loads.pseudo", "--as", "arrows"]);
  await writeFile(join(folder, "loads.chart"), words.out);
  const back = await bentNail(["write", "loads.chart"]);
  expect(back.out).toContain("total ← total + deck");
  // A counting loop has come back as one that asks; from then on nothing changes any more.
  await writeFile(join(folder, "back.pseudo"), back.out);
  await writeFile(join(folder, "again.chart"), (await bentNail(["write", "back.pseudo", "--as", "arrows"])).out);
  expect((await bentNail(["write", "again.chart"])).out).toBe(back.out);
  expect((await bentNail(["write", "loads.pseudo", "--as", "svg"])).out).toMatch(/^<\?xml [^>]*>\s*<svg [^>]*>/);
  await writeFile(join(folder, "broken.chart"), words.out.replace(/->|→/, "?"));
  const broken = await bentNail(["write", "broken.chart"]);
  expect([broken.code, broken.out]).toEqual([1, ""]);
  expect(broken.err).toMatch(/^bent-nail: broken\.chart: Line \d+: /);
});

test("patterns: those of a language have an example in it, with what a run of it told", async () => {
  const { patterns } = JSON.parse((await bentNail(["patterns", "--language", "pascal", "--json"])).out);
  expect(patterns.length).toBeGreaterThan(20);
  const languages = patterns.flatMap((each: { examples: Array<{ language: string }> }) =>
    each.examples.map((example) => example.language),
  );
  expect(new Set(languages)).toEqual(new Set(["pascal"]));
});

test("cases go out in every format and into another Bent Nail; what a message says is told there", async () => {
  const [here, there] = [join(folder, "here"), join(folder, "there")].map((path) => ({ BENT_NAIL_DATA: path }));
  const { openDatabase } = await import("../server/database/database.ts");
  const { addCourse } = await import("../server/people/courseStore.ts");
  for (const name of ["here", "there"]) {
    const database = await openDatabase(join(folder, name, "database"));
    await addCourse(database, "Group 1", "python");
    await database.close();
  }
  const set = join(folder, "set");
  for (const student of ["S-07", "S-08"]) await mkdir(join(set, student), { recursive: true });
  await writeFile(join(set, "S-07/deck.py"), 'cars = 3\nprint("Load", crs * 2)\n');
  await writeFile(join(set, "S-08/tides.py"), "print(4)\n");
  const message =
    "Traceback (most recent call last):\n  File \"deck.py\", line 2, in <module>\nNameError: name 'crs' is not defined\n";
  await writeFile(join(set, "S-07/deck.log"), message);
  expect((await bentNail(["collect", set, "--course", "Group 1"], "", here)).code).toBe(0);
  const table = (await bentNail(["export", "--format", "csv"], "", here)).out;
  expect(table.trim().split("\n")).toHaveLength(3);
  // Labels of students stay here unless they are asked for.
  expect(table).not.toContain("S-07");
  expect((await bentNail(["export", "--format", "csv", "--names"], "", here)).out).toContain("S-07");
  for (const filter of [
    ["--class", "syntax"],
    ["--since", "2199-01-01"],
    ["--pattern", "zero-divisor"],
  ])
    expect((await bentNail(["export", "--format", "csv", ...filter], "", here)).out.trim().split("\n")).toHaveLength(1);
  const told = await bentNail(["export", "--out", join(folder, "cases.zip")], "", here);
  expect([told.code, told.out]).toEqual([0, ""]);
  expect((await readFile(join(folder, "cases.zip"))).subarray(0, 2).toString()).toBe("PK");
  expect(await bentNail(["import", "cases.zip", "--course", "nowhere"], "", there)).toMatchObject({
    ...{ code: 1, out: "", err: "bent-nail: there is no course nowhere\n" },
  });
  expect((await bentNail(["import", "fare.py"], "", there)).code).toBe(1);
  expect((await bentNail(["import", "cases.zip", "--course", "Group 1"], "", there)).out).toBe("taken in: 2 cases\n");
  // What was never judged was not seen with its message; what the message says is told all the same.
  const seen = JSON.parse((await bentNail(["seen", "--language", "python", "--json"], message, there)).out);
  expect(seen).toMatchObject({ language: "python", line: 2, seen: [] });
  expect((await bentNail(["seen"], message, there)).out).toMatch(/^NameError: .*\n {2}.+\nNot seen before\.\n$/);
  expect(await bentNail(["seen"], "it does not work", there)).toMatchObject({
    ...{ code: 1, out: "", err: "bent-nail: no tool's message is in this output\n" },
  });
});
