import { execFile } from "node:child_process";
import { mkdir, mkdtemp, rm, writeFile } from "node:fs/promises";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { afterAll, beforeAll, expect, test } from "vitest";
import { productFolder } from "../server/productFolder.ts";
import { commandHere, type Told } from "./commandHere.ts";

let folder = "";
beforeAll(async () => {
  folder = await mkdtemp(join(tmpdir(), "bent-nail-"));
  await writeFile(join(folder, "deck.py"), 'cars = 3\nprint("Cars", cars)\nprint("Load", crs * 2)\n');
  await writeFile(join(folder, "fare.py"), "age = int(input())\nif age < 15:\n    print(6)\nelse:\n    print(12)\n");
  await writeFile(join(folder, "fifteen"), "15\n");
  await writeFile(join(folder, "six"), "6\n");
  await writeFile(
    join(folder, "style.json"),
    JSON.stringify({ name: "Paper", unchanged: "repeated", columns: ["depth"] }),
  );
  await writeFile(
    join(folder, "checks.json"),
    JSON.stringify([
      { input: "3\n", expected: "6\n" },
      { input: "15\n", expected: "6\n", kind: "boundary" },
    ]),
  );
});
afterAll(() => rm(folder, { recursive: true, force: true }));

/** Runs bent-nail as a person would, in the folder of the test's files. */
const bentNail = (given: string[], input = "", environment: Record<string, string> = {}) =>
  commandHere(folder, given, input, environment);

/** The same in a process of its own. */
function bentNailAlone(given: string[], input = "", environment: Record<string, string> = {}): Promise<Told> {
  return new Promise((resolve) => {
    const child = execFile(
      join(productFolder, "bin/bent-nail"),
      given,
      { cwd: folder, env: { ...process.env, ...environment } },
      (problem, out, err) => resolve({ code: problem ? Number(problem.code ?? 1) : 0, out, err }),
    );
    child.stdin?.end(input);
  });
}

test("judge gives gates, class, reasons, line, leads and the console as JSON", async () => {
  const { code, out } = await bentNail(["judge", "deck.py", "--json"]);
  const result = JSON.parse(out);
  expect(code).toBe(0);
  expect(result).toMatchObject({
    class: "runtime",
    kind: null,
    reportedLine: 3,
    gates: [
      { gate: 1, passes: true },
      { gate: 2, passes: false },
      { gate: 3, passes: null },
    ],
  });
  expect(result.leads[0]).toMatchObject({ line: 3 });
  expect(
    result.leads.some((lead: { line: number; why: string }) => lead.line === 1 && lead.why.includes("looks like it")),
  ).toBe(true);
  expect(result.console[0]).toEqual({ kind: "out", text: "Cars 3\n", line: 2 });
});

test("judge suggests kinds of mistake, best first; patterns lists those that are known", async () => {
  const { patterns: suggested } = JSON.parse((await bentNail(["judge", "deck.py", "--json"])).out);
  expect(suggested[0]).toMatchObject({ id: "own-name-misspelt", why: expect.stringContaining("line 3") });
  const { patterns: all } = JSON.parse((await bentNail(["patterns", "--json"])).out);
  const ids: string[] = all.map((each: { id: string }) => each.id);
  expect(ids).toEqual(expect.arrayContaining(suggested.map((each: { id: string }) => each.id)));
  expect((await bentNail(["patterns"])).out).toContain("zero-divisor\n    A divisor that becomes zero.");
  const right = ["judge", "fare.py", "--input", "fifteen", "--json"];
  expect(JSON.parse((await bentNail(right)).out).patterns).toEqual([]);
});

test("judge with input and intended output, and as a table for people", async () => {
  expect(
    JSON.parse((await bentNail(["judge", "fare.py", "--input", "fifteen", "--expected", "six", "--json"])).out),
  ).toMatchObject({
    class: "logic",
    reportedLine: null,
  });
  const { out } = await bentNail(["judge", "fare.py", "--input", "fifteen", "--expected", "six"]);
  expect(out).toMatch(/^class +logic/);
  expect(out).toContain("A decision taken on the way to the wrong output.");
});

test("judge with checks: the first failing one decides", async () => {
  expect(JSON.parse((await bentNail(["judge", "fare.py", "--checks", "checks.json", "--json"])).out)).toMatchObject({
    class: "logic",
    otherClasses: [],
  });
});

