import { afterAll, beforeAll, expect, test } from "vitest";
import yazl from "yazl";
import type { Entry } from "../../core/collecting/entries.ts";
import { classSet } from "../../demo/classSet/classSet.ts";
import { findCase } from "../cases/caseStore.ts";
import { listCases } from "../cases/listStore.ts";
import { addCourse, addStudents, listStudents } from "../people/courseStore.ts";
import { openTestServices } from "../testServices.ts";
import { unpack } from "./archive.ts";
import { correctCollection, findCollection } from "./collectionStore.ts";
import { arrangeCollection, keepCollection } from "./collections.ts";
import { judgingProgress, resumeJudging, startJudging } from "./judging.ts";
import { takeSet } from "./takeSet.ts";

let services: Awaited<ReturnType<typeof openTestServices>>;
let set: Entry[];
beforeAll(async () => {
  services = await openTestServices();
  set = await classSet(services.toolchains);
});
afterAll(() => services.close());

const labels = Array.from({ length: 24 }, (_, index) => `S-${String(index + 1).padStart(2, "0")}`);
async function course(names: readonly string[] = labels): Promise<string> {
  const key = await addCourse(services.database, `course ${Math.random()}`, "python");
  await addStudents(services.database, key, names);
  return key;
}

function zipOf(entries: readonly Entry[]): Promise<Buffer> {
  const file = new yazl.ZipFile();
  for (const entry of entries) file.addBuffer(Buffer.from(entry.bytes), entry.path);
  file.end();
  return new Promise((resolve, reject) => {
    const parts: Buffer[] = [];
    file.outputStream.on("data", (part: Buffer) => parts.push(part));
    file.outputStream.on("end", () => resolve(Buffer.concat(parts)));
    file.outputStream.on("error", reject);
  });
}

async function opened(key: string, entries: readonly Entry[]) {
  const taken = await takeSet(services.database, key, entries);
  if (!taken.ok) throw new Error(taken.message);
  const collection = await findCollection(services.database, taken.key);
  if (!collection) throw new Error("no set");
  return { collection, ...(await arrangeCollection(services.database, collection)) };
}

test("a class of 24 in four languages: programs, students, outputs, a second try, the same program twice, what is not taken", async () => {
  const key = await course();
  const { collection, arrangement } = await opened(key, [{ path: "deck-loads.zip", bytes: await zipOf(set) }]);
  expect(arrangement.rule).toBe("outer folder");
  expect(arrangement.programs).toHaveLength(25);
  expect(new Set(arrangement.programs.map((program) => program.language))).toEqual(
    new Set(["python", "java", "c", "pascal"]),
  );
  expect(arrangement.programs.every((program) => !program.studentIsNew && labels.includes(program.student))).toBe(true);
  const byStudent = (student: string) => arrangement.programs.filter((program) => program.student === student);
  expect(byStudent("S-01")[0]?.outputs[0]).toMatchObject({ path: "deck-loads/S-01/deck_error.txt" });
  expect(byStudent("S-01")[0]?.outputs[0]?.why).toContain("names deck.py");
  expect(byStudent("S-04")[0]?.outputs[0]).toMatchObject({ path: null });
  expect(byStudent("S-02").map((program) => program.joins)).toEqual([
    null,
    { kind: "program", id: "deck-loads/S-02/deck.py" },
  ]);
  expect(byStudent("S-05")[0]?.sameAs).toEqual(["S-07"]);
  expect(arrangement.unpaired).toEqual([]);
  expect(collection.refused.map((each) => each.path)).toEqual([
    "deck-loads/S-06/notes.txt",
    "deck-loads/S-11/harbour.png",
  ]);

  const cases = await keepCollection(services.database, collection);
  expect(cases).toHaveLength(24);
  expect(await keepCollection(services.database, collection)).toBeNull();
  await startJudging(services, collection.key, cases ?? []);
  await services.queue.settled();
  expect(await judgingProgress(services, collection.key)).toEqual({ total: 24, done: 24, state: "done", toSearch: 0 });
  // A start after the server ended in the middle counts what had been done, and does the rest.
  await services.database.query("update collection set state = 'kept' where key = $1", [collection.key]);
  await services.database.query(
    "delete from run where version in (select key from version where faulty_case in (select key from faulty_case where key in (select jsonb_array_elements_text($1::jsonb)) order by key limit 5))",
    [JSON.stringify(cases ?? [])],
  );
  // The work waits while it is looked at: a job is begun some time after it was added.
  await resumeJudging(services);
  expect(await judgingProgress(services, collection.key)).toMatchObject({ total: 24, done: 19, state: "running" });
  await expect
    .poll(() => judgingProgress(services, collection.key), { timeout: 300_000 })
    .toEqual({ total: 24, done: 24, state: "done", toSearch: 0 });
  const second = await findCase(services.database, cases?.find((_, index) => index === 1) ?? "");
  expect(second?.versions.map((version) => version.origin)).toEqual(["handed in", "handed in again"]);
  expect(second?.versions[1]?.parent).toBe(second?.versions[0]?.key);

  // The same set once more: everything is there already.
  const again = await opened(key, set);
  expect(again.arrangement.programs.filter((program) => !program.alreadyHere).map((program) => program.id)).toEqual([]);
  const found = await listCases(services.database, { judged: null, page: 0, course: key, text: "totl LIMIT" });
  expect(found.total).toBe(2);
  expect((await listCases(services.database, { judged: null, page: 0, course: key, text: "100%" })).total).toBe(0);
});

