import { afterAll, beforeAll, expect, test } from "vitest";
import { findAssignment, insertAssignment, setAssignmentOfCases } from "../assignments/assignmentStore.ts";
import { listAssignmentChecks } from "../assignments/checkStore.ts";
import { insertModel } from "../assignments/modelStore.ts";
import { collectCase, findCase, insertHandIn } from "../cases/caseStore.ts";
import { listFormerOf } from "../cases/formerStore.ts";
import { decideClass } from "../judge/decisions.ts";
import { tryFix } from "../mend/tryFix.ts";
import { addCourse, addStudents, listStudents } from "../people/courseStore.ts";
import { replaceName } from "../privacy/privacyStore.ts";
import { byTeacher, openTestServices } from "../testServices.ts";
import { confirmChecks, removeAssignmentCheck, saveAssignmentCheck } from "./assignmentChecks.ts";
import { startJudgingAssignment, stopJudgingAssignment } from "./judgeAssignment.ts";
import { listCells } from "./judgedStore.ts";
import { proveModels } from "./models.ts";
import { overviewOf } from "./overview.ts";
import { addProposals, guessedShape, proposalsFor } from "./proposals.ts";

const model = `cars = int(input("Cars? "))
total = 0
for car in range(cars):
    total = total + int(input("Load: "))
print("Total:", total)
print("May sail" if total <= 20 else "Too heavy")
`;

let services: Awaited<ReturnType<typeof openTestServices>>;
let course = "";
let students: string[] = [];
beforeAll(async () => {
  services = await openTestServices();
  course = await addCourse(services.database, "Kittiwake Crossing", "python");
  await addStudents(services.database, course, ["S-01", "S-02", "S-03"]);
  students = (await listStudents(services.database, course)).map((student) => student.key);
});
afterAll(() => services.close());

const begin = async () => insertAssignment(services.database.query, course, { title: "Deck" });
const assignmentOf = async (key: string) => {
  const found = await findAssignment(services.database, key);
  if (!found) throw new Error("no assignment");
  return found;
};
const addModel = (key: string, text: string, language = "python") =>
  insertModel(services.database.query, key, language, [
    { name: language === "c" ? "deck.c" : "deck.py", bytes: Buffer.from(text) },
  ]);
const change = async (key: string) => byTeacher(await assignmentOf(key));
async function addCheck(key: string, input: string, rest: object = {}) {
  const check = { input, expected: null, kind: "normal" as const, ...rest };
  return saveAssignmentCheck(services, await assignmentOf(key), await change(key), null, check);
}
async function confirmAll(key: string) {
  const keys = (await listAssignmentChecks(services.database, key)).map((check) => check.key);
  return confirmChecks(services, key, await change(key), keys);
}
/** An assignment with its model and two confirmed checks that the model worked out. */
async function ready() {
  const key = await begin();
  await addModel(key, model);
  await addCheck(key, "2\n4\n5\n", { name: "two" });
  await addCheck(key, "1\n20\n", { name: "limit" });
  await confirmAll(key);
  return key;
}
async function handIn(assignment: string, program: string, rest: object = {}) {
  return collectCase(services.database, {
    ...{ language: "python", course, assignment, student: null, title: "deck.py", intent: "", changedLast: "" },
    files: [{ name: "deck.py", bytes: Buffer.from(program) }],
    ...{ input: "", symptom: null, ...rest },
  });
}
async function overview(assignment: string) {
  await startJudgingAssignment(services, assignment);
  await services.queue.settled();
  return overviewOf(services, await assignmentOf(assignment));
}
const results = (program: { cells: ReadonlyArray<{ result: string } | null> } | undefined) =>
  program?.cells.map((cell) => cell?.result ?? null);

test("without a model a check needs its intended output; with one it is worked out, and judges once it is confirmed", async () => {
  const key = await begin();
  expect(await addCheck(key, "1\n4\n")).toMatchObject({ ok: false, message: expect.stringContaining("add a model") });
  await addModel(key, model);
  expect(await addCheck(key, "2\n4\n5\n")).toEqual({ ok: true });
  const [check] = await listAssignmentChecks(services.database, key);
  expect(check).toMatchObject({
    expected: "Total: 9\nMay sail\n",
    confirmed: false,
    worked_out_by: expect.any(String),
  });
  // Prompts are known as such, and what is typed in stands between them.
  expect(check?.pieces?.map((piece) => piece.kind)).toEqual(["prompt", "in", "prompt", "in", "prompt", "in", "out"]);
  const wrong = await handIn(key, model.replace("total +", "total -"));
  expect((await findCase(services.database, wrong))?.checks.filter((each) => each.of_assignment)).toEqual([]);
  await confirmAll(key);
  expect((await findCase(services.database, wrong))?.checks.filter((each) => each.of_assignment)).toHaveLength(1);
});