const fareModel = 'age = int(input("Age? "))\nprint(6 if age < 15 else 12)\n';
const fares = {
  ...{ format: "bent-nail-assignment", version: 1, languages: ["python"] },
  models: [{ language: "python", files: [{ path: "model.py", text: fareModel }] }],
  checks: [
    { name: "child", input: "14\n", expected: "6\n" },
    { name: "limit", input: "15\n" },
  ],
};

test("judge by an assignment: rows in their order, cells with the first difference, programs that fail alike", async () => {
  await writeFile(join(folder, "fares.json"), JSON.stringify({ ...fares, colour: "blue" }));
  await writeFile(join(folder, "right.py"), fareModel.replace("Age? ", "How old are you?\\n"));
  await writeFile(join(folder, "edge.py"), fareModel.replace("< 15", "<= 15"));
  await writeFile(join(folder, "open.py"), fareModel.replace("print(6", "print((6"));
  const { code, out, err } = await bentNail([
    ...["judge", "--assignment", "fares.json", "right.py", "edge.py", "open.py", "gone.py", "--json"],
  ]);
  // One program that is not there keeps none of the others from being judged.
  expect(code).toBe(1);
  expect(err).toContain("left out: colour");
  const { rows, groups } = JSON.parse(out);
  expect(rows).toMatchObject([
    { program: "right.py", class: null, kind: null, passed: 2 },
    {
      ...{ program: "edge.py", class: "logic", passed: 1 },
      cells: [
        { check: "child", result: "passes", firstDifference: null },
        { check: "limit", result: "logic", firstDifference: { line: 1, intended: "12", actual: "6" } },
      ],
    },
    { program: "open.py", class: "syntax", kind: "form", passed: 0 },
    { program: "gone.py", error: "there is no file gone.py" },
  ]);
  expect(groups).toMatchObject([
    { class: "logic", checks: ["limit"], programs: ["edge.py"] },
    { class: "syntax", checks: ["child", "limit"], programs: ["open.py"] },
  ]);
  const table = (await bentNail(["judge", "--assignment", "fares.json", "edge.py"])).out;
  expect(table).toContain("edge.py  logic       + L  1 of 2");
});

test("a model that fails a check is told and works nothing out; files NAME.in with NAME.out judge as well", async () => {
  const spoilt = { ...fares, models: [{ language: "python", files: [{ path: "model.py", text: "print(7)\n" }] }] };
  await writeFile(join(folder, "spoilt.json"), JSON.stringify(spoilt));
  const told = await bentNail(["judge", "--assignment", "spoilt.json", "fare.py", "--json"]);
  expect(told.err).toContain("model.py fails child, so it is not used as a model");
  expect(JSON.parse(told.out).rows[0].cells.map((cell: { result: string }) => cell.result)).toEqual(["passes", "open"]);
  await mkdir(join(folder, "tests"), { recursive: true });
  for (const [name, text] of Object.entries({ "1.in": "15\n", "1.out": "6\n", "2.in": "9\n", "2.ans": "6\n" }))
    await writeFile(join(folder, "tests", name), text);
  const byFiles = JSON.parse((await bentNail(["judge", "--assignment", "tests", "fare.py", "--json"])).out);
  expect(byFiles.rows[0]).toMatchObject({ class: "logic", passed: 1, cells: [{ check: "1" }, { check: "2" }] });
  expect(JSON.parse((await bentNail(["judge", "fare.py", "--checks", "tests", "--json"])).out).class).toBe("logic");
  expect(JSON.parse((await bentNail(["judge", "fare.py", "--checks", "fares.json", "--json"])).out).class).toBe(null);
});

test.each([
  [["judge", "--assignment", "fares.json"], 2, "name the programs"],
  [["judge", "--assignment", "nowhere.json", "fare.py"], 1, "nowhere.json"],
  [["judge", "--assignment", "fifteen", "fare.py"], 1, "no assignment"],
  [["judge", "fare.py", "deck.py"], 2, "--assignment"],
])("%j is refused with words", async (args, code, words) => {
  expect(await bentNail(args)).toMatchObject({ code, err: expect.stringContaining(words) });
});

test("read takes an error output apart without running anything", async () => {
  const message =
    'Traceback (most recent call last):\n  File "deck.py", line 3, in <module>\n    print("Load", crs * 2)\nNameError: name \'crs\' is not defined\n';
  const { code, out } = await bentNail(["read", "--language", "python", "--program", "deck.py", "--json"], message);
  expect(code).toBe(0);
  expect(JSON.parse(out)).toMatchObject({
    class: "runtime",
    kind: null,
    reportedLine: 3,
    primary: { errorName: "NameError", line: 3 },
    diagnostics: [{ errorName: "NameError" }],
  });
  expect(
    JSON.parse((await bentNail(["read", "--language", "python", "--json"], "it does not work")).out),
  ).toMatchObject({
    class: null,
    primary: null,
    diagnostics: [],
  });
});