test("the table is corrected before anything is kept: rule, student, language, pairing, what is left out", async () => {
  const key = await course(["Tern", "Gull"]);
  const entries = [
    { path: "tern_deck.py", bytes: Buffer.from("print(x)\n") },
    { path: "gull_deck.py", bytes: Buffer.from("print(y)\n") },
    { path: "messages.txt", bytes: Buffer.from("NameError: name 'y' is not defined\n") },
  ];
  const { collection, arrangement } = await opened(key, entries);
  expect(arrangement.rule).toBe("name beginning");
  expect(arrangement.programs.map((program) => program.student)).toEqual(["Tern", "Gull"]);
  expect(arrangement.unpaired.map((output) => output.path)).toEqual(["messages.txt"]);
  await correctCollection(services.database, collection.key, {
    students: { "tern_deck.py": "Heron" },
    languages: { "gull_deck.py": "octave" },
    pairs: { "messages.txt": "gull_deck.py" },
    left: { "tern_deck.py": true },
  });
  const corrected = await findCollection(services.database, collection.key);
  if (!corrected) throw new Error("gone");
  const after = (await arrangeCollection(services.database, corrected)).arrangement;
  expect(after.programs.find((program) => program.id === "tern_deck.py")).toMatchObject({
    student: "Heron",
    studentIsNew: true,
    left: true,
  });
  expect(after.programs.find((program) => program.id === "gull_deck.py")).toMatchObject({
    language: "octave",
    outputs: [{ why: "chosen by you" }],
  });
  const [only] = (await keepCollection(services.database, corrected)) ?? [];
  expect(await findCase(services.database, only ?? "")).toMatchObject({
    language: "octave",
    student_label: "Gull",
    outputs: [{ origin: "messages.txt" }],
  });
  expect((await listStudents(services.database, key)).map((student) => student.label)).toEqual(["Tern", "Gull"]);
});

test("a message pasted plainly behind the program is taken off for the run; what was handed in stays", async () => {
  const key = await course(["Tern"]);
  const program = "loads = [4, 9]\nprint(loads[2])\n";
  const message =
    'Traceback (most recent call last):\n  File "deck.py", line 2, in <module>\n    print(loads[2])\nIndexError: list index out of range\n';
  const { collection } = await opened(key, [
    { path: "Tern/deck.py", bytes: Buffer.from(`${program}\n${message}`) },
    { path: "Tern/other.py", bytes: Buffer.from("print(1)\n") },
  ]);
  const cases = (await keepCollection(services.database, collection)) ?? [];
  const found = await findCase(services.database, cases[0] ?? "", "all");
  expect(found?.loaded.map((version) => [version.origin, version.files[0]?.text.length])).toEqual([
    ["handed in", program.length + message.length + 1],
    ["the message at its end taken off", program.length + 1],
  ]);
  expect(found?.outputs).toMatchObject([{ version: found?.current_version, content: message }]);
});

