import { afterAll, beforeAll, expect, test } from "vitest";
import { findFirstAssignment } from "../../server/assignments/assignmentStore.ts";
import { addCourse, addStudents, findCourse, listStudents } from "../../server/people/courseStore.ts";
import { openTestServices } from "../../server/testServices.ts";
import { answered, asked, markupOf, provideServices, textOfPage } from "../askRoute.ts";
import * as courseSlips from "../print/courseSlipsPage.tsx";
import * as coursePage from "./coursePage.tsx";
import * as courses from "./page.tsx";
import * as studentPage from "./studentPage.tsx";
import * as studentsFile from "./studentsFile.ts";

let services: Awaited<ReturnType<typeof openTestServices>>;
let courseKey = "";
beforeAll(async () => {
  services = await openTestServices();
  provideServices(services);
  courseKey = await addCourse(services.database, "Kittiwake Crossing", "python");
});
afterAll(() => services.close());

const act = (form: Record<string, string>) => answered(coursePage.action(asked({ courseKey }, { form })));
const labels = async () => (await listStudents(services.database, courseKey)).map((student) => student.label);

test.each([
  [{ intent: "begin", name: "  ", language: "python" }, 422, "A course needs a name."],
  [{ intent: "begin", name: "Tides", language: "klingon" }, 422, "A course needs a name."],
  [{ intent: "begin", name: "x".repeat(201), language: "python" }, 400, "could not be read: name"],
  [{ intent: "burn", name: "Tides", language: "python" }, 400, "does not know"],
])("a course is not begun by %j", async (form, status, words) => {
  const before = (await courses.loader(asked({}))).courses.length;
  expect(await answered(courses.action(asked({}, { form })))).toMatchObject({
    ...{ status, message: expect.stringContaining(words) },
  });
  expect((await courses.loader(asked({}))).courses).toHaveLength(before);
});

test("a course is begun and leads to its page, which says that it has no students", async () => {
  const begun = await answered(
    courses.action(asked({}, { form: { intent: "begin", name: " Tides in C ", language: "c" } })),
  );
  const key = begun.location?.split("/").at(-1) ?? "";
  expect(await findCourse(services.database, key)).toMatchObject({ name: "Tides in C", language: "c" });
  const shown = textOfPage(coursePage.default, await coursePage.loader(asked({ courseKey: key })));
  expect(shown).toContain("Tides in C");
  expect(shown).toContain("No students yet.");
});

test("labels are added one a line or with commas between; a long one is refused and adds nobody", async () => {
  expect(await act({ intent: "students", labels: "S-01, S-02\n\n S-03 ;" })).toMatchObject({ message: "3 added." });
  expect(await act({ intent: "students", labels: "S-03\nS-04" })).toMatchObject({
    message: "1 added; 1 were in the course already.",
  });
  expect(await act({ intent: "students", labels: `S-05\n${"x".repeat(81)}` })).toMatchObject({
    ...{ status: 422, message: expect.stringContaining("1 to 80 characters") },
  });
  expect(await labels()).toEqual(["S-01", "S-02", "S-03", "S-04"]);
});

test("how a course speaks and decides is kept; words that are none change nothing", async () => {
  const policy = { intent: "policy", wording: "syntax", endless: "runtime", depth: "short" };
  const known = (await findCourse(services.database, courseKey))?.wording ?? "";
  expect(await act({ ...policy, wording: "pirate" })).toMatchObject({ status: 422 });
  expect(await act({ ...policy, wording: known, endless: "sometimes" })).toMatchObject({ status: 400 });
  expect(await act({ ...policy, wording: known, depth: "bottomless" })).toMatchObject({ status: 400 });
  expect((await findCourse(services.database, courseKey))?.endless_class).toBe("logic");
  expect(await act({ ...policy, wording: known })).toMatchObject({ ok: true });
  expect(await findCourse(services.database, courseKey)).toMatchObject({ endless_class: "runtime" });
});

