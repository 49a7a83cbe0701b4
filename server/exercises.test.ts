import { afterAll, beforeAll, expect, test } from "vitest";
import { traceTaskSchema } from "../core/exercises/tasks/traceTable.ts";
import { findLanguage } from "../core/languages/languages.ts";
import { judgeVersion, recordVersion, versionOf } from "./casework.ts";
import { type ExerciseOrder, longestTable, makeExercise, traceTask } from "./exercises.ts";
import { decideClass, tryFix } from "./layers.ts";
import { collectCase, findCase, type WholeCase } from "./stores/cases.ts";
import { openTestServices } from "./testServices.ts";

let services: Awaited<ReturnType<typeof openTestServices>>;
beforeAll(async () => {
  services = await openTestServices();
});
afterAll(() => services.close());

async function collect(program: string, given: { input?: string; expected?: string; errorOutput?: string; mended?: string[] } = {}): Promise<WholeCase> {
  const key = await collectCase(services.database, {
    language: "python",
    course: null,
    student: null,
    title: "Case",
    intent: "",
    changedLast: "",
    files: [{ name: "merrin.py", bytes: Buffer.from(program) }],
    input: given.input ?? "",
    expected: given.expected,
    errorOutput: given.errorOutput,
    symptom: null,
  });
  for (const text of given.mended ?? []) {
    const found = await whole(key);
    await tryFix(services, found, found.revision, text, true);
  }
  return whole(key);
}
async function whole(key: string): Promise<WholeCase> {
  const found = await findCase(services.database, key);
  if (!found) throw new Error("no case");
  return found;
}
const order: ExerciseOrder = {
  title: "Exercise",
  intro: "For Merrin",
  replacements: [{ word: "Merrin", replacement: "Robin" }],
  marks: { classify: 2, point: 1, predict: 3, trace: 5, mend: 2 },
};
const kinds = (tasks: ReadonlyArray<{ kind: string }>) => tasks.map((task) => task.kind);

test("keys come from a run of the changed program, and the name is gone from everything that students see", async () => {
  const program = 'merrin = 3\nprint("Merrin has", merin)\n';
  const found = await collect(program, { expected: "Merrin has 3\n", mended: [program.replace("merin)", "merrin)")] });
  const { content, surprises } = await makeExercise(services, found, order);
  expect(surprises).toEqual([]);
  expect(JSON.stringify(content)).not.toMatch(/merrin/i);
  expect(content).toMatchObject({
    fileName: "robin.py",
    program: 'robin = 3\nprint("Robin has", merin)\n',
    mended: 'robin = 3\nprint("Robin has", robin)\n',
    checks: [{ expected: "Robin has 3\n" }],
  });
  expect(content.faults).toMatchObject([{ class: "runtime", reportedLine: 2, faultyLines: [2], message: "NameError: name 'merin' is not defined" }]);
  expect(kinds(content.tasks)).toEqual(["classify", "point", "predict", "trace", "mend"]);
  expect(content.tasks[2]).toMatchObject({ answer: { output: "", ending: "stops with an error message" } });
});

test("a replacement that changes what the program does is a surprise, told to the teacher", async () => {
  const program = 'name = "Merrin"\nprint(len(name) + 1)\n';
  const found = await collect(program, { expected: "6\n", mended: [program.replace(" + 1", "")] });
  const made = await makeExercise(services, found, { ...order, replacements: [{ word: "Merrin", replacement: "Jo" }] });
  expect(made.surprises.join(" ")).toContain("fails check 1");
});

test("two faults on one line cannot be told apart: they are asked as one", async () => {
  const program = "low = 2\nprint(low * hihg\n";
  const closed = "low = 2\nprint(low * hihg)\n";
  const found = await collect(program, { expected: "8\n", mended: [closed, "low = 2\nprint(low * 4)\n"] });
  expect(found.layers.map((layer) => layer.first_fix === null)).toEqual([false, true]);
  const { content } = await makeExercise(services, found, order);
  expect(content.faults).toHaveLength(1);
  expect(content.faults[0]?.hunks).toEqual([{ start: 2, before: ["print(low * hihg\n"], after: ["print(low * 4)\n"] }]);
});

test("a run that does not end asks for no output, and its table is cut", async () => {
  const program = "n = 0\nwhile True:\n    n = n + 1\n";
  const found = await collect(program, { expected: "done\n" });
  const { content, surprises } = await makeExercise(services, found, order);
  expect(kinds(content.tasks)).not.toContain("predict");
  expect(surprises.join(" ")).toContain("does not end");
  const table = traceTaskSchema.parse(content.tasks.find((task) => task.kind === "trace"));
  expect(table.rows).toHaveLength(longestTable);
});

test("a program that does not start asks for output and table of the mended one only", async () => {
  const program = 'deck = 3\nif deck > 2\n    print("full")\n';
  const unmended = await makeExercise(services, await collect(program, { expected: "full\n", errorOutput: "SyntaxError" }), order);
  expect(kinds(unmended.content.tasks)).not.toContain("trace");
  const mended = await makeExercise(services, await collect(program, { expected: "full\n", mended: [program.replace("> 2\n", "> 2:\n")] }), order);
  expect(mended.content.tasks.filter((task) => task.kind === "predict" || task.kind === "trace").map((task) => task.program)).toEqual(["mended", "mended"]);
});

test("the teacher's verdict names the class, whatever the evidence said", async () => {
  const found = await collect("print(2)\n", { expected: "3\n" });
  await decideClass(services, found, found.revision, { class: "runtime", kind: null, reason: "our way of counting" });
  const { content } = await makeExercise(services, await whole(found.key), order);
  expect(content.faults[0]?.class).toBe("runtime");
});

test("a trace task has chosen columns only, its first values given, and needs variables", async () => {
  const found = await collect("low = 1\nhigh = 2\nprint(low + high)\n", { expected: "4\n" });
  const { content } = await makeExercise(services, found, order);
  const base = { key: "t", marks: 3, program: "faulty" as const, check: 0, linesGiven: false };
  const task = await traceTask(services, content, { ...base, columns: ["high"] });
  expect(task).toMatchObject({ columns: [{ key: "high", title: "high" }], given: [] });
  expect(await traceTask(services, content, base)).toMatchObject({ given: ["0 low"] });
  expect(await traceTask(services, { ...content, program: "print(3)\n" }, base)).toContain("no variable");
  expect(await traceTask(services, { ...content, program: "print(\n" }, base)).toContain("no line ran");
});

test("a run is stored and taken again; another translator or edition of the checks asks for a new one", async () => {
  const found = await collect("import os\nprint(3)\n", { expected: "3\n" });
  const version = versionOf(found, found.current_version);
  const first = await judgeVersion(services, found, version);
  const count = async () => (await services.database.query("select key from run where version = $1", [version.key])).length;
  expect(await count()).toBe(1);
  const again = await judgeVersion(services, found, version);
  expect(again.deciding.outcome).toEqual(first.deciding.outcome);
  expect(await count()).toBe(1);
  await judgeVersion(services, { ...found, checks_edition: found.checks_edition + 1 }, version);
  expect(await count()).toBe(2);
});

test("a recording is made once for the same version and input", async () => {
  const found = await collect("n = 3\n", { expected: "" });
  const [check] = found.checks;
  const language = findLanguage("python");
  if (!check || !language) throw new Error("no check");
  const version = versionOf(found, found.current_version);
  const [one, other] = await Promise.all([recordVersion(services, language, version, check), recordVersion(services, language, version, check)]);
  expect(one).toBe(other);
  expect(await recordVersion(services, language, version, { ...check, input: "other" })).not.toBe(one);
});
