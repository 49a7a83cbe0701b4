import { afterAll, beforeAll, expect, test } from "vitest";
import { findAssignment, insertAssignment, setHandIn } from "../../server/assignments/assignmentStore.ts";
import { listAssignmentChecks } from "../../server/assignments/checkStore.ts";
import { collectCase } from "../../server/cases/caseStore.ts";
import { addCourse } from "../../server/people/courseStore.ts";
import { openTestServices } from "../../server/testServices.ts";
import { answered, asked, markupOf, provideServices, textOfPage } from "../askRoute.ts";
import * as casePage from "../case/page.tsx";
import * as coursePage from "../courses/coursePage.tsx";
import * as handInPage from "../handIn/page.tsx";
import * as printed from "../print/overviewPage.tsx";
import * as exported from "./exportFile.ts";
import * as csv from "./overviewFile.ts";
import * as overviewPage from "./overviewPage.tsx";
import * as page from "./page.tsx";
import * as schema from "./schemaFile.ts";

const model =
  'age = int(input("How old are you? "))\nif age < 15:\n    print("Child fare 6")\nelse:\n    print("Adult fare 12")\n';

let services: Awaited<ReturnType<typeof openTestServices>>;
let courseKey = "";
beforeAll(async () => {
  services = await openTestServices();
  provideServices(services);
  courseKey = await addCourse(services.database, "Kittiwake Crossing", "python");
});
afterAll(() => services.close());

const begin = () => insertAssignment(services.database.query, courseKey, { title: "Fares", languages: ["python"] });
const view = (assignmentKey: string, path = "/") => page.loader(asked({ assignmentKey }, { path }));
const checksOf = (key: string) => listAssignmentChecks(services.database, key);
async function act(assignmentKey: string, form: Record<string, string | readonly string[]>) {
  const revision = String((await findAssignment(services.database, assignmentKey))?.revision ?? 0);
  return answered(page.action(asked({ assignmentKey }, { form: { revision, ...form } })));
}
const rules = { prompts: "", blanks: "", letterCase: "", numbers: "", within: "", order: "", otherLines: "" };
const check = { intent: "check", key: "", name: "", purpose: "", input: "", expected: "", kind: "normal", ...rules };
const shown = async (assignmentKey: string) => textOfPage(page.default, await view(assignmentKey));
const program = (assignment: string, text: string) =>
  collectCase(services.database, {
    ...{ language: "python", course: courseKey, assignment, student: null, title: "fare.py", intent: "" },
    files: [{ name: "fare.py", bytes: Buffer.from(text) }],
    ...{ changedLast: "", input: "", symptom: null },
  });

test("an empty assignment says what it is for and what comes first", async () => {
  const key = await begin();
  const text = await shown(key);
  expect(text).toContain("No checks yet.");
  expect(text).toContain("A model does what is asked.");
  await expect(view("nothing")).rejects.toMatchObject({ init: { status: 404 } });
  const overview = textOfPage(overviewPage.default, await overviewPage.loader(asked({ assignmentKey: key })));
  expect(overview).toContain("No programs yet.");
});

test("title, statement, languages and rules are kept; what cannot be kept changes nothing", async () => {
  const key = await begin();
  const about = {
    intent: "about",
    title: " Fares of a family ",
    statement: "Ask for ages.",
    languages: ["python", "x"],
    ...rules,
  };
  expect(await act(key, { ...about, title: " " })).toMatchObject({ status: 422 });
  expect(await act(key, { ...about, numbers: "near", within: "much" })).toMatchObject({
    ...{ status: 422, message: expect.stringContaining("such as 0.01") },
  });
  expect(await act(key, { ...about, order: "sideways" })).toMatchObject({ status: 400 });
  expect(await act(key, { ...about, revision: "0" })).toMatchObject({
    ...{ status: 409, both: { yours: "Ask for ages.", theirs: "" } },
  });
  expect(await findAssignment(services.database, key)).toMatchObject({ title: "Fares", statement: "" });
  const kept = { prompts: "ignored", numbers: "near", within: "0,5", order: "free" };
  expect(await act(key, { ...about, ...kept })).toMatchObject({
    ok: true,
    message: expect.stringContaining("judged anew"),
  });
  expect(await findAssignment(services.database, key)).toMatchObject({
    ...{ title: "Fares of a family", statement: "Ask for ages.", languages: ["python"] },
    comparison: { prompts: "ignored", numbers: 0.5, order: "free" },
  });
  expect(await shown(key)).toContain("Numbers may differ by 0.5 at most");
});