test("a model that fails a check is said to, and works nothing out; one that does not end gives none", async () => {
  const key = await begin();
  await addCheck(key, "0\n", { name: "none", expected: "Empty deck\n" });
  await addModel(key, model);
  const { models } = await proveModels(services, await assignmentOf(key));
  expect(models[0]?.usable).toBe(false);
  expect(models[0]?.cells[0]).toMatchObject({
    passes: false,
    words: expect.stringContaining("“Total: 0”; intended is “Empty deck”"),
  });
  expect(await addCheck(key, "1\n4\n")).toMatchObject({
    ok: false,
    message: expect.stringContaining("No model passes"),
  });
  const short = await begin();
  await addModel(short, model);
  expect(await addCheck(short, "2\n4\n")).toMatchObject({
    ok: false,
    message: expect.stringContaining("more input than is typed in"),
  });
  const refused = await begin();
  await addModel(refused, "print(");
  expect(await addCheck(refused, "")).toMatchObject({ ok: false, message: expect.stringContaining("refuses it") });
});

test("a confirmed output that is changed later leaves a visible trace, and stays as it was said when the model changes", async () => {
  const key = await ready();
  const [check] = await listAssignmentChecks(services.database, key);
  await saveAssignmentCheck(services, await assignmentOf(key), await change(key), check?.key ?? "", {
    ...{ input: check?.input ?? "", expected: "Sum: 9\n", kind: "normal" },
  });
  const former = await listFormerOf(services.database.query, "check", { assignment: key });
  expect(former.map((each) => each.former)).toContainEqual(
    expect.objectContaining({ expected: "Total: 9\nMay sail\n", confirmed: true }),
  );
  expect((await listAssignmentChecks(services.database, key))[0]).toMatchObject({ expected: "Sum: 9\n", edition: 3 });
});

test("every program is judged by the checks: all classes, groups that fail alike, and those without a fault", async () => {
  const key = await ready();
  const right = await handIn(key, model.replace('"Cars? "', '"How many cars are there?\\n"').replace('"Load: "', '""'));
  const edge = await handIn(key, model.replace("<= 20", "< 20"));
  const alike = await handIn(key, `print("Deck")\n${model.replace("<= 20", "< 20")}`);
  const text = await handIn(key, model.replace('int(input("Load', '(input("Load'));
  const form = await handIn(key, model.replace("range(cars):", "range(cars)"));
  const endless = await handIn(key, `${model}while total >= 0:\n    total = total + 0\n`);
  const shown = await overview(key);
  expect(shown.columns.map((column) => column.name)).toEqual(["two", "limit"]);
  const of = (program: string) => shown.programs.find((each) => each.key === program);
  expect([right, edge, alike, text, form].map((each) => [of(each)?.class, results(of(each))])).toEqual([
    [null, ["passes", "passes"]],
    ["logic", ["passes", "logic"]],
    ["logic", ["passes", "logic"]],
    ["runtime", ["runtime", "runtime"]],
    ["syntax", ["syntax", "syntax"]],
  ]);
  expect(results(of(endless))).toEqual(["does not end", "does not end"]);
  expect(of(right)?.passesAll).toBe(true);
  expect(shown.groups[0]).toMatchObject({ class: "logic", programs: expect.arrayContaining([edge, alike]) });
  expect(shown.groups[0]?.programs).toHaveLength(2);
  expect(shown.counts).toMatchObject({ syntax: 1, runtime: 1, logic: 3, "no fault shown": 1 });
  expect(shown.toJudge).toBe(0);
});

