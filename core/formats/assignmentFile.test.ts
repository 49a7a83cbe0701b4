import { readFileSync } from "node:fs";
import fc from "fast-check";
import { expect, test } from "vitest";
import {
  type AssignmentContent,
  assignmentJsonSchema,
  readAssignmentFile,
  readChecksOf,
  writeAssignmentFile,
} from "./assignmentFile.ts";
import { readCheckFiles, writeCheckFiles } from "./checkFiles.ts";
import { overviewCsv } from "./overviewCsv.ts";

const bytes = (text: string) => new TextEncoder().encode(text);
const minimal = { format: "bent-nail-assignment", version: 1 };
const read = (given: object) => readAssignmentFile(JSON.stringify(given));

const name = fc.stringMatching(/^[A-Za-z0-9 ]{1,12}$/);
const content: fc.Arbitrary<AssignmentContent> = fc.record({
  title: name,
  statement: fc.string({ unit: "binary" }),
  languages: fc.subarray(["python", "java", "c"]),
  comparison: fc.record(
    { prompts: fc.constantFrom("compared" as const, "ignored" as const), numbers: fc.option(fc.nat(9)) },
    { requiredKeys: [] },
  ),
  inputs: fc.constant([{ name: "age", kind: "whole" as const, from: 0, to: null, choices: [], repeat: "1" }]),
  starter: fc.array(fc.record({ name, bytes: fc.uint8Array() }), { maxLength: 2 }),
  models: fc.array(
    fc.record({
      language: fc.constant("python"),
      files: fc.array(fc.record({ name, bytes: fc.uint8Array() }), { minLength: 1, maxLength: 2 }),
    }),
    { maxLength: 2 },
  ),
  checks: fc.array(
    fc.record({
      ...{ name, purpose: name, visible: fc.boolean(), confirmed: fc.boolean() },
      ...{ input: fc.string(), expected: fc.option(fc.string()), comparison: fc.constant({}) },
      kind: fc.constantFrom("normal" as const, "boundary" as const, "erroneous" as const),
      pieces: fc.option(
        fc.array(
          fc.record({ kind: fc.constantFrom("out" as const, "prompt" as const, "in" as const), text: fc.string() }),
        ),
      ),
      surroundings: fc.dictionary(name, fc.option(fc.string()), { maxKeys: 2 }),
    }),
    { maxLength: 4 },
  ),
});

test("what is written is read as it was, any bytes of any file", () => {
  fc.assert(
    fc.property(content, (assignment) => {
      const again = readAssignmentFile(writeAssignmentFile(assignment));
      expect(again.ok && again.leftOut).toEqual([]);
      const plain = (all: AssignmentContent) =>
        JSON.parse(JSON.stringify(all, (_, value) => (value instanceof Uint8Array ? [...value] : value)));
      expect(again.ok && plain(again.assignment)).toEqual(plain(assignment));
    }),
  );
});

test("an absent intended output is one to be worked out, an empty one is nothing", () => {
  const taken = read({ ...minimal, checks: [{ input: "1\n" }, { input: "2\n", expected: "" }] });
  expect(taken.ok && taken.assignment.checks.map((check) => check.expected)).toEqual([null, ""]);
  expect(taken.ok && taken.assignment.comparison).toEqual({ prompts: "ignored" });
});

test.each([
  ["no JSON", "{", "This is no JSON"],
  ["another format", JSON.stringify({ format: "tides" }), "is no assignment"],
  ["a list", "[]", "is no assignment"],
  [
    "a newer version",
    JSON.stringify({ ...minimal, version: 7, checks: 3 }),
    "of version 7; this Bent Nail reads up to version 1",
  ],
  ["checks that are none", JSON.stringify({ ...minimal, checks: [{ input: 7 }] }), "checks.0.input"],
  [
    "a path that leads outward",
    JSON.stringify({ ...minimal, starter: [{ path: "../../etc/passwd", text: "" }] }),
    "lead outward",
  ],
  [
    "a path from the root",
    JSON.stringify({ ...minimal, starter: [{ path: "/etc/passwd", text: "" }] }),
    "lead outward",
  ],
  [
    "a drive",
    JSON.stringify({ ...minimal, models: [{ language: "c", files: [{ path: "C:\\a.c", text: "" }] }] }),
    "lead outward",
  ],
  ["bytes that are none", JSON.stringify({ ...minimal, starter: [{ path: "a", base64: "§" }] }), "cannot be read"],
  ["an unknown rule", JSON.stringify({ ...minimal, compare: { spelling: "ignored" } }), "cannot be read"],
  ["50 MB", `{"title": "${"x".repeat(50_000_000)}"}`, "larger than 20 MB"],
])("%s is refused with words", (_, text, words) => {
  expect(readAssignmentFile(text)).toMatchObject({ ok: false, message: expect.stringContaining(words) });
});