test("a model is run, what is typed in is guessed, inputs are taken and confirmed", async () => {
  const key = await begin();
  expect(await act(key, { intent: "add model", language: "klingon", name: "", text: model })).toMatchObject({
    status: 422,
  });
  expect(await act(key, { intent: "add model", language: "python", name: "a/b.py", text: model })).toMatchObject({
    status: 422,
  });
  expect(await act(key, { intent: "add model", language: "python", name: "fare.py", text: " " })).toMatchObject({
    status: 422,
  });
  expect(await act(key, { intent: "add model", language: "python", name: "fare.py", text: model })).toMatchObject({
    ok: true,
  });
  expect((await view(key)).shape).toMatchObject([{ name: "age", kind: "whole", repeat: "1" }]);
  expect(await act(key, { intent: "propose", chosen: "yes" })).toMatchObject({
    status: 422,
    message: "None is ticked.",
  });
  const ticked = { intent: "propose", chosen: "yes", input: ["14\n", "15\n", "seven\n"] };
  expect(await act(key, ticked)).toMatchObject({ ok: true, message: expect.stringContaining("2 added") });
  expect(await act(key, { intent: "propose" })).toMatchObject({ ok: true });
  const before = await checksOf(key);
  expect(before.every((each) => !each.confirmed)).toBe(true);
  expect(await shown(key)).toContain("it judges nothing before you confirm it");
  expect(await act(key, { intent: "confirm", key: before.map((each) => each.key) })).toMatchObject({ ok: true });
  expect((await checksOf(key)).every((each) => each.confirmed)).toBe(true);
  expect(await shown(key)).toContain(`Proven: it passes all ${before.length} checks.`);
});

test("a check is written by hand, changed with a trace, and taken away; bad ones are refused with words", async () => {
  const key = await begin();
  expect(await act(key, { ...check, input: "14\n" })).toMatchObject({
    status: 422,
    message: expect.stringContaining("add a model"),
  });
  expect(await act(key, { ...check, expected: "a\0b" })).toMatchObject({
    status: 422,
    message: expect.stringContaining("No program here can give"),
  });
  expect(await act(key, { ...check, expected: "x", fileName: ["../x"], fileText: ["1"] })).toMatchObject({
    status: 422,
  });
  expect(await act(key, { ...check, expected: "x", kind: "odd" })).toMatchObject({ status: 400 });
  expect(await checksOf(key)).toEqual([]);
  const own = {
    name: "a\u0001child",
    purpose: "below 15",
    input: "14\n",
    expected: "Child fare 6\n",
    visible: "on",
    numbers: "exact",
  };
  expect(await act(key, { ...check, ...own })).toMatchObject({ ok: true });
  const [kept] = await checksOf(key);
  expect(kept).toMatchObject({ name: "a child", visible: true, confirmed: true, comparison: { numbers: null } });
  const beside = { fileName: ["ages.txt", "gone.txt"], fileText: ["14\n", ""], fileAbsent: ["1"] };
  const changed = { ...check, ...own, ...beside, key: kept?.key ?? "", expected: "Child fare 7\n" };
  expect(await act(key, changed)).toMatchObject({ ok: true });
  expect((await checksOf(key))[0]?.surroundings).toEqual({ "ages.txt": "14\n", "gone.txt": null });
  const text = await shown(key);
  expect(text).toContain("Before: “Child fare 6”");
  expect(text).toContain("Compared by rules of its own.");
  expect(await act(key, { intent: "remove check", key: "gone" })).toMatchObject({ status: 422 });
  expect(await act(key, { intent: "remove check", key: kept?.key ?? "" })).toMatchObject({ ok: true });
  expect(await checksOf(key)).toEqual([]);
});

test("checks stand in the teacher's order: the first that fails decides the class", async () => {
  const key = await begin();
  await act(key, { ...check, name: "letters", input: "seven\n", expected: "not a number\n", kind: "erroneous" });
  await act(key, { ...check, name: "fifteen", input: "15\n", expected: "Adult fare 12\n" });
  const caseKey = await program(key, model.replace("< 15", "<= 15"));
  await act(key, { intent: "judge" });
  const classOf = async () => {
    await services.queue.settled();
    const loaded = await overviewPage.loader(asked({ assignmentKey: key }));
    return loaded.programs.find((each) => each.key === caseKey)?.class;
  };
  expect(await classOf()).toBe("runtime");
  const [letters, fifteen] = await checksOf(key);
  const move = (checkKey: string | undefined, by: string) =>
    act(key, { intent: "move check", key: checkKey ?? "", by });
  expect(await move(fifteen?.key, "sideways")).toMatchObject({ status: 400 });
  expect(await move("gone", "up")).toMatchObject({ status: 422 });
  expect(await move(fifteen?.key, "up")).toMatchObject({ ok: true });
  expect((await checksOf(key)).map((each) => each.name)).toEqual(["fifteen", "letters"]);
  expect(await classOf()).toBe("logic");
  // At the top there is no further up; nothing is lost.
  expect(await move(fifteen?.key, "up")).toMatchObject({ ok: true });
  expect(await move(letters?.key, "up")).toMatchObject({ ok: true });
  expect((await checksOf(key)).map((each) => each.name)).toEqual(["letters", "fifteen"]);
});

