import { readFileSync } from "node:fs";
import { join } from "node:path";
import fc from "fast-check";
import { expect, test } from "vitest";
import { validateXML } from "xmllint-wasm";
import { testExercise } from "../../exercises/testExercise.ts";
import { type SheetToWrite, writtenExercises } from "../sheetContent.ts";
import { oneLine, type PackageFile, sayable } from "./names.ts";
import { readQti } from "./read.ts";
import { qtiPackage } from "./write.ts";

const tasks = [
  { key: "class", kind: "classify", marks: 2 },
  { key: "point", kind: "point", marks: 1 },
  { key: "runs", kind: "runs", marks: 3 },
  { key: "read", kind: "reading", marks: 4 },
  { key: "say", kind: "purpose", marks: 2 },
  { key: "what", kind: "define", marks: 2, class: "logic" },
  {
    ...{ key: "out", kind: "predict", marks: 3, program: "faulty", check: 0 },
    answer: { output: "Deck load: 1\n", echoed: "Deck load: 1\n", ending: "ends by itself" },
  },
  { key: "mend", kind: "mend", marks: 2, allowedExtraLines: 1, extraCost: 0 },
];
const checks = [
  {
    ...{ input: "4\n9\n", expected: "Deck load: 7\n", kind: "normal" as const, ignorePrompts: false },
    files: { "loads.txt": "4\n9\n", "gone.txt": null },
  },
];
const sheet: SheetToWrite = {
  ...{ title: "Deck & tide", minutes: 45 },
  exercises: [
    { title: "Deck <loads>", section: "Warm-up", content: testExercise({ intro: "Adds “loads”.", checks, tasks }) },
    {
      title: "The tide",
      section: "",
      content: testExercise({ userActions: ["presses Add"], tasks: tasks.slice(0, 3) }),
    },
  ],
};

const schemaFolder = join(import.meta.dirname, "../../../docs/qti");
const schema = (name: string) => ({ fileName: name, contents: readFileSync(join(schemaFolder, name), "utf8") });

/** What is wrong with the files of a package by our schema of the elements that are used. */
async function problemsOf(files: readonly PackageFile[]): Promise<string[]> {
  const { errors } = await validateXML({
    xml: files
      .filter(({ name }) => /^test|^items\//.test(name))
      .map(({ name, text }) => ({ fileName: name.replaceAll("/", "-"), contents: text })),
    schema: schema("items.xsd"),
    preload: [schema("xml.xsd")],
  });
  const manifest = files.find(({ name }) => name === "imsmanifest.xml")?.text ?? "";
  const other = await validateXML({ xml: manifest, schema: schema("manifest.xsd") });
  return [...errors, ...other.errors].map(({ message, loc }) => `${loc?.fileName}: ${message}`);
}

/** What is to be read back of a sheet, with what XML cannot hold written otherwise. */
const expected = ({ title, minutes, exercises }: SheetToWrite) => {
  const all = <Value>(value: Value): Value =>
    JSON.parse(JSON.stringify(value), (_name, each) => (typeof each === "string" ? sayable(each) : each));
  return {
    ...{ title: oneLine(title), minutes },
    exercises: writtenExercises({ title, minutes, exercises }).map(({ total: _total, tasks: own, ...exercise }) => ({
      ...all(exercise),
      ...{ title: oneLine(exercise.title), section: oneLine(exercise.section) },
      tasks: own.map((task) => ({
        ...all(task),
        scheme: task.scheme.map(({ item, marks, words }) => sayable(`${item} (${marks}): ${words}`)),
      })),
    })),
  };
};

test("a sheet is a package that says its test, its items and what cannot be said", async () => {
  const files = qtiPackage(sheet);
  expect(files.map(({ name }) => name)).toEqual([
    ...["imsmanifest.xml", "test.xml"],
    ...tasks.map((_task, at) => `items/exercise-1-task-${at + 1}.xml`),
    ...["items/exercise-2-task-1.xml", "items/exercise-2-task-2.xml", "items/exercise-2-task-3.xml", "not-said.txt"],
  ]);
  expect(await problemsOf(files)).toEqual([]);
  // Whoever sits an item reads sentences, not fields.
  for (const words of [
    ">There is one fault in it.<",
    ">Beside the program lies loads.txt:<",
    ">There is no file gone.txt.<",
  ])
    expect(files[2]?.text).toContain(words);
  const said = files.at(-1)?.text ?? "";
  expect(said).toContain("Programs cannot be run or tried in it");
  expect(said).toContain("it stands above the field instead: 1h.");
  expect(said).not.toContain("no XML can hold");
});

test("what was written is read back equal", () => {
  expect(readQti(qtiPackage(sheet))).toEqual(expected(sheet));
});

test("the schema finds what does not belong there", async () => {
  const files = qtiPackage(sheet).map((file) => ({
    ...file,
    text: file.text.replace("<qti-prompt>", "<qti-question>").replace("</qti-prompt>", "</qti-question>"),
  }));
  expect((await problemsOf(files)).join()).toContain("qti-question");
});

test("whatever stands in a program or a title, the package is well-formed and says the same", () => {
  const text = fc.oneof(
    fc.string({ unit: "binary", maxLength: 60 }),
    fc.constantFrom(
      "a < b && c > ']]>'",
      "\u0000\u0007\ufffe",
      "\ud800",
      "x\r\ny\rz",
      "<!--",
      "&amp;&#0;",
      "  two  \n\n blanks ",
      "<?xml?>",
    ),
  );
  fc.assert(
    fc.property(text, text, text, (title, program, words) => {
      const content = testExercise({
        ...{
          program,
          intro: words,
          userActions: words === "" ? [] : [words],
          tasks: tasks.filter(({ kind }) => kind !== "runs"),
        },
        given: [{ of: "output", says: title, text: program }],
        faults: testExercise().faults.map((fault) => ({ ...fault, message: words })),
      });
      const hostile: SheetToWrite = { title, minutes: null, exercises: [{ title, section: title, content }] };
      expect(readQti(qtiPackage(hostile))).toEqual(expected(hostile));
    }),
  );
});

test("a package that lacks a part, or is none, is refused in words", () => {
  const files = qtiPackage(sheet);
  expect(() => readQti([])).toThrow("The package has no imsmanifest.xml.");
  expect(() => readQti(files.filter(({ name }) => name !== "items/exercise-1-task-2.xml"))).toThrow(
    "The package has no items/exercise-1-task-2.xml.",
  );
  expect(() => readQti(files.map((file) => ({ ...file, text: file.text.slice(0, 90) })))).toThrow();
});
