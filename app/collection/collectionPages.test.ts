import { afterAll, beforeAll, expect, test } from "vitest";
import { findAssignment, insertAssignment } from "../../server/assignments/assignmentStore.ts";
import { insertCheck } from "../../server/assignments/checkStore.ts";
import { overviewOf } from "../../server/classwork/overview.ts";
import { takeSet } from "../../server/collect/takeSet.ts";
import { addCourse, addStudents } from "../../server/people/courseStore.ts";
import { openTestServices } from "../../server/testServices.ts";
import { answered, asked, provideServices } from "../askRoute.ts";
import * as casebook from "../casebook/page.tsx";
import * as call from "../collect/call.ts";
import * as collect from "../collect/page.tsx";
import * as openApi from "../handIn/openApi.ts";
import * as languagesPage from "../languages/page.tsx";
import * as collection from "./page.tsx";
import * as progress from "./progress.ts";

let services: Awaited<ReturnType<typeof openTestServices>>;
let course = "";
beforeAll(async () => {
  services = await openTestServices();
  provideServices(services);
  course = await addCourse(services.database, "Kittiwake Crossing", "python");
  await addStudents(services.database, course, ["Tern", "Gull"]);
});
afterAll(() => services.close());

const files = [
  { path: "class/Tern/deck.py", bytes: Buffer.from("deck = 4\nprint(dek)\n") },
  { path: "class/Gull/deck.py", bytes: Buffer.from("deck = 4\nprint(deck)\n") },
  { path: "class/Gull/picture.png", bytes: Buffer.from([0x89, 0x50, 0x4e, 0x47, 0, 0, 0, 0]) },
];
async function opened(): Promise<string> {
  const taken = await takeSet(services.database, course, files);
  if (!taken.ok) throw new Error(taken.message);
  return taken.key;
}
const post = (collectionKey: string, form: Record<string, string>) =>
  answered(collection.action(asked({ collectionKey }, { form })));
async function openView(collectionKey: string) {
  const view = await collection.loader(asked({ collectionKey }));
  if (!view.open) throw new Error("taken in already");
  return view;
}

test("the table of a set is corrected row by row; what is no correction changes nothing and is told so", async () => {
  const key = await opened();
  const before = await openView(key);
  expect(before.programs.map((program) => program.student)).toEqual(["Tern", "Gull"]);
  expect(before.refused.map((each) => each.path)).toEqual(["class/Gull/picture.png"]);
  const row = before.programs[0]?.id ?? "";
  for (const [form, status] of [
    [{ intent: "correct", field: "students", id: row, value: "Heron" }, 200],
    [{ intent: "correct", field: "left", id: row, value: "yes" }, 200],
    [{ intent: "correct", field: "colour", id: row, value: "blue" }, 400],
    [{ intent: "correct", field: "students", id: "x".repeat(501), value: "" }, 400],
    [{ intent: "sing" }, 400],
    [{}, 400],
  ] as Array<[Record<string, string>, number]>)
    expect([form, (await post(key, form)).status]).toEqual([form, status]);
  expect((await openView(key)).programs[0]).toMatchObject({ student: "Heron", left: true });
  // A new rule is meant for all rows, those corrected by hand among them.
  await post(key, { intent: "correct", field: "rule", id: "", value: before.rule });
  expect((await openView(key)).programs[0]).toMatchObject({ student: "Tern", left: true });
  await expect(collection.loader(asked({ collectionKey: "none" }))).rejects.toMatchObject({ init: { status: 404 } });
});

test("a set is put away, or taken in and judged behind the page, which says how far it is", async () => {
  const away = await opened();
  expect(await post(away, { intent: "drop" })).toMatchObject({ status: 302, location: "/collect" });
  expect((await collect.loader(asked({}))).open.map((each) => each.key)).not.toContain(away);
  const key = await opened();
  expect(await post(key, { intent: "keep" })).toMatchObject({ status: 302, location: `/collect/${key}` });
  await services.queue.settled();
  const look = await progress.loader(asked({ collectionKey: key }));
  expect(await look.json()).toEqual({ total: 2, done: 2, state: "done", toSearch: 0 });
  expect(await collection.loader(asked({ collectionKey: key }))).toMatchObject({
    open: false,
    cases: [{ label: "Tern" }, { label: "Gull" }],
  });
  // Taken in once is taken in: pressing again makes no cases more.
  const total = async () => (await casebook.loader(asked({}))).total;
  const before = await total();
  await post(key, { intent: "keep" });
  expect(await total()).toBe(before);
});