test("what is typed in is corrected row by row; what does not fit together is named", async () => {
  const key = await begin();
  const rows = (change: Record<string, readonly string[]> = {}) => ({
    ...{
      intent: "shape",
      valueName: ["count", "age", ""],
      valueKind: ["whole", "whole", "whole"],
      from: ["0", "0", ""],
    },
    ...{ to: ["9", "120", ""], choices: ["", "", ""], repeat: ["1", "count", "1"], ...change },
  });
  expect(await act(key, rows({ repeat: ["1", "children", "1"] }))).toMatchObject({
    status: 422,
    message: expect.stringContaining("“children”"),
  });
  expect(await act(key, rows({ from: ["10", "0", ""] }))).toMatchObject({
    status: 422,
    message: expect.stringContaining("wrong way round"),
  });
  expect(await act(key, rows({ from: ["few", "0", ""] }))).toMatchObject({
    status: 422,
    message: expect.stringContaining("no number"),
  });
  expect(await act(key, rows({ valueKind: ["choice", "whole", "whole"] }))).toMatchObject({
    status: 422,
    message: expect.stringContaining("choice of nothing"),
  });
  expect(await act(key, rows())).toMatchObject({ ok: true });
  expect((await view(key)).shape).toHaveLength(2);
  expect((await view(key)).proposals.map((each) => each.purpose)).toContain("a repeat of none");
  // Without a model nothing works the outputs out.
  expect(await act(key, { intent: "propose" })).toMatchObject({
    status: 422,
    message: expect.stringContaining("A model"),
  });
  expect(await act(key, { intent: "guess shape" })).toMatchObject({ ok: false });
});

test("the overview, a pressed cell, paper, values with commas, and the case with the assignment's checks", async () => {
  const key = await begin();
  await act(key, { ...check, name: "child", input: "14\n", expected: "Child fare 6\n" });
  await act(key, { ...check, name: "fifteen", input: "15\n", expected: "Adult fare 12\n" });
  const right = await program(key, model);
  const wrong = await program(key, model.replace("< 15", "<= 15"));
  await act(key, { intent: "judge" });
  await services.queue.settled();
  const [child, fifteen] = await checksOf(key);
  const at = (query: string) => overviewPage.loader(asked({ assignmentKey: key }, { path: `/${query}` }));
  const overview = await at("");
  expect(overview.programs.map((each) => [each.key, each.class, each.letters])).toEqual(
    expect.arrayContaining([
      [right, null, "pp"],
      [wrong, "logic", "pl"],
    ]),
  );
  const text = textOfPage(overviewPage.default, overview);
  expect(text).toContain("2 programs: 1 logic, 1 no fault shown");
  const pressed = await at(`?program=${wrong}&check=${fifteen?.key}`);
  expect(pressed.pressed?.difference).toMatchObject({ actual: "Child fare 6", intended: "Adult fare 12" });
  expect(textOfPage(overviewPage.default, pressed)).toContain("intended is Adult fare 12");
  expect((await at(`?program=gone&check=${child?.key}`)).pressed).toBeNull();
  expect((await at(`?program=${wrong}&check=gone`)).pressed).toBeNull();
  const values = await (await csv.loader(asked({ assignmentKey: key }))).text();
  expect(values).toContain("fare.py,fare.py,logic,,1,2,passes,logic (line 1)");
  expect((await csv.loader(asked({ assignmentKey: "gone" }))).status).toBe(404);
  const paper = textOfPage(printed.default, await printed.loader(asked({ assignmentKey: key })));
  expect(paper).toContain("another result");
  const leaf = textOfPage(casePage.default, await casePage.loader(asked({ caseKey: wrong })));
  expect(leaf).toContain("In the check “fifteen” of its assignment:");
  expect(leaf).toContain("2 checks come from the assignment Fares");
  expect(leaf).toContain("judges nothing: nobody said what was typed in");
});

