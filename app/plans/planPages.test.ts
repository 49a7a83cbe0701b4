import { afterAll, beforeAll, expect, test } from "vitest";
import { insertAssignment } from "../../server/assignments/assignmentStore.ts";
import { findPlan } from "../../server/exercises/planStore.ts";
import { addCourse } from "../../server/people/courseStore.ts";
import { setForStudents } from "../../server/sheets/setSheet.ts";
import { findSheet, listPlaced } from "../../server/sheets/sheetStore.ts";

import { openTestServices } from "../../server/testServices.ts";
import { answered, asked, provideServices, textOfPage } from "../askRoute.ts";
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

test("the page offers models, kinds of task and what was planned before", async () => {
  const data = await newPage.loader(asked({}));
  expect(data.groups.flatMap(({ kinds }) => kinds).find((each) => each.kind === "mend")?.marks).toBe(2);
  const text = textOfPage(newPage.default, data, "/plans/new");
  expect(text).toContain("Plan exercises");
  expect(text).toContain("Crossing");
});
