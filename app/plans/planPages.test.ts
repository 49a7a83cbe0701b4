import { afterAll, beforeAll, expect, test } from "vitest";
import { insertAssignment } from "../../server/assignments/assignmentStore.ts";
import { findPlan } from "../../server/exercises/planStore.ts";
import { addCourse } from "../../server/people/courseStore.ts";
import { setForStudents } from "../../server/sheets/setSheet.ts";
import { findSheet, listPlaced, listSheets } from "../../server/sheets/sheetStore.ts";

import { openTestServices } from "../../server/testServices.ts";
import { answered, asked, provideServices, textOfPage } from "../askRoute.ts";
import * as patternPage from "../patterns/patternPage.tsx";
import * as newPage from "./newPage.tsx";
import * as planPage from "./page.tsx";

let services: Awaited<ReturnType<typeof openTestServices>>;
let course: string;
beforeAll(async () => {
  services = await openTestServices();
  provideServices(services);
  course = await addCourse(services.database, "Kittiwake Crossing", "python");
});
afterAll(() => services.close());

const crossing = `fare = int(input("Fare? "))
cars = int(input("Cars? "))
bill = fare * cars
if cars >= 10:
    bill = bill - 5
for car in range(cars):
    print("Car", car + 1)
print("Bill", bill)
`;
const wish = {
  language: "python",
  name: "crossing.py",
  title: "Crossing",
  count: "4",
  "marks mend": "2",
  "marks point": "1",
};
const plan = (form: Record<string, string>) => newPage.action(asked({}, { form: { intent: "plan", ...form } }));

test("a pasted program is planned behind the page; the chosen ones become a sheet that can be set", async () => {
  const answer = await plan({ ...wish, program: crossing });
  if (!(answer instanceof Response)) throw new Error("not planned");
  const planKey = answer.headers.get("Location")?.split("/").at(-1) ?? "";
  expect((await planPage.loader(asked({ planKey }))).plan.state).toMatch(/waiting|done/);
  await services.queue.settled();

  const data = await planPage.loader(asked({ planKey }));
  expect(data.plan.state).toBe("done");
  expect(data.planned).toHaveLength(4);
  expect(data.planned.flatMap((each) => each.reasons)).toEqual([]);
  expect(data.planned.every((each) => each.tasks === 2 && each.hidden > 0)).toBe(true);
  const text = textOfPage(planPage.default, data, `/plans/${planKey}`);
  expect(text).toContain("4 of 4, proven by runs");
  expect(text).toContain("Noticed by");

  const act = (form: Record<string, string>) =>
    answered(planPage.action(asked({ planKey }, { form: { intent: "sheet", ...form } })));
  expect(await act({ title: "Debugging", course })).toMatchObject({ status: 422 });
  const { location } = await act({ title: "Debugging", course, exercise: "2" });
  const sheetKey = String(location).split("/").at(-1) ?? "";
  const placed = await listPlaced(services.database, sheetKey);
  expect(placed.map((each) => each.title)).toEqual(["Crossing 1"]);
  expect(placed[0]?.content.hiddenChecks.length).toBeGreaterThan(0);
  expect((await findPlan(services.database, planKey))?.sheet).toBe(sheetKey);
  const sheet = await findSheet(services.database, sheetKey);
  if (!sheet) throw new Error("no sheet");
  expect(await setForStudents(services, sheet)).toMatchObject({ ok: true });
});

test("a planned exercise is changed by hand and proven again; equal ones make a second sheet", async () => {
  const answer = await plan({ ...wish, count: "3", program: crossing });
  if (!(answer instanceof Response)) throw new Error("not planned");
  const planKey = answer.headers.get("Location")?.split("/").at(-1) ?? "";
  await services.queue.settled();
  const ask = (form: Record<string, string | string[]>) => answered(planPage.action(asked({ planKey }, { form })));
  const read = () => planPage.loader(asked({ planKey }));
  const before = await read();

  const still = await ask({ intent: "prove", index: "0", program: crossing });
  expect(still).toMatchObject({ ok: false, message: expect.stringContaining("cannot be set as it is") });
  expect((await read()).planned[0]?.reasons.join(" ")).toContain("No check notices a fault");
  expect(await ask({ intent: "prove", index: "9", program: crossing })).toMatchObject({ ok: false });
  expect(await ask({ intent: "prove", index: "0", program: " " })).toMatchObject({ ok: false });
  const own = crossing.replace("bill - 5", "bill - cars");
  expect(await ask({ intent: "prove", index: "0", program: own })).toMatchObject({ ok: true });
  const changed = (await read()).planned[0];
  expect(changed).toMatchObject({ class: "logic", lines: [5], program: own, reasons: [], tasks: 2 });
  expect((await read()).planned[1]?.program).toBe(before.planned[1]?.program);

  expect(await ask({ intent: "sheet", title: "Beside", course, exercise: "0", second: "on" })).toMatchObject({
    message: expect.stringContaining("equal ones of 0 of the 1"),
  });
  expect(await ask({ intent: "twins", seed: "3" })).toMatchObject({ ok: true });
  await services.queue.settled();
  const data = await read();
  expect(data.plan.state).toBe("done");
  const twins = data.planned.flatMap(({ twin }) => twin?.program ?? []);
  expect(twins.length).toBeGreaterThanOrEqual(2);
  expect(twins.join()).not.toMatch(/fare|cars|bill/);
  expect(textOfPage(planPage.default, data, `/plans/${planKey}`)).toContain("The equal one in another scene");
  const withTwin = data.planned.flatMap(({ twin }, index) => (twin ? [String(index)] : []));
  const { location } = await ask({ intent: "sheet", title: "Beside", course, exercise: withTwin, second: "on" });
  const first = await listPlaced(services.database, String(location).split("/").at(-1) ?? "");
  const sheets = await listSheets(services.database);
  const second = sheets.find(({ title }) => title === "Beside, B");
  const other = await listPlaced(services.database, second?.key ?? "");
  expect(other.map(({ content }) => content.tasks.map(({ kind, marks }) => [kind, marks]))).toEqual(
    first.map(({ content }) => content.tasks.map(({ kind, marks }) => [kind, marks])),
  );
  const sheet = second ? await findSheet(services.database, second.key) : null;
  if (!sheet) throw new Error("no second sheet");
  expect(await setForStudents(services, sheet)).toMatchObject({ ok: true });
});