test("keys that are not known are left out and named", () => {
  const taken = read({
    ...minimal,
    colour: "blue",
    checks: [{ input: "1", points: 3 }],
    models: [{ language: "c", files: [{ path: "a.c", text: "" }], author: "x" }],
  });
  expect(taken).toMatchObject({ ok: true, leftOut: ["colour", "check 1: points", "model 1: author"] });
});

test("checks alone: an array, an assignment, files as a record or as a list", () => {
  const beside = { "loads.txt": "4\n", "gone.txt": null };
  expect(readChecksOf([{ input: "1\n", expected: "1", files: beside }])[0]).toMatchObject({ surroundings: beside });
  const listed = {
    input: "1\n",
    files: [
      { path: "loads.txt", base64: btoa("4\n") },
      { path: "gone.txt", absent: true },
    ],
  };
  expect(readChecksOf({ checks: [listed] })[0]).toMatchObject({ surroundings: beside, expected: null });
  expect(() => readChecksOf([{ files: { "../x": "" } }])).toThrow();
  expect(() => readChecksOf("checks")).toThrow();
});

test("the published schema is the one that is read by", () => {
  expect(JSON.parse(readFileSync("docs/assignment.schema.json", "utf8"))).toEqual(
    JSON.parse(JSON.stringify(assignmentJsonSchema())),
  );
});

test("NAME.in with NAME.out or NAME.ans are checks in natural order; the rest is named", () => {
  const entry = (path: string, text: string) => ({ path, bytes: bytes(text) });
  const { checks, leftOver } = readCheckFiles([
    ...[entry("t/10.in", "ten"), entry("t/2.in", "two"), entry("t/2.ans", "2!"), entry("t/10.out", "10!")],
    ...[entry("t/3.in", "three"), entry("t/readme.txt", "x"), entry("t/9.out", "nobody's")],
  ]);
  expect(checks.map((check) => [check.name, check.input, check.expected])).toEqual([
    ["2", "two", "2!"],
    ["3", "three", null],
    ["10", "ten", "10!"],
  ]);
  expect(leftOver).toEqual(["t/readme.txt", "t/9.out"]);
});

test("checks that are written as files come back in their order with their names", () => {
  const names = ["no car", "at the limit", "a/b: c"];
  const written = writeCheckFiles(
    names.map((each, index) => ({ name: each, input: `${index}\n`, expected: index === 1 ? null : "" })),
  );
  expect(written.map((each) => each.path)).toEqual([
    ...["01 no car.in", "01 no car.out", "02 at the limit.in", "03 a-b- c.in", "03 a-b- c.out"],
  ]);
  const again = readCheckFiles([...written].reverse()).checks;
  expect(again.map((check) => [check.name, check.input, check.expected])).toEqual([
    ["no car", "0\n", ""],
    ["at the limit", "1\n", null],
    ["a-b- c", "2\n", ""],
  ]);
});

test("an overview as values with commas: no label becomes a formula, and what differs names its line", () => {
  const cells = [{ result: "passes" }, { result: "logic", firstDifference: { line: 3 } }, null];
  const program = {
    name: "=cmd()",
    file: 'a,"b".py',
    class: "logic",
    kind: null,
    passesAll: false,
    judged: true,
    cells,
  };
  expect(overviewCsv({ columns: [{ name: "one" }, { name: "two" }, { name: "three" }], programs: [program] })).toBe(
    'student,program,class,kind,passed,of,one,two,three\r\n\'=cmd(),"a,""b"".py",logic,,1,2,passes,logic (line 3),\r\n',
  );
});