test("nobody said what was typed in: the run as handed in judges nothing, though the program stops there", async () => {
  const key = await ready();
  const program = await handIn(key, model);
  const shown = await overview(key);
  expect(shown.programs.find((each) => each.key === program)).toMatchObject({ class: null, passesAll: true });
  // With an input of its own it does, by what the model gives for it.
  const own = await handIn(key, model.replace("total = 0", "total = 1"), { input: "1\n3\n" });
  const again = await overview(key);
  expect(again.columns[0]?.name).toBe("as handed in");
  expect(results(again.programs.find((each) => each.key === own))).toEqual(["logic", "logic", "logic"]);
  const found = await findCase(services.database, own);
  expect(found?.checks[0]).toMatchObject({ from: "model", expected: "Total: 3\nMay sail\n", recorded: null });
});

test("another intended output for the same input is a conflict; the assignment counts", async () => {
  const key = await ready();
  const program = await handIn(key, model, { input: "2\n4\n5\n", expected: "Total: 10\n" });
  const shown = await overview(key);
  expect(shown.programs.find((each) => each.key === program)).toMatchObject({ class: null, passesAll: true });
  expect((await findCase(services.database, program))?.checks[0]).toMatchObject({
    ...{ conflict: true, recorded: "Total: 10\n", expected: "Total: 9\nMay sail\n", from: "assignment" },
  });
});

test("a check that changes: every program is judged anew, decisions stay, and verified is asked again", async () => {
  const key = await ready();
  const program = await handIn(key, model.replace("<= 20", "< 20"));
  await overview(key);
  let found = await findCase(services.database, program);
  if (!found) throw new Error("no case");
  await decideClass(services, found, byTeacher(found), { class: "logic", kind: null, reason: "" });
  found = (await findCase(services.database, program)) ?? found;
  expect(await tryFix(services, found, byTeacher(found), model, false)).toMatchObject({ result: "verified" });
  expect((await findCase(services.database, program))?.verified_at).not.toBeNull();

  // At 20 t a deck is too heavy now: the program as it was handed in is right, the mended one is not.
  const limit = (await listAssignmentChecks(services.database, key)).find((check) => check.name === "limit");
  await saveAssignmentCheck(services, await assignmentOf(key), await change(key), limit?.key ?? "", {
    ...{ input: "1\n20\n", expected: "Total: 20\nToo heavy\n", kind: "boundary", name: "limit" },
  });
  const before = overviewOf(services, await assignmentOf(key));
  expect(results((await before).programs[0])?.at(1)).toBeNull();
  await services.queue.settled();
  const shown = await overviewOf(services, await assignmentOf(key));
  expect(shown.programs[0]).toMatchObject({ class: null, passesAll: true });
  const after = await findCase(services.database, program);
  expect(after?.verified_at).toBeNull();
  expect(after?.layers[0]?.decided).toMatchObject({ class: "logic" });

  const [two] = await listAssignmentChecks(services.database, key);
  await removeAssignmentCheck(services, key, await change(key), limit?.key ?? "");
  await services.queue.settled();
  expect((await overviewOf(services, await assignmentOf(key))).columns.map((column) => column.key)).toEqual([two?.key]);
  expect((await findCase(services.database, program))?.verified_at).not.toBeNull();
});

test("the newest hand-in of a student counts, the earlier ones stand behind it; a program may move to another assignment", async () => {
  const key = await ready();
  const [student = ""] = students;
  const first = await handIn(key, model.replace("<= 20", "< 20"), { student, collectedAt: "2026-05-01T08:00:00.000Z" });
  const second = await handIn(key, model.replace("total +", "total -"), {
    student,
    collectedAt: "2026-05-02T08:00:00.000Z",
  });
  await services.database.transaction((query) =>
    insertHandIn(query, second, [{ name: "deck.py", bytes: Buffer.from(model) }], []),
  );
  const shown = await overview(key);
  expect(shown.programs).toHaveLength(1);
  expect(shown.programs[0]).toMatchObject({ key: second, name: "S-01", passesAll: true, number: 2 });
  expect(shown.programs[0]?.earlier).toMatchObject([{ key: first, class: "logic" }]);
  await setAssignmentOfCases(services.database.query, [second], await begin());
  expect((await overviewOf(services, await assignmentOf(key))).programs[0]).toMatchObject({ key: first, earlier: [] });
});

