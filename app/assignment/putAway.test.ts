import { afterAll, beforeAll, expect, test } from "vitest";
import { findAssignment, findFirstAssignment, insertAssignment } from "../../server/assignments/assignmentStore.ts";
import { collectCase, findCase } from "../../server/cases/caseStore.ts";
import { addCourse } from "../../server/people/courseStore.ts";
import { openTestServices } from "../../server/testServices.ts";
import { answered, asked, provideServices, textOfPage } from "../askRoute.ts";
import * as casePage from "../case/page.tsx";
import * as coursePage from "../courses/coursePage.tsx";
import * as handInPage from "../handIn/page.tsx";
import * as overviewPage from "./overviewPage.tsx";
import * as page from "./page.tsx";

let services: Awaited<ReturnType<typeof openTestServices>>;
let course = "";
beforeAll(async () => {
  services = await openTestServices();
  provideServices(services);
  course = await addCourse(services.database, "Kittiwake Crossing", "python");
});
afterAll(() => services.close());

async function act(assignmentKey: string, form: Record<string, string>) {
  const revision = String((await findAssignment(services.database, assignmentKey))?.revision ?? 0);
  return answered(page.action(asked({ assignmentKey }, { form: { revision, ...form } })));
}
const collect = (assignment?: string) =>
  collectCase(services.database, {
    ...{ language: "python", course, assignment, student: null, title: "tide.py", intent: "", changedLast: "" },
    files: [{ name: "tide.py", bytes: Buffer.from("print(3.1)\n") }],
    ...{ input: "", symptom: null },
  });
const assignmentsOf = async (caseKey: string) => {
  const view = await casePage.loader(asked({ caseKey }));
  return view.assignments.map((each) => each.key);
};

test("an assignment that is put away is offered nowhere, takes no hand-ins and loses nothing; it is taken back with one press", async () => {
  const key = await insertAssignment(services.database.query, course, { title: "Tide heights" });
  const other = await insertAssignment(services.database.query, course, { title: "Deck loads" });
  const own = await collect(key);
  const free = await collect();
  await act(key, { intent: "hand-in", open: "on" });
  const code = (await findAssignment(services.database, key))?.hand_in_code ?? "";

  expect(await act(key, { intent: "put away", away: "on" })).toMatchObject({ ok: true });
  expect((await handInPage.loader(asked({ code }))).open).toBe(false);
  expect(await act(key, { intent: "hand-in", open: "on" })).toMatchObject({ status: 422 });
  expect((await findFirstAssignment(services.database, course))?.key).toBe(other);
  expect(await assignmentsOf(free)).toEqual([other]);
  // The program that belongs to it still does, and its page names it.
  expect((await findCase(services.database, own))?.assignment).toBe(key);
  expect(await assignmentsOf(own)).toEqual([key, other]);
  const list = textOfPage(coursePage.default, await coursePage.loader(asked({ courseKey: course })));
  expect(list.indexOf("Deck loads")).toBeLessThan(list.indexOf("Tide heights"));
  expect(list).toContain("put away");
  for (const each of [page, overviewPage])
    expect(textOfPage(each.default as never, await each.loader(asked({ assignmentKey: key })))).toContain(
      "Take it back",
    );

  expect(await act(key, { intent: "put away" })).toMatchObject({ ok: true });
  expect(await assignmentsOf(free)).toEqual([key, other]);
  expect((await findAssignment(services.database, key))?.hand_in_open).toBe(false);
});

test("two windows: who puts an assignment away by an old state is told, and nothing happens", async () => {
  const key = await insertAssignment(services.database.query, course, { title: "Passenger lists" });
  await act(key, { intent: "starter", name: "list.py", text: "names = []\n" });
  const late = await answered(
    page.action(asked({ assignmentKey: key }, { form: { revision: "0", intent: "put away", away: "on" } })),
  );
  expect(late).toMatchObject({ ok: false });
  expect((await findAssignment(services.database, key))?.put_away_at).toBeNull();
});