test("an assignment is begun and listed; one without a title is not", async () => {
  expect(await act({ intent: "begin assignment", title: "  " })).toMatchObject({ status: 422 });
  const begun = await act({ intent: "begin assignment", title: " Deck loads " });
  const found = await findFirstAssignment(services.database, courseKey);
  expect(found).toMatchObject({ title: "Deck loads", languages: ["python"], comparison: { prompts: "ignored" } });
  expect(begun.location).toBe(`/assignments/${found?.key}`);
  const shown = textOfPage(coursePage.default, await coursePage.loader(asked({ courseKey })));
  expect(shown).toContain("Deck loads");
  expect(shown).toContain("0 programs, 0 checks, 0 models");
});

test("a course and a student that are not there are said to be not there", async () => {
  for (const page of [
    coursePage.loader(asked({ courseKey: "nothing" })),
    studentPage.loader(asked({ courseKey, studentKey: "nothing" })),
  ])
    await expect(page).rejects.toMatchObject({ init: { status: 404 } });
});

test("a student is renamed everywhere, not to a label that is taken or none; deleting asks for the label", async () => {
  await addStudents(services.database, courseKey, ["T-01", "T-02"]);
  const key = (await listStudents(services.database, courseKey)).find((each) => each.label === "T-01")?.key ?? "";
  const ask = (form: Record<string, string>) =>
    answered(studentPage.action(asked({ courseKey, studentKey: key }, { form })));
  for (const label of ["T-02", " ", "x".repeat(81)])
    expect(await ask({ intent: "rename", label })).toMatchObject({ status: 422, ok: false });
  expect(await ask({ intent: "rename", label: "T-07" })).toMatchObject({ ok: true });
  expect(await ask({ intent: "replace", name: "M", by: "" })).toMatchObject({ status: 422 });
  expect(await ask({ intent: "replace", name: "Merrin", by: "" })).toMatchObject({
    ...{ ok: false, message: expect.stringContaining("stands nowhere") },
  });
  expect(await ask({ intent: "delete", sure: "T-01" })).toMatchObject({
    ...{ status: 422, message: expect.stringContaining("Type the label T-07") },
  });
  expect(await labels()).toContain("T-07");
  expect(await ask({ intent: "delete", sure: " T-07 " })).toMatchObject({ location: `/courses/${courseKey}` });
  expect(await labels()).not.toContain("T-07");
});

test("a course's tables are written in its own style, which goes by a name", async () => {
  const given = {
    ...{ unchanged: "repeated", texts: "plain", truth: "plain", objects: "whole", rows: "change", notation: "counts" },
  };
  const kept = await act({ intent: "table style", name: " Year 9 ", columns: "condition", ...given });
  expect(kept.message).toBe("Tables of this course are written in the style “Year 9”.");
  const { styles } = await coursePage.loader(asked({ courseKey }));
  expect(styles).toEqual([{ name: "Year 9", ...given, columns: ["condition"] }]);
  await act({ intent: "table style", name: "Plain", ...given });
  expect((await act({ intent: "use style", name: "Year 9" })).message).toContain("“Year 9”");
  const data = await coursePage.loader(asked({ courseKey }));
  expect(data.styles.map((style) => style.name)).toEqual(["Year 9", "Plain"]);
  const text = textOfPage(coursePage.default, data, `/courses/${courseKey}`);
  expect(text).toContain("How tables are written");
  expect(text).toContain("Plain");
});

test.each([
  [{ name: "  " }, 422, "A table style needs a name."],
  [{ name: "a", columns: "weather" }, 422, "could not be read"],
  [{ name: "a", unchanged: "sometimes" }, 400, "could not be read: unchanged"],
])("a table style is not kept by %j", async (form, status, message) => {
  const before = await coursePage.loader(asked({ courseKey }));
  const given = {
    ...{ unchanged: "blank", texts: "plain", truth: "plain", objects: "whole", rows: "change", notation: "free" },
  };
  expect(await act({ intent: "table style", ...given, ...form })).toMatchObject({
    ...{ status, message: expect.stringContaining(message) },
  });
  expect(await act({ intent: "use style", name: "of nobody" })).toMatchObject({ status: 422 });
  expect((await coursePage.loader(asked({ courseKey }))).styles).toEqual(before.styles);
});