test("a name that is replaced is gone from the cells of the overview, too, and the program is judged anew", async () => {
  const key = await ready();
  const [, student = ""] = students;
  const text = model.replace('print("Total:"', 'print("Petrel says"');
  const program = await handIn(key, text, { student });
  await overview(key);
  const quoted = async () => JSON.stringify([...(await listCells(services.database, key)).values()]);
  expect(await quoted()).toContain("Petrel");
  expect(await replaceName(services.database, student, "Petrel", "S-02")).toBeGreaterThan(0);
  expect(await quoted()).not.toContain("Petrel");
  const shown = await overview(key);
  expect(shown.programs.find((each) => each.key === program)).toMatchObject({ class: "logic", judged: true });
  expect(await quoted()).toContain("S-02 says");
});

test("inputs are proposed from the model's text; those that matter come with what the model gives", async () => {
  const key = await begin();
  await addModel(key, model);
  expect((await guessedShape(services.database, key)).map((value) => [value.name, value.repeat])).toEqual([
    ["cars", "1"],
    ["load", "cars"],
  ]);
  const assignment = await assignmentOf(key);
  const proposals = await proposalsFor(services.database, assignment);
  expect(proposals.map((each) => each.purpose)).toEqual(
    expect.arrayContaining(["a repeat of none", "load: equal to the limit 20", "load: just above the limit 20"]),
  );
  const added = await addProposals(services, assignment, await change(key), null);
  expect(added).toMatchObject({ ok: true });
  const checks = await listAssignmentChecks(services.database, key);
  expect(checks.length).toBe(added.added);
  expect(checks.every((check) => !check.confirmed && check.pieces !== null && check.purpose !== "")).toBe(true);
  // What makes the model stop is no check.
  expect(checks.some((check) => check.input.includes("seven"))).toBe(false);
  expect((await proposalsFor(services.database, await assignmentOf(key))).length).toBeLessThan(proposals.length);
});

test("a model in another language judges all the same", async () => {
  const key = await begin();
  const inC =
    '#include <stdio.h>\nint main(void)\n{\n    int cars, load, total = 0;\n    printf("Cars? ");\n    scanf("%d", &cars);\n    for (int i = 0; i < cars; i++) {\n        printf("Load: ");\n        scanf("%d", &load);\n        total += load;\n    }\n    printf("Total: %d\\n%s\\n", total, total <= 20 ? "May sail" : "Too heavy");\n    return 0;\n}\n';
  await addModel(key, inC, "c");
  await addCheck(key, "2\n4\n5\n");
  await confirmAll(key);
  await handIn(key, model);
  const shown = await overview(key);
  expect(shown.programs[0]).toMatchObject({ class: null, passesAll: true });
});

test("a stale page changes nothing; judging can be stopped, and a check that is gone is said to be", async () => {
  const key = await ready();
  const old = await change(key);
  await addCheck(key, "1\n1\n");
  expect(
    await saveAssignmentCheck(services, await assignmentOf(key), old, null, {
      input: "1\n2\n",
      expected: "x",
      kind: "normal",
    }),
  ).toMatchObject({
    ...{ ok: false, stale: true },
  });
  expect(await listAssignmentChecks(services.database, key)).toHaveLength(3);
  expect(await removeAssignmentCheck(services, key, await change(key), "gone")).toMatchObject({ ok: false });
  expect(await confirmChecks(services, key, await change(key), ["gone"])).toMatchObject({ ok: false });
  for (let count = 0; count < 6; count++) await handIn(key, `${model}# ${count}\n`);
  await startJudgingAssignment(services, key);
  await stopJudgingAssignment(services, key);
  await services.queue.settled();
  const shown = await overviewOf(services, await assignmentOf(key));
  expect(shown.programs.filter((program) => program.judged).length).toBeLessThan(6);
});

test("a program whose run did not get its turn is judged once more by itself, and stands in the overview", async () => {
  const key = await ready();
  const program = await handIn(key, model);
  const python = services.toolchains.find("python");
  if (!python) throw new Error("no Python");
  const { run } = python;
  let missed = 0;
  python.run = async (request) => {
    const outcome = await run(request);
    if (missed >= 1) return outcome;
    missed += 1;
    return { ...outcome, stoppedBy: "not taken", trouble: "This run did not get its turn." };
  };
  try {
    const { programs } = await overview(key);
    expect(missed).toBe(1);
    const found = programs.find((each) => each.key === program);
    expect(results(found)).toEqual(["passes", "passes"]);
  } finally {
    python.run = run;
  }
});