test("trace as a table, as CSV and as JSON, with chosen columns", async () => {
  expect((await bentNail(["trace", "fare.py", "--input", "fifteen"])).out).toBe(
    "| line | age | input | output |\n| --- | --- | --- | --- |\n| 1 | 15 | 15 |  |\n| 2 |  |  |  |\n| 5 |  |  | 12 |\n",
  );
  expect((await bentNail(["trace", "deck.py", "--format", "csv", "--rows", "change", "--columns", "cars"])).out).toBe(
    "line,cars,output\r\n1,3,\r\n2,,Cars 3\r\n3,,NameError: name 'crs' is not defined. Did you mean: 'cars'?\r\n",
  );
  expect(await bentNail(["trace", "deck.py", "--columns", "cars,crates"])).toMatchObject({
    ...{ code: 1, err: expect.stringContaining("there is no column crates; there are cars") },
  });
  expect((await bentNail(["trace", "deck.py"])).err).toContain("stopped by NameError: name 'crs' is not defined");
  const { table, trace } = JSON.parse(
    (await bentNail(["trace", "fare.py", "--input", "fifteen", "--format", "json"])).out,
  );
  expect(table.columns.map((column: { title: string }) => column.title)).toEqual(["age"]);
  expect(trace.steps).toHaveLength(3);
});

test("trace in a course's style, part by part, and with what if", async () => {
  const styled = await bentNail(["trace", "deck.py", "--style", "style.json"]);
  expect(styled.out).toBe(
    "| line | cars | depth | output |\n| --- | --- | --- | --- |\n| 1 | 3 | 0 |  |\n| 2 | 3 | 0 | Cars 3 |\n| 3 | 3 | 0 | NameError: name 'crs' is not defined. Did you mean: 'cars'? |\n",
  );
  // JSON has the values as they were recorded, in rows by line.
  const json = JSON.parse((await bentNail(["trace", "deck.py", "--style", "style.json", "--format", "json"])).out);
  expect(json.table.rows.map((row: { cells: object }) => row.cells)).toEqual([{ cars: "3" }, {}, {}]);
  expect(await bentNail(["trace", "deck.py", "--style", "deck.py"])).toMatchObject({
    ...{ code: 1, out: "", err: expect.stringContaining("a table style is a JSON object") },
  });
  expect(
    (await bentNail(["trace", "fare.py", "--input", "fifteen", "--with", "waiting", "--rows", "change"])).out,
  ).toContain("| 1 | 15 | nothing | 15 |  |");
  const changed = await bentNail(["trace", "fare.py", "--input", "fifteen", "--what-if", "1: age = 70"]);
  expect(changed.out).toContain("| 2 | 70 |");
  expect(await bentNail(["trace", "fare.py", "--input", "fifteen", "--loop", "2"])).toMatchObject({
    ...{ code: 1, out: "", err: expect.stringContaining("no loop begins in line 2") },
  });
  for (const [wanted, words] of [
    ["age = 70", "is not of the form"],
    ["99: age = 70", "There is no such step; the run has 3."],
  ] as const)
    expect(await bentNail(["trace", "fare.py", "--input", "fifteen", "--what-if", wanted])).toMatchObject({
      ...{ code: 1, out: "", err: expect.stringContaining(words) },
    });
});

test("a batch prints one line each in the order given; a bad line does not stop the rest", async () => {
  const lines = [
    JSON.stringify({ id: "loop", language: "python", program: "n = 1\nwhile n > 0:\n    pass\n", expected: "x" }),
    "{not json",
    JSON.stringify({ id: 3, language: "klingon", program: "x" }),
    JSON.stringify({ id: 4, language: "python" }),
    JSON.stringify({ id: 5, language: "python", program: { "main.py": "import tides\n", "tides.py": "low = \n" } }),
    JSON.stringify({ id: 6, language: "python", program: "print(1)\n", expected: "1" }),
    JSON.stringify({ id: 7, language: "python", program: "print(1)\n", expected: "" }),
  ];
  const { code, out } = await bentNailAlone(["judge", "--batch", "-", "--search", "0"], lines.join("\n"));
  const results = out
    .trim()
    .split("\n")
    .map((line) => JSON.parse(line));
  expect(code).toBe(0);
  expect(results.map((result) => [result.id, result.class ?? null, Boolean(result.error)])).toEqual([
    ["loop", "logic", false],
    [2, null, true],
    [3, null, true],
    [4, null, true],
    [5, "syntax", false],
    [6, null, false],
    [7, "logic", false],
  ]);
});

