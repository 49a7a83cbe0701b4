import { afterAll, beforeAll, expect, test } from "vitest";
import { judgeVersion, versionOf } from "./casework.ts";
import { decideClass, tryFix } from "./layers.ts";
import { deleteStudent, exportStudent, renameStudent, replaceName } from "./people.ts";
import { listCases } from "./stores/caseLists.ts";
import { collectCase, findCase, type WholeCase } from "./stores/cases.ts";
import { addCourse, addStudents, listStudents } from "./stores/courses.ts";
import { openTestServices } from "./testServices.ts";

let services: Awaited<ReturnType<typeof openTestServices>>;
let course = "";
beforeAll(async () => {
  services = await openTestServices();
  course = await addCourse(services.database, "people", "python");
  await addStudents(services.database, course, ["S-01", "S-02"]);
});
afterAll(() => services.close());

async function whole(key: string): Promise<WholeCase> {
  const found = await findCase(services.database, key);
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
  const key = await collect(student, Buffer.from('# f\xfcr Marlis Brenner\nname = "Marlis Brenner"\nprint(nam)\n', "latin1"));
  const found = await whole(key);
  await judgeVersion(services, found, versionOf(found, found.current_version));
  await decideClass(services, found, found.revision, { class: "runtime", kind: null, reason: "" });
  const judged = await whole(key);
  await tryFix(services, judged, judged.revision, '# für Marlis Brenner\nname = "Marlis Brenner"\nprint(name)\n', true);
  expect(await replaceName(services.database, student, "Marlis Brenner", "S-01")).toBeGreaterThan(6);
  const after = await whole(key);
  const text = JSON.stringify({ ...after, versions: after.versions.map((version) => version.files.map((file) => [file.name, file.text])) });
  expect(text).not.toMatch(/marlis[\s_]+brenner/i);
  expect(text).toContain("Marlisa");
  expect(after.versions[0]?.files[0]).toMatchObject({ encoding: "latin-1", text: '# für S-01\nname = "S-01"\nprint(nam)\n' });
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
    cases: [{ intent: "MARLIS BRENNER counts", versions: [{ files: { "marlis_brenner.py": "print('only here')\n" } }] }],
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