test.each([
  [{ program: "" }, "The program is missing."],
  [{ program: "while True:\n    pass\n" }, "does not come to its end"],
  [{ language: "klingon", program: crossing }, "not known here"],
  [{ name: "../deck.py", program: crossing }, "leads to a folder"],
  [{ program: crossing, "marks mend": "0", "marks point": "0" }, "at least one kind of task"],
  [{ program: crossing, "marks mend": "1.5" }, "whole numbers"],
  [{ program: crossing, pattern: "beautiful" }, "no such kind"],
  [{ assignment: "of nobody", program: "" }, "not there any more"],
])("%j is not planned, in words", async (form, words) => {
  const refused = await answered(plan({ ...wish, ...(form as Record<string, string>) }));
  expect(refused).toMatchObject({ ok: false, message: expect.stringContaining(words) });
});

test("each mistake of a class is planted in a neutral program; what cannot be is said", async () => {
  const key = await insertAssignment(services.database.query, course, { title: "Deck loads", languages: ["python"] });
  const form = (kind: string[]) => newPage.action(asked({}, { form: { intent: "of class", assignment: key, kind } }));
  expect(await answered(form(["beautiful"]))).toMatchObject({ status: 422 });
  const answer = await form(["own-name-misspelt", "limit-off-by-one", "semicolon-after-header"]);
  if (!(answer instanceof Response)) throw new Error("not planned");
  const planKey = answer.headers.get("Location")?.split("/").at(-1) ?? "";
  await services.queue.settled();
  const data = await planPage.loader(asked({ planKey }));
  expect(data.planned.map((each) => each.pattern?.id).sort()).toEqual(["limit-off-by-one", "own-name-misspelt"]);
  expect(data.planned.flatMap((each) => each.reasons)).toEqual([]);
  expect(new Set(data.planned.map((each) => each.title)).size).toBe(2);
  expect(data.plan.said.join(" ")).toContain("could not be planted in a neutral program in Python");
});

test("exercises of one kind of mistake are planned from its page, each in another program", async () => {
  const { patternId } = { patternId: "limit-off-by-one" };
  const data = await patternPage.loader(asked({ patternId }));
  expect(data.plants.map(({ id }) => id)).toContain("python");
  expect(textOfPage(patternPage.default, data, `/patterns/${patternId}`)).toContain("Exercises of it");
  const form = { intent: "of pattern", pattern: patternId, language: "python", count: "2" };
  const ask = (more: Record<string, string>) => newPage.action(asked({}, { form: { ...form, ...more } }));
  expect(await answered(ask({ pattern: "beautiful" }))).toMatchObject({ status: 422 });
  expect(await answered(ask({ language: "klingon" }))).toMatchObject({ status: 422 });
  const answer = await ask({});
  if (!(answer instanceof Response)) throw new Error("not planned");
  const planKey = answer.headers.get("Location")?.split("/").at(-1) ?? "";
  await services.queue.settled();
  const { planned } = await planPage.loader(asked({ planKey }));
  expect(planned.map((each) => each.pattern?.id)).toEqual([patternId, patternId]);
  expect(new Set(planned.map((each) => each.title)).size).toBe(2);
  expect(planned.flatMap((each) => each.reasons)).toEqual([]);
});

test("the page offers models, kinds of task and what was planned before", async () => {
  const data = await newPage.loader(asked({}));
  expect(data.groups.flatMap(({ kinds }) => kinds).find((each) => each.kind === "mend")?.marks).toBe(2);
  const text = textOfPage(newPage.default, data, "/plans/new");
  expect(text).toContain("Plan exercises");
  expect(text).toContain("Crossing");
});