test("exit codes: 1 for the material, 2 for wrong use, messages on standard error", async () => {
  const missing = await bentNailAlone(["judge", "nowhere.py"]);
  expect([missing.code, missing.out]).toEqual([1, ""]);
  expect(missing.err).toContain("there is no file nowhere.py");
  expect((await bentNailAlone(["judge", "deck.py", "--language", "klingon"])).code).toBe(1);
  expect((await bentNailAlone(["judge"])).code).toBe(2);
  expect((await bentNailAlone(["judge", "deck.py", "--unknown"])).code).toBe(2);
  expect((await bentNailAlone(["trace", "deck.py", "--limit", "none"])).code).toBe(2);
  expect((await bentNailAlone(["--help"])).code).toBe(0);
});

test("limits can be set, and a bad setting is said", async () => {
  await writeFile(join(folder, "long.py"), "print('x' * 3000)\n");
  const short = await bentNailAlone(["judge", "long.py", "--expected", "six", "--json"], "", {
    BENT_NAIL_LIMITS: '{"outputBytes": 1000}',
  });
  expect(JSON.parse(short.out).reasons.join(" ")).toContain("output limit");
  expect((await bentNailAlone(["judge", "long.py"], "", { BENT_NAIL_LIMITS: "{}}" })).err).toContain(
    "BENT_NAIL_LIMITS is no JSON",
  );
});

test("a check may change the files beside the program", async () => {
  await writeFile(join(folder, "list.py"), 'print(open("boats.txt").read())\n');
  await writeFile(
    join(folder, "surroundings.json"),
    JSON.stringify([{ expected: "Tern\n\n", files: { "boats.txt": "Tern\n" } }, { files: { "boats.txt": null } }]),
  );
  const result = JSON.parse((await bentNail(["judge", "list.py", "--checks", "surroundings.json", "--json"])).out);
  expect([result.class, result.reportedLine]).toEqual(["runtime", 1]);
});

test("read takes apart what tools say that do not run here, in a batch as well", async () => {
  const { out } = await bentNail(
    ["read", "--language", "basic-forms", "--json"],
    "Module1.vb(4,9): error BC30451: 'totl' is not declared.\nModule1.vb(6,9): error BC30451: 'totl' is not declared.\n",
  );
  const read = JSON.parse(out);
  expect(read).toMatchObject({
    class: "syntax",
    kind: "meaning",
    reportedLine: 4,
    counts: { errors: 2 },
    recognised: true,
  });
  expect(read.messages.map((message: { group: string }) => message.group)).toEqual(["primary", "follows"]);
  expect(read.messages[0]).toMatchObject({ kind: "unknown name", words: [{ text: "totl", role: "name" }] });
  const lines = [
    "python",
    "java",
    "c",
    "csharp",
    "pascal",
    "octave",
    "basic-macro",
    "basic-forms",
    "sketch",
    "pseudocode",
  ].map((language) => JSON.stringify({ id: language, language, output: "it does not work" }));
  const batch = (await bentNail(["read", "--batch", "-"], lines.join("\n"))).out.trim().split("\n");
  expect(batch.map((line) => [JSON.parse(line).id, JSON.parse(line).recognised])).toEqual(
    lines.map((line) => [JSON.parse(line).language, false]),
  );
  const people = await bentNail(
    ["read", "--language", "c"],
    "deck.c:3:9: error: ‘x’ undeclared (first use in this function)\ndeck.c:4:1: warning: unused variable ‘y’ [-Wunused-variable]\n",
  );
  expect(people.out).toMatch(/primary +line 3:9 .*undeclared[\s\S]*warning +line 4:1/);
});

test("a reader that has seen enough ends a long table quietly", async () => {
  await writeFile(join(folder, "long.py"), "crossing = 0\nwhile crossing < 4000:\n    crossing = crossing + 1\n");
  const command = `${join(productFolder, "bin/bent-nail")} trace long.py --format json | head -c 40; echo " ended with \${PIPESTATUS[0]}"`;
  const said = await new Promise<{ out: string; err: string }>((resolve) =>
    execFile("bash", ["-c", command], { cwd: folder }, (_problem, out, err) => resolve({ out, err })),
  );
  expect(said).toEqual({ out: expect.stringMatching(/^\{[\s\S]* ended with 0\n$/), err: "" });
});
