import { afterAll, beforeAll, expect, test } from "vitest";
import { findAssignment, insertAssignment } from "../../server/assignments/assignmentStore.ts";
import { listAssignmentChecks } from "../../server/assignments/checkStore.ts";
import { listModels } from "../../server/assignments/modelStore.ts";
import { addCourse } from "../../server/people/courseStore.ts";
import { openTestServices } from "../../server/testServices.ts";
import { answered, asked, provideServices } from "../askRoute.ts";
import * as page from "./page.tsx";

const model = "seats = int(input())\nif seats < 3:\n    print(4)\nelse:\n    print(9)\n";

let services: Awaited<ReturnType<typeof openTestServices>>;
let course = "";
beforeAll(async () => {
  services = await openTestServices();
  provideServices(services);
  course = await addCourse(services.database, "Kittiwake Crossing", "python");
});
afterAll(() => services.close());

const begin = () => insertAssignment(services.database.query, course, { title: "Benches", languages: ["python"] });
const revisionOf = async (key: string) => String((await findAssignment(services.database, key))?.revision ?? 0);
const checksOf = (key: string) => listAssignmentChecks(services.database, key);

async function act(assignmentKey: string, form: Record<string, string>) {
  const revision = await revisionOf(assignmentKey);
  return answered(page.action(asked({ assignmentKey }, { form: { revision, ...form } })));
}

const rules = { prompts: "", blanks: "", letterCase: "", numbers: "", within: "", order: "", otherLines: "" };
const addCheck = (key: string, input: string, expected: string) =>
  act(key, { intent: "check", key: "", name: "", purpose: "", input, expected, kind: "normal", ...rules });

/** Files chosen on the page, by their names. */
async function take(assignmentKey: string, files: Record<string, string>) {
  const body = new FormData();
  body.append("intent", "take files");
  body.append("revision", await revisionOf(assignmentKey));
  for (const [name, text] of Object.entries(files)) body.append("file", new File([text], name));
  const given = asked({ assignmentKey });
  const request = new Request("http://127.0.0.1:4200/", { method: "POST", body });
  return answered(page.action({ ...given, request }));
}

test("before anything was measured nothing is missing, which is said; a measure is begun and stopped", async () => {
  const key = await begin();
  await act(key, { intent: "add model", language: "python", name: "benches.py", text: model });
  await addCheck(key, "9\n", "9\n");
  expect(await act(key, { intent: "add missing" })).toMatchObject({
    message: expect.stringContaining("None was added"),
  });
  expect(await act(key, { intent: "measure" })).toMatchObject({ status: 200 });
  expect(await act(key, { intent: "stop measuring" })).toMatchObject({ ok: true });
  await services.queue.settled();
  expect(await checksOf(key)).toHaveLength(1);
});

test("without a model nothing can be measured, which is said; what is stopped says that it stays", async () => {
  const key = await begin();
  const refused = await act(key, { intent: "measure" });
  expect(refused).toMatchObject({ status: 422, message: expect.stringContaining("model") });
  expect(await act(key, { intent: "stop measuring" })).toMatchObject({
    ok: true,
    message: "Stopped; what was found so far stays.",
  });
});

test("models are run again, and say when a check fails; one that is taken away leaves its checks", async () => {
  const key = await begin();
  await act(key, { intent: "add model", language: "python", name: "benches.py", text: model });
  await addCheck(key, "2\n", "4\n");
  expect(await act(key, { intent: "run models" })).toMatchObject({
    ok: true,
    message: "Every model passes every check.",
  });
  await addCheck(key, "3\n", "4\n");
  expect(await act(key, { intent: "run models" })).toMatchObject({
    ...{ ok: false, message: "1 of the models fail a check." },
  });
  const [kept] = await listModels(services.database, key);
  const stale = { intent: "remove model", key: kept?.key ?? "", revision: "0" };
  expect(await act(key, stale)).toMatchObject({ status: 409 });
  expect(await listModels(services.database, key)).toHaveLength(1);
  expect(await act(key, { intent: "remove model", key: kept?.key ?? "" })).toMatchObject({ ok: true });
  expect(await listModels(services.database, key)).toEqual([]);
  expect(await checksOf(key)).toHaveLength(2);
});

test("pairs of files become checks; what is no check is named and left out, and nothing is added of nothing", async () => {
  const key = await begin();
  const taken = await take(key, {
    ...{ "small.in": "2\n", "small.out": "4\n", "large.in": "3\n", "large.out": "9\n" },
    "notes.txt": "for Monday",
  });
  expect(taken).toMatchObject({ ok: true, message: "2 added. Not known and left out: notes.txt." });
  expect((await checksOf(key)).map(({ name, input, expected }) => [name, input, expected]).sort()).toEqual([
    ["large", "3\n", "9\n"],
    ["small", "2\n", "4\n"],
  ]);
  expect(await take(key, { "notes.txt": "for Monday" })).toMatchObject({ status: 422 });
  expect(await take(key, {})).toMatchObject({ status: 422 });
  expect(await checksOf(key)).toHaveLength(2);
});

test("files that another window has made old are refused with words, and nothing is lost", async () => {
  const key = await begin();
  const body = new FormData();
  body.append("intent", "take files");
  body.append("revision", "0");
  body.append("file", new File(["2\n"], "small.in"));
  body.append("file", new File(["4\n"], "small.out"));
  await act(key, { intent: "add model", language: "python", name: "benches.py", text: model });
  const request = new Request("http://127.0.0.1:4200/", { method: "POST", body });
  const refused = await answered(page.action({ ...asked({ assignmentKey: key }), request }));
  expect(refused).toMatchObject({ status: 409 });
  expect(await checksOf(key)).toEqual([]);
});