test("progress comes as events, the last of them when all is done", async () => {
  const key = await opened();
  await post(key, { intent: "keep" });
  const given = asked({ collectionKey: key });
  const request = new Request(given.request, { headers: { Accept: "text/event-stream" } });
  const text = await (await progress.loader({ ...given, request })).text();
  const events = text
    .split("\n\n")
    .filter((part) => part !== "")
    .map((part) => JSON.parse(part.replace(/^data: /, "")));
  // The programs were here already: the set is done as soon as it is looked at.
  expect(events.at(-1)).toMatchObject({ state: "done" });
});

test("a program takes a set in by a call, tries it without effect, and gets words where it cannot be", async () => {
  const send = async (fields: Record<string, string>, withFile = true) => {
    const form = new FormData();
    for (const [name, value] of Object.entries(fields)) form.set(name, value);
    if (withFile) form.append("file", new File(["boats = 3\nprint(boat)\n"], "boats.py"));
    const given = asked({}, {});
    const response = await call.action({
      ...given,
      request: new Request(given.request.url, { method: "POST", body: form }),
    });
    return [response.status, await response.json()] as const;
  };
  expect(await send({ course: "no such course" })).toMatchObject([
    422,
    { error: expect.stringContaining("no course") },
  ]);
  expect(await send({ course }, false)).toMatchObject([422, { error: expect.any(String) }]);
  expect(await send({ course, dryRun: "yes" })).toMatchObject([200, { collection: null, cases: [] }]);
  const [status, taken] = await send({ course });
  expect([status, taken.cases.length]).toEqual([200, 1]);
  await services.queue.settled();
});

test.each([
  ["course", (key: string) => `?course=${key}`, 1],
  ["language", () => "?language=python", 1],
  ["another language", () => "?language=octave", 0],
  ["a state", () => "?state=open", 1],
  ["no state of ours", () => "?state=lost", 1],
  ["words in programs", () => "?text=print%20DEK", 1],
  ["signs that stand for others in a pattern", () => "?text=%25_%5C", 0],
  ["a NUL and quotes", () => "?text=%00'%22", 0],
  ["a class that nothing has", () => "?class=logic", 0],
])("the Casebook narrowed to %s", async (_, address, least) => {
  const { total } = await casebook.loader(asked({}, { path: `/casebook${address(course)}` }));
  expect(Math.min(total, 1)).toBe(least);
});

test("the call for hand-ins is described, and the page of languages says what runs here", async () => {
  const described = await (await openApi.loader()).json();
  expect([described.openapi, Object.keys(described.paths)]).toMatchObject([
    expect.stringMatching(/^3\./),
    expect.arrayContaining([expect.stringContaining("/api/hand-in/")]),
  ]);
  const { rows } = await languagesPage.loader(asked({}));
  expect(rows.filter((row) => row.ready).length).toBeGreaterThanOrEqual(6);
});

test("a set that was written for an assignment is judged by it; one of another course is no choice", async () => {
  const { database } = services;
  const own = await addCourse(database, "Kittiwake Crossing, group 3", "python");
  await addStudents(database, own, ["Tern", "Gull"]);
  const assignment = await insertAssignment(database.query, own, { title: "Deck" });
  await insertCheck(database.query, { assignment }, { name: "deck", input: "", expected: "4\n", kind: "normal" });
  const foreign = await insertAssignment(database.query, course, { title: "Tides" });
  const taken = await takeSet(database, own, files);
  const key = taken.ok ? taken.key : "";
  expect((await openView(key)).assignments.map((each) => each.title)).toEqual(["Deck"]);
  expect(await post(key, { intent: "assignment", key: foreign })).toMatchObject({ status: 422 });
  expect((await openView(key)).assignment).toBe("");
  await post(key, { intent: "assignment", key: assignment });
  expect((await openView(key)).assignment).toBe(assignment);
  await post(key, { intent: "keep" });
  const judged = async () => {
    await services.queue.settled();
    const found = await findAssignment(database, assignment);
    return found ? (await overviewOf(services, found)).programs.map((each) => [each.name, each.class]) : null;
  };
  const both = [
    ["Gull", null],
    ["Tern", "runtime"],
  ];
  expect(await judged()).toEqual(both);
  expect(await collection.loader(asked({ collectionKey: key }))).toMatchObject({ open: false, assignment });
  // What was taken in already may be moved as a whole, out of the assignment and back.
  expect(await post(key, { intent: "assignment", key: "" })).toMatchObject({ status: 200 });
  expect(await judged()).toEqual([]);
  expect(await post(key, { intent: "assignment", key: assignment })).toMatchObject({ status: 200 });
  expect(await judged()).toEqual(both);
});
