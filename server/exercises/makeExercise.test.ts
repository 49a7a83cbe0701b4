import { afterAll, beforeAll, expect, test } from "vitest";
import { kindOfTask } from "../../core/exercises/taskKinds.ts";
import { traceTable } from "../../core/exercises/tasks/trace.ts";
import { rowsOf, traceTaskSchema } from "../../core/exercises/traceTask.ts";
import type { RunRequest } from "../../core/outcome/outcome.ts";
import { collectCase, findCase, versionOf, type WholeCase } from "../cases/caseStore.ts";
import { saveCheck } from "../judge/checks.ts";
import { decideClass } from "../judge/decisions.ts";
import { judgeVersion, recordVersion } from "../judge/judge.ts";
import { tryFix } from "../mend/tryFix.ts";
import { byTeacher, openTestServices } from "../testServices.ts";
import type { Variant } from "../toolchains/toolchain.ts";
import { type ExerciseOrder, makeContext, makeExercise } from "./makeExercise.ts";

let services: Awaited<ReturnType<typeof openTestServices>>;
beforeAll(async () => {
  services = await openTestServices();
});
afterAll(() => services.close());

async function collect(
  program: string,
  given: { input?: string; expected?: string; errorOutput?: string; mended?: string[] } = {},
): Promise<WholeCase> {
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
    await tryFix(services, found, byTeacher(found), text, true);
  }
  return whole(key);
}
async function whole(key: string): Promise<WholeCase> {
  const found = await findCase(services.database, key, "all");
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
  expect(content.faults).toMatchObject([
    { class: "runtime", reportedLine: 2, faultyLines: [2], message: "NameError: name 'merin' is not defined" },
  ]);
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
  expect(rowsOf(table, content)).toHaveLength(60);
  // What is kept are the steps; the table is derived from them.
  expect([table.rows, table.steps.length]).toEqual([[], 60]);
});

test("a program that does not start asks for output and table of the mended one only", async () => {
  const program = 'deck = 3\nif deck > 2\n    print("full")\n';
  const unmended = await makeExercise(
    services,
    await collect(program, { expected: "full\n", errorOutput: "SyntaxError" }),
    order,
  );
  expect(kinds(unmended.content.tasks)).not.toContain("trace");
  const mended = await makeExercise(
    services,
    await collect(program, { expected: "full\n", mended: [program.replace("> 2\n", "> 2:\n")] }),
    order,
  );
  expect(
    mended.content.tasks.filter((task) => task.kind === "predict" || task.kind === "trace").map((task) => task.program),
  ).toEqual(["mended", "mended"]);
});

test("the teacher's verdict names the class, whatever the evidence said", async () => {
  const found = await collect("print(2)\n", { expected: "3\n" });
  await decideClass(services, found, byTeacher(found), { class: "runtime", kind: null, reason: "our way of counting" });
  const { content } = await makeExercise(services, await whole(found.key), order);
  expect(content.faults[0]?.class).toBe("runtime");
});

test("a trace task has chosen columns only, its first values given, and needs variables", async () => {
  const found = await collect("low = 1\nhigh = 2\nprint(low + high)\n", { expected: "4\n" });
  const { content } = await makeExercise(services, found, order);
  const context = (program: string) => makeContext(services, { ...content, program });
  const made = await traceTable.make(context(content.program), { key: "t", marks: 3 });
  if (typeof made === "string") throw new Error(made);
  expect(made).toMatchObject({ given: ["0 low"], linesGiven: true });
  const fields = { program: ["faulty"], check: ["0"], column: ["high"], given: ["0 low", "1 high", "9 high"] };
  expect(await kindOfTask(made).change?.(context(content.program), made, fields)).toMatchObject({
    columns: [{ key: "high", title: "high" }],
    linesGiven: false,
    given: ["1 high"],
  });
  expect(await traceTable.make(context("print(3)\n"), { key: "t", marks: 3 })).toContain("no variable");
  expect(await traceTable.make(context("print(\n"), { key: "t", marks: 3 })).toContain("no line ran");
});

test("a run is stored and taken again; another check, or another edition of one, asks for a new one", async () => {
  const found = await collect("import os\nprint(3)\n", { expected: "3\n" });
  const version = versionOf(found, found.current_version);
  const first = await judgeVersion(services, found, version);
  const count = async () =>
    (await services.database.query("select key from run where version = $1", [version.key])).length;
  expect(await count()).toBe(1);
  const again = await judgeVersion(services, found, version);
  expect(again.deciding.outcome).toEqual(first.deciding.outcome);
  expect(await count()).toBe(1);
  const [check] = found.checks;
  if (!check) throw new Error("no check");
  const other = { input: "", expected: "3\n", kind: "normal" as const };
  await saveCheck(services, found, byTeacher(found), null, other);
  await judgeVersion(services, await whole(found.key), version);
  expect(await count()).toBe(2);
  // Changing one check leaves the runs of the others as they are.
  const now = await whole(found.key);
  await saveCheck(services, now, byTeacher(now), check.key, { ...other, input: "5\n" });
  await judgeVersion(services, await whole(found.key), version);
  expect(await count()).toBe(3);
});

test("a recording is made once for the same version and input", async () => {
  const found = await collect("n = 3\n", { expected: "" });
  const [check] = found.checks;
  if (!check) throw new Error("no check");
  const version = versionOf(found, found.current_version);
  const [one, other] = await Promise.all([
    recordVersion(services, found, version, check),
    recordVersion(services, found, version, check),
  ]);
  expect(one).toBe(other);
  expect(await recordVersion(services, found, version, { ...check, input: "other" })).not.toBe(one);
});

test("every run that making an exercise needs is made once, and inputs that students never see are tried in one job", async () => {
  const program =
    'stops = int(input("Stops? "))\nminutes = 35\nfor stop in range(stops + 1):\n    minutes += 5\nprint(minutes)\n';
  const mended = program.replace("stops + 1", "stops");
  const found = await collect(program, { input: "2\n", expected: "Stops? 45\n", mended: [mended] });
  const done: string[] = [];
  const find = (language: string) => {
    const own = services.toolchains.find(language);
    if (!own) return undefined;
    const say = (kind: string, { files, input }: RunRequest) =>
      done.push(
        `${kind} ${Buffer.from(files[0]?.bytes ?? []).includes("stops + 1") ? "faulty" : "mended"} ${input.trim()}`,
      );
    return {
      ...own,
      run: (request: RunRequest) => {
        say("run", request);
        return own.run(request);
      },
      trace: (request: RunRequest) => {
        say("record", request);
        return own.trace(request);
      },
      runMany: (request: RunRequest, variants: readonly Variant[], seconds: number) => {
        say(`${variants.length} of`, request);
        return own.runMany?.(request, variants, seconds) ?? Promise.resolve([]);
      },
    };
  };
  const { content, surprises } = await makeExercise(
    { ...services, toolchains: { ...services.toolchains, find } },
    found,
    { ...order, replacements: [], show: { outputs: true, errors: true } },
  );
  expect(surprises).toEqual([]);
  expect(content.hiddenChecks).toHaveLength(3);
  expect(content.given).toMatchObject([{ of: "output", text: "Stops? 50\n" }]);
  expect(done.filter((each) => done.indexOf(each) !== done.lastIndexOf(each))).toEqual([]);
  expect(done.filter((each) => each.startsWith("run")).sort()).toEqual(["run faulty 2", "run mended 2"]);
  expect(done.filter((each) => each.includes(" of"))).toEqual([expect.stringMatching(/^[3-7] of mended/)]);
});
