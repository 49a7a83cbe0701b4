import { afterAll, beforeAll, expect, test } from "vitest";
import { testExercise } from "../../core/exercises/testExercise.ts";
import { collectCase, findCase, versionOf, type WholeCase } from "../cases/caseStore.ts";
import { listCases } from "../cases/listStore.ts";
import { removeCheck, saveCheck } from "../judge/checks.ts";
import { decideClass } from "../judge/decisions.ts";
import { judgeVersion } from "../judge/judge.ts";
import { putMark } from "../marks/markStore.ts";
import { overrule } from "../marks/overrule.ts";
import { tryProbes } from "../mend/narrow.ts";
import { listTries } from "../mend/narrowStore.ts";
import { tryFix } from "../mend/tryFix.ts";
import { addCourse, addStudents, listStudents } from "../people/courseStore.ts";
import { renameStudent } from "../people/renameStudent.ts";
import { addSheet, setSheet } from "../sheets/sheetStore.ts";
import { keepLate } from "../sittings/answerStore.ts";
import { beginSitting, saveAnswer } from "../sittings/sittingStore.ts";
import { addTry } from "../sittings/tryStore.ts";
import { byTeacher, openTestServices } from "../testServices.ts";
import { exportStudent } from "./exportStudent.ts";
import { deleteStudent, replaceName } from "./privacyStore.ts";

let services: Awaited<ReturnType<typeof openTestServices>>;
let course = "";
beforeAll(async () => {
  services = await openTestServices();
  course = await addCourse(services.database, "people", "python");
  await addStudents(services.database, course, ["S-01", "S-02"]);
});
afterAll(() => services.close());

async function whole(key: string): Promise<WholeCase> {
  const found = await findCase(services.database, key, "all");
  if (!found) throw new Error("no case");
  return found;
}

async function collect(student: string, program: Buffer | string): Promise<string> {
  return collectCase(services.database, {
    language: "python",
    course,
    student,
    title: "Marlis Brenner's deck",
    intent: "MARLIS BRENNER counts",
    changedLast: "",
    files: [{ name: "marlis_brenner.py", bytes: Buffer.from(program) }],
    errorOutput: 'File "/home/Marlis Brenner/x.py"',
    input: "Marlis  Brenner\n",
    expected: "Marlisa\n",
    symptom: null,
  });
}

test("a name goes from programs of every version, file names, outputs, words, checks and fixes; the bytes' encoding stays", async () => {
  const student = (await listStudents(services.database, course))[0]?.key ?? "";
  const key = await collect(
    student,
    Buffer.from('# f\xfcr Marlis Brenner\nname = "Marlis Brenner"\nprint(nam)\n', "latin1"),
  );
  const found = await whole(key);
  await judgeVersion(services, found, versionOf(found, found.current_version));
  await decideClass(services, found, byTeacher(found), { class: "runtime", kind: null, reason: "" });
  const judged = await whole(key);
  await tryFix(
    services,
    judged,
    byTeacher(judged),
    '# für Marlis Brenner\nname = "Marlis Brenner"\nprint(name)\n',
    true,
  );
  await tryProbes(
    services,
    await whole(key),
    { role: "program" },
    {
      ...{ check: "", belief: "Marlis Brenner forgot a letter" },
      probes: [{ kind: "print", line: 2, expression: '"Marlis Brenner " + name' }],
    },
  );
  expect(await replaceName(services.database, student, "Marlis Brenner", "S-01")).toBeGreaterThan(6);
  const tries = await listTries(services.database.query, key);
  expect(tries[0]?.result.pieces.map((piece) => piece.text).join()).toContain("S-01");
  expect(JSON.stringify(tries)).not.toContain("Brenner");
  const after = await whole(key);
  const text = JSON.stringify({
    ...after,
    loaded: after.loaded.map((version) => version.files.map((file) => [file.name, file.text])),
  });
  expect(text).not.toMatch(/marlis[\s_]+brenner/i);
  expect(text).toContain("Marlisa");
  expect(after.loaded[0]?.files[0]).toMatchObject({
    encoding: "latin-1",
    text: '# für S-01\nname = "S-01"\nprint(nam)\n',
  });
  expect((await listCases(services.database, { judged: null, page: 0, text: "brenner" })).total).toBe(0);
  const rows = await services.database.query("select bytes from content");
  expect(
    rows.some((row) =>
      Buffer.from((row as { bytes: Uint8Array }).bytes)
        .toString("latin1")
        .includes("Brenner"),
    ),
  ).toBe(false);
  expect(await replaceName(services.database, student, "B", "x")).toBe(0);
});

test("a label is changed, but not to another's", async () => {
  const [one] = await listStudents(services.database, course);
  expect(await renameStudent(services.database, one?.key ?? "", "S-02")).toContain("Another student");
  expect(await renameStudent(services.database, one?.key ?? "", " Tern ")).toBeNull();
  expect((await listStudents(services.database, course)).map((student) => student.label)).toEqual(["Tern", "S-02"]);
});

test("everything about a student is exported, and deleted with nothing left", async () => {
  const student = (await listStudents(services.database, course))[1]?.key ?? "";
  const key = await collect(student, "print('only here')\n");
  expect(await exportStudent(services.database, student)).toMatchObject({
    format: "bent-nail student export 1",
    label: "S-02",
    cases: [
      { intent: "MARLIS BRENNER counts", versions: [{ files: { "marlis_brenner.py": "print('only here')\n" } }] },
    ],
    sittings: [],
  });
  await deleteStudent(services.database, student);
  expect(await findCase(services.database, key)).toBeNull();
  expect(await exportStudent(services.database, student)).toBeNull();
  const rows = await services.database.query("select bytes from content");
  expect(
    rows.some((row) =>
      Buffer.from((row as { bytes: Uint8Array }).bytes)
        .toString()
        .includes("only here"),
    ),
  ).toBe(false);
});

