import { execFileSync } from "node:child_process";
import { mkdirSync, mkdtempSync, readFileSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { dirname, join } from "node:path";
import { afterAll, beforeAll, expect, test } from "vitest";
import { readBundle } from "../../core/formats/bundle.ts";
import { collectCase, deleteCase, findCase, restoreCase } from "../cases/caseStore.ts";
import { listCases } from "../cases/listStore.ts";
import { undoLast } from "../cases/undo.ts";
import { decideClass, sayAdvice, sayPattern } from "../judge/decisions.ts";
import { tryFix } from "../mend/tryFix.ts";
import { addCourse, addStudents, listStudents } from "../people/courseStore.ts";
import { byTeacher, openTestServices } from "../testServices.ts";
import { exportCases, takeBundle, unpackBundle } from "./bundles.ts";
import { questions } from "./questions.ts";
import { seenBefore, seenForMessage } from "./seen.ts";

let services: Awaited<ReturnType<typeof openTestServices>>;
let course = "";
const keys: Record<string, string> = {};

/** Programs of a course: each with the day on which it was collected, what it prints if it is right, and its mending. */
const programs: ReadonlyArray<{
  name: string;
  day: string;
  student: number;
  text: string;
  expected: string;
  mended: string;
}> = [
  {
    name: "first",
    day: "2026-09-07",
    student: 0,
    text: "load = 3\nprint(laod)  # by Sandpiper\n",
    expected: "3\n",
    mended: "load = 3\nprint(load)  # by Sandpiper\n",
  },
  {
    name: "second",
    day: "2026-09-15",
    student: 1,
    text: "tide = 2\n\nprint(tied + 1)\n",
    expected: "3\n",
    mended: "tide = 2\n\nprint(tide + 1)\n",
  },
  {
    name: "third",
    day: "2026-09-16",
    student: 0,
    text: "print('Full)\n",
    expected: "Full\n",
    mended: "print('Full')\n",
  },
];

async function whole(key: string) {
  const found = await findCase(services.database, key, "all");
  if (!found) throw new Error(key);
  return found;
}

async function mend(name: string): Promise<void> {
  const key = keys[name] ?? "";
  const program = programs.find((each) => each.name === name);
  let found = await whole(key);
  await decideClass(services, found, byTeacher(found), {
    class: name === "third" ? "syntax" : "runtime",
    kind: null,
    reason: "",
  });
  found = await whole(key);
  expect(await tryFix(services, found, byTeacher(found), program?.mended ?? "", false)).toMatchObject({
    result: "verified",
  });
}

beforeAll(async () => {
  services = await openTestServices();
  course = await addCourse(services.database, "Kittiwake, autumn", "python");
  await addStudents(services.database, course, ["Sandpiper", "K-02"]);
  const students = await listStudents(services.database, course);
  for (const { name, day, student, text, expected } of programs)
    keys[name] = await collectCase(services.database, {
      ...{
        language: "python",
        course,
        student: students[student]?.key ?? null,
        title: `${name} of Sandpiper`,
        intent: "",
      },
      ...{ changedLast: "", input: "", expected, symptom: null, collectedAt: `${day}T09:00:00Z` },
      files: [{ name: "deck.py", bytes: Buffer.from(text) }],
    });
  await mend("first");
  await mend("third");
});
afterAll(() => services.close());

test("a pasted message finds earlier cases with the same one but for names, with what was done then", async () => {
  const pasted =
    "Traceback (most recent call last):\n  File \"fare.py\", line 9, in <module>\nNameError: name 'frae' is not defined\n";
  const found = await seenForMessage(services.database, pasted);
  expect(found).toMatchObject({ language: "python", line: 9, message: "NameError: name 'frae' is not defined" });
  expect(found?.seen.map(({ title }) => title)).toEqual(["first of Sandpiper"]);
  expect(found?.seen[0]?.fix[0]).toMatchObject({ start: 2, before: [expect.stringContaining("laod")] });
  expect(found?.seen[0]?.same).toEqual(["message"]);
  expect(await seenForMessage(services.database, "All is well.\n")).toBeNull();
  expect((await seenForMessage(services.database, "KeyError: 'tern'\n", "python"))?.seen).toEqual([]);
});

test("a case finds those before it and not itself, the newest first", async () => {
  await mend("second");
  const seen = await seenBefore(services.database, keys.second ?? "");
  expect(seen.map(({ title }) => title)).toEqual(["first of Sandpiper"]);
  expect(seen[0]?.same).toContain("message");
  expect(seen[0]?.pattern?.id).toBe("own-name-misspelt");
  const back = await seenBefore(services.database, keys.first ?? "");
  expect(back.map(({ title }) => title)).toEqual(["second of Sandpiper"]);
});

test("what is recorded follows every change: deciding, undoing, putting away and taking back", async () => {
  const kinds = async () =>
    (await questions[0]?.answer(services.database, { course }))?.rows.map(({ cells }) => cells.slice(0, 2));
  expect(await kinds()).toEqual([
    ["A name of one's own misspelt", 2],
    ["A text that is not closed", 1],
  ]);
  let found = await whole(keys.first ?? "");
  const press = { key: "p1", says: "the kind of mistake" };
  expect(
    await sayPattern(services, found, { ...byTeacher(found), press }, found.layers[0]?.key ?? null, "name-letter-case"),
  ).toMatchObject({ ok: true });
  expect(await kinds()).toContainEqual(["One name in two letter cases", 1]);
  found = await whole(keys.first ?? "");
  await undoLast(services, found, { who: byTeacher(found).who, revision: found.revision });
  expect(await kinds()).toContainEqual(["A name of one's own misspelt", 2]);
  await deleteCase(services.database, keys.third ?? "");
  expect(await kinds()).toEqual([["A name of one's own misspelt", 2]]);
  await restoreCase(services.database, keys.third ?? "");
  expect(await kinds()).toHaveLength(2);
});

test("each question answers by what it is narrowed to, and a row leads to its cases", async () => {
  const found = await whole(keys.third ?? "");
  await sayAdvice(services, found, byTeacher(found), found.layers[0]?.key ?? null, { advice: "misleads", unsaid: "" });
  const answers = new Map<string, Awaited<ReturnType<(typeof questions)[number]["answer"]>>>();
  for (const { id, answer } of questions) {
    const given = await answer(services.database, { course });
    answers.set(id, given);
    for (const row of given.rows) {
      expect(row.cells, id).toHaveLength(given.columns.length);
      if (!row.filter) continue;
      const { total } = await listCases(services.database, { judged: null, page: 0, course, ...row.filter });
      const faults = row.cells[given.columns.findIndex((column) => /^(?:faults|programs|made)$/.test(column))];
      if (id !== "weeks" && id !== "assignments") expect(total, `${id}: ${row.cells}`).toBe(faults);
    }
  }
  expect(answers.get("classes")?.rows.map(({ cells }) => cells.slice(0, 2))).toEqual([
    ["runtime error", 2],
    ["syntax error", 1],
  ]);
  expect(answers.get("weeks")?.rows.map(({ cells }) => cells.slice(0, 4))).toEqual([
    ["2026-09-07", 1, 1, 1],
    ["2026-09-14", 1, 2, 2],
  ]);
  expect(answers.get("messages")?.rows[0]?.cells.slice(1, 5)).toEqual([1, 0, 0, 0]);
  expect(answers.get("distance")?.rows.find(({ cells }) => cells[0] === "reported on the faulty line")?.cells[1]).toBe(
    3,
  );
  const since = await questions[0]?.answer(services.database, { course, since: "2026-09-10", until: "2026-09-15" });
  expect(since?.rows).toHaveLength(1);
});

test("without names no label of a student goes out, in no part of a bundle; with them they do", async () => {
  const labels = ["sandpiper", "k-02"];
  for (const format of ["csv", "sarif", "diff", "markdown", "bundle"]) {
    const file = await exportCases(services.database, format, { course }, false);
    const files = format === "bundle" ? await unpackBundle(file?.bytes ?? Buffer.alloc(0)) : null;
    const all = files?.ok ? files.files.map(({ bytes }) => Buffer.from(bytes)) : [file?.bytes ?? Buffer.alloc(0)];
    expect(all.length, format).toBeGreaterThan(format === "bundle" ? 6 : 0);
    for (const bytes of all)
      for (const label of labels)
        expect(bytes.toString("latin1").toLowerCase().includes(label), `${format} ${label}`).toBe(false);
  }
  const named = await exportCases(services.database, "markdown", { course }, true);
  expect(named?.bytes.toString("utf8")).toContain("Sandpiper");
  expect(await exportCases(services.database, "banana", { course }, true)).toBeNull();
});

test("the diff that goes out is one that patch applies", async () => {
  const folder = mkdtempSync(join(tmpdir(), "bent-nail-patch-"));
  const file = await exportCases(services.database, "diff", { course }, true);
  for (const [at, { name, text }] of programs.entries()) {
    const path = join(folder, `000${at + 1}-${name}-of-sandpiper`, "deck.py");
    mkdirSync(dirname(path), { recursive: true });
    writeFileSync(path, text);
  }
  writeFileSync(join(folder, "fixes.patch"), file?.bytes ?? "");
  execFileSync("patch", ["-p1", "--quiet", "-i", "fixes.patch"], { cwd: folder });
  for (const [at, { name, mended }] of programs.entries())
    expect(readFileSync(join(folder, `000${at + 1}-${name}-of-sandpiper`, "deck.py"), "utf8")).toBe(mended);
});

test("another Bent Nail takes a bundle in whole: programs, verdicts, fixes, kinds of mistake; what proves them is run here", async () => {
  const file = await exportCases(services.database, "bundle", { course, class: "runtime" }, true);
  const other = await openTestServices();
  try {
    const there = await addCourse(other.database, "Kittiwake, elsewhere", "python");
    await addStudents(other.database, there, ["Sandpiper"]);
    const taken = await takeBundle(other, file?.bytes ?? Buffer.alloc(0), there);
    expect(taken).toMatchObject({
      ok: true,
      imported: { cases: [expect.any(String), expect.any(String)], withoutStudent: 1, skipped: [] },
    });
    await other.queue.settled();
    const key = taken.ok ? (taken.imported.cases[0] ?? "") : "";
    const before = await whole(keys.first ?? "");
    const after = await findCase(other.database, key, "all");
    expect(after?.title).toBe(before.title);
    expect(after?.student_label).toBe("Sandpiper");
    expect(after?.loaded.map(({ files }) => files[0]?.text)).toEqual(before.loaded.map(({ files }) => files[0]?.text));
    expect(
      after?.layers.map(({ fix, decided, faulty_lines }) => ({ fix, class: decided?.class, faulty_lines })),
    ).toEqual(before.layers.map(({ fix, decided, faulty_lines }) => ({ fix, class: decided?.class, faulty_lines })));
    // What goes out of there is what came in, but for what is made anew.
    const again = await exportCases(other.database, "bundle", {}, true);
    const [one, two] = [
      await unpackBundle(file?.bytes ?? Buffer.alloc(0)),
      await unpackBundle(again?.bytes ?? Buffer.alloc(0)),
    ];
    const entries = [one, two]
      .map((each) => (each.ok ? readBundle(each.files) : null))
      .map((read) => (read?.ok ? read.entries : []));
    expect(entries[1]?.map(({ title, versions }) => ({ title, files: versions.map(({ files }) => files) }))).toEqual(
      entries[0]?.map(({ title, versions }) => ({ title, files: versions.map(({ files }) => files) })),
    );
  } finally {
    await other.close();
  }
});

test("what is no bundle changes nothing and is said", async () => {
  const before = await listCases(services.database, { judged: null, page: 0 });
  for (const bytes of [Buffer.from("no zip"), Buffer.alloc(0)])
    expect(await takeBundle(services, bytes, null)).toMatchObject({ ok: false, message: expect.stringMatching(/zip/) });
  expect((await listCases(services.database, { judged: null, page: 0 })).total).toBe(before.total);
});
