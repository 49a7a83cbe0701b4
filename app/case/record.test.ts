import { afterAll, beforeAll, expect, test } from "vitest";
import { collectCase, findCase, type WholeCase } from "../../server/cases/caseStore.ts";
import { listExercises } from "../../server/exercises/exerciseStore.ts";
import { openTestServices } from "../../server/testServices.ts";
import { answered, asked, provideServices, textOfPage } from "../askRoute.ts";
import * as make from "../exercise/makePage.tsx";
import * as exercise from "../exercise/page.tsx";
import * as printed from "../print/casePage.tsx";
import * as printedTable from "../print/tablePage.tsx";
import * as page from "./page.tsx";

let services: Awaited<ReturnType<typeof openTestServices>>;
beforeAll(async () => {
  services = await openTestServices();
  provideServices(services);
});
afterAll(() => services.close());

async function collect(language: string, name: string, text: string, more: object = {}): Promise<string> {
  return collectCase(services.database, {
    ...{ language, course: null, student: null, title: "Deck", intent: "", changedLast: "" },
    files: [{ name, bytes: Buffer.from(text) }],
    ...{ input: "", expected: "13\n", symptom: null, ...more },
  });
}
async function whole(key: string): Promise<WholeCase> {
  const found = await findCase(services.database, key, "all");
  if (!found) throw new Error("no case");
  return found;
}
const act = async (caseKey: string, form: Record<string, string>) => {
  const revision = String((await whole(caseKey)).revision);
  return answered(page.action(asked({ caseKey }, { form: { revision, ...form } })));
};
const view = (caseKey: string, leaf: string) => page.loader(asked({ caseKey }, { path: `/?leaf=${leaf}` }));
const onPaper = async (caseKey: string) => textOfPage(printed.default, await printed.loader(asked({ caseKey })));

test("what should come out leaves a trace when it is changed after a run had shown what does", async () => {
  const caseKey = await collect("python", "deck.py", "print(4 + 8)\n");
  const [check] = (await view(caseKey, "checks")).checks;
  expect([check?.passes, check?.former]).toEqual([false, []]);
  const fields = { intent: "check", key: check?.key ?? "", input: "", kind: "normal" };
  expect(await act(caseKey, { ...fields, expected: "12\n" })).toMatchObject({ ok: true });
  expect(await act(caseKey, { ...fields, expected: "12\n", input: "9\n" })).toMatchObject({ ok: true });
  const [changed] = (await view(caseKey, "checks")).checks;
  // A changed input is none of it.
  expect(changed?.former).toEqual([{ expected: "13\n", at: expect.any(String), who: expect.any(String) }]);
});

test("a fault has words, a place outside its lines and the reason; paper and versions hold all of it", async () => {
  const caseKey = await collect("python", "deck.py", "deck = 4\nprint(deck + 8)\n", {
    ...{ userActions: ["pressed “Load”"], actual: "12\n", source: "Group 2, May" },
  });
  await act(caseKey, { intent: "decide", class: "syntax", kind: "", reason: "the key of the paper says so" });
  const words = {
    intent: "describe fault",
    layer: "",
    place: "outside",
    explanation: "The load of the day is missing.",
  };
  expect(await act(caseKey, { ...words, placeReason: "" })).toMatchObject({
    ...{ status: 422, message: expect.stringContaining("needs a reason") },
  });
  expect(await act(caseKey, { ...words, placeReason: "it comes from loads.txt" })).toMatchObject({ ok: true });
  expect(await act(caseKey, { ...words, place: "nowhere", placeReason: "x" })).toMatchObject({ status: 400 });
  await act(caseKey, { intent: "mend", text: "deck = 5\nprint(deck + 8)\n" });

  const versions = (await view(caseKey, "versions")).versions;
  expect(versions.map((version) => version.output?.stoppedBy)).toEqual(["none", "none"]);
  expect(JSON.stringify(versions[0]?.output?.console)).toContain("12");
  expect(JSON.stringify(versions[1]?.output?.console)).toContain("13");

  const paper = await onPaper(caseKey);
  for (const part of [
    ...["from Group 2, May", "pressed “Load”", "What came out, by the word of who handed it in 12"],
    ...["The load of the day is missing.", "The fault lies outside of the program.", "Why: it comes from loads.txt"],
    ...[
      "The evidence suggested logic error; decided otherwise: the key of the paper says so",
      "as handed in nothing 13",
    ],
    "Verified: all checks pass on version 2",
  ])
    expect(paper).toContain(part);
});