test.each(["Line", "class", "message", 'Mc"Intyre', "runtime"])(
  "a student named %s can be renamed, and the case opens afterwards with its verdict",
  async (name) => {
    await addStudents(services.database, course, [name]);
    const student = (await listStudents(services.database, course)).find((each) => each.label === name)?.key ?? "";
    const key = await collectCase(services.database, {
      language: "python",
      course,
      student,
      title: `deck of ${name}`,
      intent: "",
      changedLast: "",
      files: [{ name: "deck.py", bytes: Buffer.from(`owner = '''${name}'''\nprint(ownr)\n`) }],
      input: "",
      symptom: null,
    });
    const found = await whole(key);
    await decideClass(services, found, byTeacher(found), { class: "logic", kind: null, reason: `${name} said so` });
    const decided = await whole(key);
    await decideClass(services, decided, byTeacher(decided), { class: "runtime", kind: null, reason: "" });
    expect(await replaceName(services.database, student, name, "S-77")).toBeGreaterThan(1);
    const after = await whole(key);
    expect(after.layers[0]).toMatchObject({
      verdict: { class: "runtime", gate: 2, reportedLine: 2 },
      decided: { class: "runtime" },
    });
    expect([after.title, after.loaded[0]?.files[0]?.text]).toEqual([
      "deck of S-77",
      "owner = '''S-77'''\nprint(ownr)\n",
    ]);
    const [former] = (await services.database.query("select former from former_value where faulty_case = $1", [
      key,
    ])) as Array<{ former: string }>;
    expect(JSON.parse(former?.former ?? "")).toMatchObject({ class: "logic", reason: "S-77 said so" });
  },
);

test("a deleted student leaves no former mark and no former check, also none of a check that was removed before", async () => {
  const { database } = services;
  await addStudents(database, course, ["S-90", "S-91"]);
  const [leaves, stays] = (await listStudents(database, course)).filter((student) => student.label.startsWith("S-9"));
  const sheet = await addSheet(database, course, "Deck loads");
  const edition = await setSheet(database, sheet, { title: "Deck loads", exercises: [] });
  for (const student of [leaves, stays]) {
    const key = await collect(student?.key ?? "", "print('deck')\n");
    await saveCheck(services, await whole(key), byTeacher(await whole(key)), null, {
      input: `typed by ${student?.label}`,
      expected: "x",
      kind: "normal",
    });
    const added = (await whole(key)).checks[1];
    await saveCheck(services, await whole(key), byTeacher(await whole(key)), added?.key ?? "", {
      input: "typed anew",
      expected: "x",
      kind: "normal",
    });
    await removeCheck(services, await whole(key), byTeacher(await whole(key)), added?.key ?? "");
    const sitting = await beginSitting(database, edition, student?.key ?? "");
    const mark = {
      sitting,
      task: "t",
      item: "fault 1",
      earned: 1,
      possible: 2,
      suggested: null,
      reason: `mark of ${student?.label}`,
      marker: "program" as const,
      scheme: 1,
    };
    await database.transaction((query) => putMark(query, { ...mark, suggested: undefined }));
    await overrule(services, mark, byTeacher({ revision: 0 }).who, 2, "the idea is there");
  }
  await deleteStudent(database, leaves?.key ?? "");
  const left = JSON.stringify(await database.query("select former, reason from former_value"));
  expect(left).not.toContain("S-90");
  expect(left).toContain("typed by S-91");
  expect(left).toContain("mark of S-91");
});

test("a name goes from answers, from what came late, from what was run, and from the words of marks; choices stay", async () => {
  const { database } = services;
  await addStudents(database, course, ["S-07"]);
  const student = (await listStudents(database, course)).find(({ label }) => label === "S-07")?.key ?? "";
  const sheet = await addSheet(database, course, "Deck");
  const tasks = [
    { key: "kind", kind: "classify", marks: 2 },
    { key: "mend", kind: "mend", marks: 2, allowedExtraLines: 1, extraCost: 0 },
  ];
  const content = testExercise({ tasks });
  const edition = await setSheet(database, sheet, {
    title: "Deck",
    exercises: [{ key: "deck", title: "Deck", level: 1, content }],
  });
  const sitting = await beginSitting(database, edition, student);
  await saveAnswer(database, sitting, "kind", 1, { class: "logic", reason: "Logic Brenner thinks so" });
  await saveAnswer(database, sitting, "mend", 1, { text: "# by Logic Brenner\n" });
  await keepLate(database, sitting, "mend", { text: "# late, Logic Brenner\n" }, null);
  const run = { text: "print('Logic Brenner')", input: "Logic Brenner\n", ended: "finished", error: "" };
  await addTry(database, sitting, {
    ...{ ...run, exercise: "deck" },
    console: { pieces: [{ kind: "out", text: "Logic Brenner\n" }], cut: 0 },
  });
  const mark = { sitting, task: "kind", item: "reason", possible: 1, earned: 1, reason: "as Logic Brenner says" };
  await putMark(database.query, { ...mark, marker: "teacher" });
  expect(await replaceName(database, student, "Logic Brenner", "S-07")).toBe(5);
  const exported = JSON.stringify(await exportStudent(database, student));
  expect(exported).not.toContain("Brenner");
  expect(exported).toContain("S-07 thinks so");
  // A name that is also a word of a list takes nothing out of what was chosen.
  await replaceName(database, student, "logic", "S-07");
  expect(JSON.stringify(await exportStudent(database, student))).toContain('"class":"logic"');
});