test("a case is moved to an assignment of its course and out of it; to another course's not", async () => {
  const key = await begin();
  await act(key, { ...check, name: "child", input: "14\n", expected: "Child fare 6\n" });
  const caseKey = await program(await begin(), model);
  const move = async (assignment: string) => {
    const { revision } = await casePage.loader(asked({ caseKey }));
    const form = { intent: "assignment", assignment, revision: String(revision) };
    return answered(casePage.action(asked({ caseKey }, { form })));
  };
  const foreign = await insertAssignment(
    services.database.query,
    await addCourse(services.database, "Tern Line", "c"),
    { title: "Tides" },
  );
  expect(await move(foreign)).toMatchObject({ status: 422 });
  expect(await move(key)).toMatchObject({ ok: true });
  expect((await casePage.loader(asked({ caseKey }))).checks.map((each) => each.name)).toEqual(["child", ""]);
  expect(await move("")).toMatchObject({ ok: true });
  expect((await casePage.loader(asked({ caseKey }))).checks).toHaveLength(1);
});

test("a file that was saved is taken in again as it was; one that cannot be read is told, and nothing is made", async () => {
  const key = await begin();
  await act(key, { intent: "add model", language: "python", name: "fare.py", text: model });
  await act(key, {
    ...check,
    name: "child",
    purpose: "below",
    input: "14\n",
    expected: "Child fare 6\n",
    letterCase: "ignored",
  });
  await act(key, { ...check, name: "worked out", input: "20\n" });
  const file = await (await exported.loader(asked({ assignmentKey: key, file: "assignment.json" }))).text();
  const take = async (text: string, name = "assignment.json") => {
    const body = new FormData();
    body.append("intent", "take assignment");
    body.append("file", new File([text], name));
    const given = asked({ courseKey });
    return answered(
      coursePage.action({ ...given, request: new Request("http://127.0.0.1:4200/", { method: "POST", body }) }),
    );
  };
  const taken = await take(file);
  const again = taken.location?.split("/").at(-1) ?? "";
  expect(again).not.toBe(key);
  expect(await (await exported.loader(asked({ assignmentKey: again, file: "assignment.json" }))).text()).toBe(file);
  const known = await take(JSON.stringify({ ...JSON.parse(file), colour: "blue" }));
  expect(known.location).toContain("left=colour");
  expect(textOfPage(page.default, await view(again, "/?left=colour"))).toContain("left out: colour");
  expect(await take(JSON.stringify({ ...JSON.parse(file), version: 9 }))).toMatchObject({
    status: 422,
    message: expect.stringContaining("version 9"),
  });
  expect(await take("hello", "readme.txt")).toMatchObject({ status: 422, message: expect.stringContaining("NAME.in") });
  const zip = await exported.loader(asked({ assignmentKey: key, file: "checks.zip" }));
  expect(new Uint8Array(await zip.arrayBuffer()).slice(0, 2)).toEqual(new Uint8Array([0x50, 0x4b]));
  expect((await exported.loader(asked({ assignmentKey: key, file: "../secret" }))).status).toBe(404);
  expect(await schema.loader().json()).toMatchObject({ title: "An assignment of Bent Nail" });
});

test("students see statement, starter and visible checks; models and hidden checks never", async () => {
  const key = await begin();
  await act(key, { intent: "about", title: "Fares", statement: "Ask for the age.", languages: ["python"], ...rules });
  await act(key, { intent: "starter", name: "fare.py", text: "# begin here\n" });
  await act(key, { intent: "add model", language: "python", name: "fare.py", text: `${model}# modelword\n` });
  await act(key, { ...check, name: "shown", input: "14\n", expected: "Child fare 6\n", visible: "on" });
  await act(key, {
    ...check,
    name: "hiddenname",
    purpose: "hiddenpurpose",
    input: "77\n",
    expected: "Adult fare 12\n",
  });
  await act(key, { ...check, name: "proposed", input: "21\n", visible: "on" });
  await setHandIn(services.database, key, true);
  const code = (await findAssignment(services.database, key))?.hand_in_code ?? "";
  const loaded = await handInPage.loader(asked({ code }));
  const markup = markupOf(handInPage.default, loaded);
  expect(markup).toContain("Ask for the age.");
  expect(markup).toContain("# begin here");
  expect(markup).toContain("Child fare 6");
  for (const secret of ["modelword", "hiddenname", "hiddenpurpose", "Adult fare 12", "77", "proposed"])
    expect(JSON.stringify(loaded) + markup).not.toContain(secret);
  expect(await act(key, { intent: "starter", name: "../x", text: "y" })).toMatchObject({ status: 422 });
  expect(await act(key, { intent: "starter", name: "", text: "" })).toMatchObject({ ok: true });
  expect(await act(key, { intent: "hand-in" })).toMatchObject({ ok: true });
  expect(await handInPage.loader(asked({ code }))).toMatchObject({ open: false });
});