const hostile: Array<[string, () => Promise<Entry[]>, RegExp]> = [
  [
    "a text that is called a zip",
    async () => [{ path: "x.zip", bytes: Buffer.from("no zip at all") }],
    /cannot be read as a zip/,
  ],
  [
    "a zip that is cut off",
    async () => [{ path: "x.zip", bytes: (await zipOf(set)).subarray(0, 2000) }],
    /cannot be read as a zip/,
  ],
  [
    "10 001 files",
    async () => [
      {
        path: "x.zip",
        bytes: await zipOf(
          Array.from({ length: 10_001 }, (_, index) => ({ path: `${index}.py`, bytes: Buffer.from("x") })),
        ),
      },
    ],
    /10001 files/,
  ],
  [
    "3 001 programs",
    async () => Array.from({ length: 3001 }, (_, index) => ({ path: `${index}.py`, bytes: Buffer.from("x\n") })),
    /more than 3000/,
  ],
  ["nothing", async () => [], /nothing in it/],
  ["only a picture", async () => [{ path: "a.png", bytes: Uint8Array.from([0x89, 0x50, 0, 0]) }], /could be taken/],
];
test.each(hostile)("%s is refused whole, with words", async (_, entries, words) => {
  const taken = await takeSet(services.database, await course(), await entries());
  expect(taken).toMatchObject({ ok: false, message: expect.stringMatching(words) });
});

test("path tricks, links, bombs, nested archives and odd names are refused one by one", async () => {
  const inner = await zipOf([{ path: "a.py", bytes: Buffer.from("x") }]);
  const file = new yazl.ZipFile();
  const add = (path: string, bytes: Buffer, mode?: number) =>
    file.addBuffer(bytes, path, mode === undefined ? {} : { mode });
  add("ok.py", Buffer.from("print(1)\n"));
  add("link.py", Buffer.from("/etc/passwd"), 0o120777);
  add("bomb.py", Buffer.alloc(1_900_000, "x"));
  add("large.py", Buffer.alloc(3_000_000, "x"));
  add("inner.zip", inner);
  add("inner.py", inner);
  add("empty.py", Buffer.alloc(0));
  add("__MACOSX/ok.py", Buffer.from("x"));
  file.end();
  const parts: Buffer[] = [];
  for await (const part of file.outputStream) parts.push(Buffer.from(part));
  const bytes = Buffer.concat(parts);
  // Names that the writer would not write: of the same length, put over another.
  const tricks = Buffer.from(bytes.toString("latin1").replaceAll("empty.py", "../../.py"), "latin1");
  const unpacked = await unpack(bytes);
  expect(unpacked.refused.map((each) => each.path)).toEqual(["link.py", "bomb.py", "large.py"]);
  const { collection } = await opened(await course(), [{ path: "set.zip", bytes }]);
  expect(collection.refused.map((each) => each.path)).toEqual([
    "link.py",
    "bomb.py",
    "large.py",
    "inner.zip",
    "inner.py",
    "empty.py",
  ]);
  expect((await unpack(tricks)).entries.some((entry) => entry.path.includes(".."))).toBe(false);
});

test("names in the old code page and in UTF-8 without its mark are read", async () => {
  const bytes = await zipOf([{ path: "faehre1.py", bytes: Buffer.from("x = 1\n") }]);
  const named = (name: Buffer) => {
    const text = bytes.toString("latin1").replaceAll("faehre1.py", name.toString("latin1"));
    const changed = Buffer.from(text, "latin1");
    // Take the mark for UTF-8 (bit 11) off both headers.
    for (const [signature, offset] of [
      ["PK\u0003\u0004", 6],
      ["PK\u0001\u0002", 8],
    ] as const) {
      const at = changed.indexOf(signature, 0, "latin1");
      changed.writeUInt16LE(changed.readUInt16LE(at + offset) & ~0x800, at + offset);
    }
    return changed;
  };
  const names = async (zip: Buffer) => (await unpack(zip)).entries.map((entry) => entry.path);
  expect(await names(named(Buffer.from([0x66, 0x84, 0x68, 0x72, 0x65, 0x31, 0x32, 0x2e, 0x70, 0x79])))).toEqual([
    "fähre12.py",
  ]);
  expect(await names(named(Buffer.from("fähre1.py", "utf8")))).toEqual(["fähre1.py"]);
});