test("a course has pseudocode in a way of its own; a way that there is not changes nothing", async () => {
  const markup = async () =>
    markupOf(coursePage.default, await coursePage.loader(asked({ courseKey })), `/courses/${courseKey}`);
  expect(await markup()).toContain("Pseudocode in this course");
  expect(await act({ intent: "way", language: "pseudocode", style: "set", checks: "names" })).toMatchObject({
    message: expect.stringContaining("read and run so from now on"),
  });
  expect((await findCourse(services.database, courseKey))?.ways).toEqual({ pseudocode: "set names" });
  expect(await markup()).toMatch(/<option value="set" selected="">/);
  for (const wrong of [
    { language: "pseudocode", style: "runes" },
    { language: "python", style: "set" },
    { language: "klingon", style: "set" },
  ])
    expect(await act({ intent: "way", ...wrong })).toMatchObject({ message: expect.stringContaining("not known") });
  expect((await findCourse(services.database, courseKey))?.ways).toEqual({ pseudocode: "set names" });
});

test("a class list comes in as a file or out of a spreadsheet, and goes out again as CSV", async () => {
  const key = await addCourse(services.database, "Deck hands", "python");
  const press = (form: Record<string, string>) => answered(coursePage.action(asked({ courseKey: key }, { form })));
  expect(await press({ intent: "students", labels: "label\tcode\nD-01\tK7QM2R\nD-02\t\nD-01\t\n" })).toMatchObject({
    message: "2 added. Left out: line 4: D-01 is there twice.",
  });
  expect(await press({ intent: "students", labels: "label,group\n" })).toMatchObject({
    ...{ ok: false, message: "There is no label in this list. Nobody was added." },
  });
  const file = await studentsFile.loader(asked({ courseKey: key }));
  const [head, first] = (await file.text()).split("\r\n");
  expect([head, first]).toEqual(["label,code", "D-01,K7QM2R"]);
  expect((await studentsFile.loader(asked({ courseKey: "none" }))).status).toBe(404);
  const slips = await courseSlips.loader(asked({ courseKey: key }));
  expect(textOfPage(courseSlips.default, slips)).toContain("D-01 Personal code K7QM2R http://192.168.7.20:4200/s");
});

test("a new code, one who leaves and comes back, one who moves; what was handed in stays", async () => {
  const [from, to] = [
    await addCourse(services.database, "Group 1", "python"),
    await addCourse(services.database, "Group 2", "python"),
  ];
  await addStudents(services.database, from, ["M-01", "M-02"]);
  await addStudents(services.database, to, ["M-02"]);
  const [one, two] = await listStudents(services.database, from);
  const press = (key: string | undefined, form: Record<string, string>, courseKey = from) =>
    answered(studentPage.action(asked({ courseKey, studentKey: key ?? "" }, { form })));
  const renewed = await press(one?.key, { intent: "new code" });
  const [after] = await listStudents(services.database, from);
  expect(after?.personal_code).not.toBe(one?.personal_code);
  expect(renewed.message).toContain(after?.personal_code);

  await press(one?.key, { intent: "leave", left: "yes" });
  expect((await listStudents(services.database, from)).map(({ label }) => label)).toEqual(["M-02"]);
  const page = await coursePage.loader(asked({ courseKey: from }));
  expect([page.students.length, page.gone]).toEqual([1, [{ key: one?.key, label: "M-01" }]]);
  expect((await studentPage.loader(asked({ courseKey: from, studentKey: one?.key ?? "" }))).student.left).toBe(true);
  // Whoever is on a new list is in it again, with the code of before.
  await coursePage.action(asked({ courseKey: from }, { form: { intent: "students", labels: "M-01" } }));
  expect((await listStudents(services.database, from))[0]?.personal_code).toBe(after?.personal_code);

  expect(await press(two?.key, { intent: "move", course: to })).toMatchObject({
    ...{ ok: false, message: "A student of that course has the same label. Change one first." },
  });
  expect(await press(one?.key, { intent: "move", course: "none" })).toMatchObject({ ok: false });
  expect(await press(one?.key, { intent: "move", course: to })).toMatchObject({
    location: `/courses/${to}/students/${one?.key}`,
  });
  expect((await listStudents(services.database, to)).map(({ label }) => label)).toEqual(["M-02", "M-01"]);
});