test("steps in words have a table by hand: refused with its row, printed blank, and the key of a trace task", async () => {
  const caseKey = await collect("steps", "steps.txt", "boats = 3\ntrips = 0\ntrips = trips + 1\nshow trips\n");
  expect(await act(caseKey, { intent: "hand table", table: "line; boats\nx; 3" })).toMatchObject({
    ...{ status: 422, message: expect.stringContaining("Row 1 does not begin") },
  });
  const table = "line; boats; trips; output\n1; 3\n2; ; 0\n3; ; 1\n4; ; ; 1\n";
  expect(await act(caseKey, { intent: "hand table", table })).toMatchObject({ ok: true });
  expect(await printedTable.loader(asked({ caseKey }))).toMatchObject({
    ...{ count: 4, columns: [{ title: "boats" }, { title: "trips" }] },
  });
  const form = { intent: "make", title: "Trips", intro: "", "with trace": "on", "marks trace": "4" };
  expect(await make.action(asked({ caseKey }, { form }))).toBeInstanceOf(Response);
  const exerciseKey = (await listExercises(services.database))[0]?.key ?? "";
  const [task] = (await exercise.loader(asked({ exerciseKey }))).tasks;
  expect(task).toMatchObject({
    ...{ kind: "trace", marks: 4 },
    ownKey: { columns: [{ key: "boats" }, { key: "trips" }], given: ["0 boats"] },
  });
  expect(task?.ownKey).toMatchObject({
    rows: [{ cells: { boats: "3" } }, { cells: { trips: "0" } }, { cells: { trips: "1" } }, { cells: { output: "1" } }],
  });
});

test("a fragment is only read: nothing runs, and its lines keep their numbers", async () => {
  const caseKey = await collect("python", "deck.py", "    if deck > 4:\n    print(deck)\n", { firstLine: 37 });
  const shown = await view(caseKey, "checks");
  expect([shown.onlyRead, shown.firstLine, shown.verdict.class, shown.textState]).toEqual([true, 37, null, null]);
  expect(shown.notRun).toContain("only read");
  expect(
    await act(caseKey, {
      ...{ intent: "describe", title: "Deck", purpose: "", student: "", language: "python", source: "" },
      userActions: "",
    }),
  ).toMatchObject({ ok: true });
  expect((await view(caseKey, "checks")).verdict.class).toBe("syntax");
});

test("the record and the paper tell what was tried and not kept, with what was believed and what became of it", async () => {
  const caseKey = await collect("python", "deck.py", "total = 12\nprint(total)\n");
  expect(
    await act(caseKey, { intent: "mend", text: "total = 12\nprint(total + 2)\n", belief: "two cars are missing" }),
  ).toMatchObject({ ok: false });
  const probes = JSON.stringify([{ kind: "set", line: 1, name: "total", value: "13" }]);
  expect(await act(caseKey, { intent: "narrow", check: "", probes, belief: "the sum starts too low" })).toMatchObject({
    ok: true,
  });
  expect(await act(caseKey, { intent: "mend", text: "total = 13\nprint(total)\n", belief: "" })).toMatchObject({
    ok: true,
  });
  const shown = await view(caseKey, "versions");
  expect(shown.versions.map((version) => [version.aside, version.belief, version.became])).toEqual([
    [false, "", null],
    [true, "two cars are missing", "the fault still showed"],
    [false, "", "all checks passed"],
  ]);
  expect(shown.tries[0]).toMatchObject({ belief: "the sum starts too low", passes: true });
  for (const text of [
    await textOfPage(page.default, shown, `/cases/${caseKey}?leaf=versions`),
    await onPaper(caseKey),
  ]) {
    expect(text).toContain("Tried as well, and not kept");
    expect(text).toContain("the fault still showed. Believed: two cars are missing");
    expect(text).toContain("total set to 13 at line 1: the result was as intended Believed: the sum starts too low");
  }
});
