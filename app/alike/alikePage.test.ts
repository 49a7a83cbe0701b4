import { afterAll, beforeAll, expect, test } from "vitest";
import { insertAssignment } from "../../server/assignments/assignmentStore.ts";
import { insertCheck } from "../../server/assignments/checkStore.ts";
import { collectCase, findCase } from "../../server/cases/caseStore.ts";
import { startJudgingAssignment } from "../../server/classwork/judgeAssignment.ts";
import { addCourse } from "../../server/people/courseStore.ts";
import { openTestServices } from "../../server/testServices.ts";
import { answered, asked, provideServices, textOfPage } from "../askRoute.ts";
import * as page from "./page.tsx";

let services: Awaited<ReturnType<typeof openTestServices>>;
let through = "";
const keys: Record<string, string> = {};

const programs = {
  "name one": "cars = int(input())\nprint(totl)\n",
  "name two": "print(crs)\n",
  "name three": "print(fares)\n",
  "wrong one": "print(int(input()) * 3)\n",
  "wrong two": "cars = int(input())\nprint(cars * 3)\n",
  refused: "print(int(input()) * 4\n",
  right: "print(int(input()) * 4)\n",
};

beforeAll(async () => {
  services = await openTestServices();
  provideServices(services);
  const course = await addCourse(services.database, "Kittiwake Crossing", "python");
  const assignment = await insertAssignment(services.database.query, course, { title: "Fares" });
  await insertCheck(
    services.database.query,
    { assignment },
    { name: "", input: "3\n", expected: "12\n", kind: "normal" },
  );
  for (const [title, text] of Object.entries(programs))
    keys[title] = await collectCase(services.database, {
      ...{ language: "python", course, assignment, student: null, title, intent: "", changedLast: "" },
      files: [{ name: "fare.py", bytes: Buffer.from(text) }],
      ...{ input: "", symptom: null },
    });
  through = `assignment ${assignment}`;
  await startJudgingAssignment(services, assignment);
  await services.queue.settled();
});
afterAll(() => services.close());

const view = () => page.loader(asked({}, { path: `/alike?through=${encodeURIComponent(through)}` }));
const act = (form: Record<string, string | readonly string[]>) => answered(page.action(asked({}, { form })));
const members = async (at: number) => (await view()).groups[at]?.cases ?? [];
const named = (cases: ReadonlyArray<{ key: string; revision: number }>) =>
  cases.map((each) => `${each.key} ${each.revision}`);
const classOf = async (title: string) =>
  (await findCase(services.database, keys[title] ?? ""))?.layers.at(-1)?.decided?.class ?? null;

test("what is left stands in groups by how it fails; those that fail like no other one and those without a fault are counted", async () => {
  const found = await view();
  expect(found.groups.map((group) => [group.class, group.cases.map((each) => each.title)])).toEqual([
    ["runtime", ["name one", "name two", "name three"]],
    ["logic", ["wrong one", "wrong two"]],
  ]);
  expect(found).toMatchObject({ title: "Fares", alone: 1, open: 1, waiting: 0 });
  const text = textOfPage(page.default, found);
  expect(text).toContain("3 cases: NameError: name … is not defined");
  expect(text).toContain("1 fails like no other one; 1 shows no fault");
  await expect(page.loader(asked({}, { path: "/alike?through=nowhere" }))).rejects.toMatchObject({
    init: { status: 404 },
  });
});

test("one decision decides all that stay ticked, is undone as one, and tells what it could not decide", async () => {
  const [one, two, three] = await members(0);
  if (!one || !two || !three) throw new Error("no group");
  const decided = await act({ intent: "decide", class: "runtime", reason: "", cases: named([one, two]) });
  expect(decided).toMatchObject({ ok: true, message: "Decided: 2 cases." });
  expect([await classOf("name one"), await classOf("name two"), await classOf("name three")]).toEqual([
    "runtime",
    "runtime",
    null,
  ]);
  // The third one is alone now.
  expect((await view()).groups).toHaveLength(1);

  // In another window the page is older: what was decided there stays.
  const late = await act({
    intent: "decide",
    class: "logic",
    reason: "the name was meant",
    cases: named([one, three]),
  });
  expect(late).toMatchObject({ ok: false });
  expect(String(late.message)).toContain("Decided: 1 case. Left: name one:");
  expect([await classOf("name one"), await classOf("name three")]).toEqual(["runtime", "logic"]);
  await act({ intent: "undo", case: three.key });

  expect(await act({ intent: "undo", case: decided.more ?? "" })).toMatchObject({ message: "Undone: 2 cases." });
  expect([await classOf("name one"), await classOf("name two")]).toEqual([null, null]);
  expect((await view()).groups[0]?.cases).toHaveLength(3);
});

test("against the evidence a reason is asked for; without a ticked case, or with a bad form, nothing happens", async () => {
  const cases = named(await members(1));
  const silent = await act({ intent: "decide", class: "runtime", reason: " ", cases });
  expect(silent).toMatchObject({ ok: false, status: 422 });
  expect(String(silent.message)).toContain("Overruling it needs a reason");
  expect(await act({ intent: "decide", class: "logic", reason: "" })).toMatchObject({ status: 422 });
  expect(await act({ intent: "decide", class: "typo", reason: "", cases })).toMatchObject({ status: 400 });
  expect(await act({ intent: "decide", class: "logic", reason: "", cases: ["no revision"] })).toMatchObject({
    status: 400,
  });
  expect(await act({ intent: "undo", case: "nothing" })).toMatchObject({ status: 422 });
  expect(await classOf("wrong one")).toBeNull();
});
