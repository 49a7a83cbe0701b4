import { afterAll, beforeAll, expect, test } from "vitest";
import { collectCase, findCase } from "../../server/cases/caseStore.ts";
import { decideClass } from "../../server/judge/decisions.ts";
import { tryFix } from "../../server/mend/tryFix.ts";
import { addCourse, addStudents, listStudents } from "../../server/people/courseStore.ts";
import { byTeacher, openTestServices } from "../../server/testServices.ts";
import { answered, asked, provideServices, textOfPage } from "../askRoute.ts";
import * as casePage from "../case/page.tsx";
import * as coursePage from "../courses/coursePage.tsx";
import * as digest from "../courses/digestPage.tsx";
import * as names from "../patterns/namesFile.ts";
import * as ownPattern from "../patterns/ownPage.tsx";
import * as patternList from "../patterns/page.tsx";
import * as pattern from "../patterns/patternPage.tsx";
import * as glossary from "../print/glossaryPage.tsx";
import * as languageSheet from "../print/languagePage.tsx";
import * as lesson from "../print/lessonPage.tsx";
import * as card from "../print/patternPage.tsx";
import * as answerFile from "./answerFile.ts";
import * as exportFile from "./exportFile.ts";
import * as importCall from "./importCall.ts";
import * as casebook from "./page.tsx";
import * as questionsPage from "./questionsPage.tsx";
import * as seenCall from "./seenCall.ts";
import * as seenPage from "./seenPage.tsx";

let services: Awaited<ReturnType<typeof openTestServices>>;
let course = "";
let caseKey = "";

beforeAll(async () => {
  services = await openTestServices();
  provideServices(services);
  const { database } = services;
  course = await addCourse(database, "Kittiwake Crossing", "python");
  await addStudents(database, course, ["S-01"]);
  const [student] = await listStudents(database, course);
  caseKey = await collectCase(database, {
    ...{ language: "python", course, student: student?.key ?? null, title: "Deck loads", intent: "", changedLast: "" },
    files: [{ name: "deck.py", bytes: Buffer.from("load = 3\nprint(laod)\n") }],
    ...{ input: "", expected: "3\n", symptom: null, collectedAt: "2026-09-15T09:00:00Z" },
  });
  let found = await findCase(database, caseKey);
  if (!found) throw new Error("no case");
  await decideClass(services, found, byTeacher(found), { class: "runtime", kind: null, reason: "" });
  found = await findCase(database, caseKey, "all");
  if (found) await tryFix(services, found, byTeacher(found), "load = 3\nprint(load)\n", false);
});
afterAll(() => services.close());

test("a question's page has its table, what is narrowed stays, and its CSV says the same", async () => {
  const path = `/casebook/questions?ask=kinds&course=${course}`;
  const text = textOfPage(questionsPage.default, await questionsPage.loader(asked({}, { path })));
  expect(text).toContain("A name of one&#x27;s own misspelt");
  expect(text).toContain("Is it getting better?");
  const csv = await (await answerFile.loader(asked({}, { path }))).text();
  expect(csv.split("\r\n").slice(0, 2)).toEqual([
    "kind of mistake,faults,share,students,confirmed",
    "A name of one's own misspelt,1,100 %,1,0",
  ]);
  expect((await answerFile.loader(asked({}, { path: "/?ask=banana" }))).status).toBe(404);
  const none = await questionsPage.loader(asked({}, { path: `/?ask=banana&course=${course}&pattern=zero-divisor` }));
  expect(textOfPage(questionsPage.default, none)).toContain("Nothing is known of this yet");
});

test("the Casebook is narrowed by whatever is recorded; what is no choice narrows nothing", async () => {
  const listed = async (query: string) => (await casebook.loader(asked({}, { path: `/casebook?${query}` }))).total;
  expect(await listed("")).toBe(1);
  expect(
    await listed("pattern=own-name-misspelt&class=runtime&state=verified&distance=same&moment=on+reaching+the+line"),
  ).toBe(1);
  for (const query of [
    "pattern=zero-divisor",
    "class=logic",
    "state=open",
    "distance=far",
    "since=2026-09-16",
    "until=2026-09-14",
    "advice=misleads",
    "cause=syntax",
  ])
    expect(await listed(query), query).toBe(0);
  expect(await listed("state=banana&distance=banana&since=tomorrow&moment=never")).toBe(1);
  expect(await listed("text=execution+error")).toBe(1);
  expect(await listed("text=logical+error")).toBe(0);
  expect(await listed("text=misspelt")).toBe(1);
});

const traceback =
  "Traceback (most recent call last):\n  File \"a.py\", line 1, in <module>\nNameError: name 'frae' is not defined\n";

test("a pasted message is looked for on the page and by a call; a text without one is refused in words", async () => {
  const found = await seenPage.action(asked({}, { form: { output: traceback, language: "" } }));
  expect(found.found?.seen.map(({ title }) => title)).toEqual(["Deck loads"]);
  const called = await seenCall.action(asked({}, { form: { output: traceback } }));
  expect(await called.json()).toMatchObject({
    language: "python",
    seen: [{ title: "Deck loads", fix: [{ start: 2 }] }],
  });
  const nothing = await seenCall.action(asked({}, { form: { output: "All is well." } }));
  expect([nothing.status, await nothing.json()]).toEqual([422, { error: "no tool's message is in this output" }]);
});

test("the catalogue is found by words and language; a kind's page has its examples, its card and one's own cases without labels", async () => {
  const list = await patternList.loader(asked({}, { path: "/patterns?words=misspelt+own&language=octave" }));
  expect(list.shipped.map(({ id }) => id)).toEqual(["own-name-misspelt"]);
  const page = textOfPage(pattern.default, await pattern.loader(asked({ patternId: "own-name-misspelt" })));
  for (const words of ["The same mistake, 10 languages", "Deck loads", "Print the card"]) expect(page).toContain(words);
  expect(page).not.toContain("S-01");
  await expect(pattern.loader(asked({ patternId: "banana" }))).rejects.toMatchObject({ init: { status: 404 } });
  expect(textOfPage(card.default, await card.loader(asked({ patternId: "colon-missing" }, { path: "/" })))).toContain(
    "with the slip",
  );
});

test("the kinds that can be chosen are those of one's own and those that ship, by name", async () => {
  const { choices } = await names.loader(asked({}));
  expect(choices.length).toBeGreaterThanOrEqual(107);
  expect(choices.find(({ id }) => id === "zero-divisor")).toEqual({
    id: "zero-divisor",
    name: "A divisor that becomes zero",
    own: false,
  });
});

test("an exercise begins with an example that was mended by a real run, and the case is of its kind", async () => {
  const answer = await pattern.action(asked({ patternId: "limit-off-by-one" }, { form: { example: "0" } }));
  const key =
    answer instanceof Response ? (/cases\/(\w+)\/exercise/.exec(answer.headers.get("location") ?? "")?.[1] ?? "") : "";
  const made = await findCase(services.database, key);
  expect(made?.verified_at).not.toBeNull();
  expect(made?.layers[0]).toMatchObject({ pattern: "limit-off-by-one" });
  // The evidence says so as well, by the change that mends it: nobody had looked for one.
  expect(made?.kinds.found[made.layers[0]?.version_before ?? ""]?.[0]?.id).toBe("limit-off-by-one");
});

test("a kind of one's own is kept by its example's run, suggested where its change mends a program, and goes away without being lost", async () => {
  const form = {
    name: "Fare of yesterday",
    says: "",
    mends: "",
    language: "python",
    right: "fare = 9\nprint(fare)\n",
    faulty: "fare = 8\nprint(fare)\n",
    input: "",
  };
  const kept = await ownPattern.action(asked({}, { form }));
  const key = kept instanceof Response ? (/own\/(\w+)/.exec(kept.headers.get("location") ?? "")?.[1] ?? "") : "";
  const loaded = await ownPattern.loader(asked({ ownKey: key }));
  expect(loaded.found?.recorded).toMatchObject({ class: "logic", intended: "9\n", printed: "8\n", faultyLine: 1 });
  const broken = await ownPattern.action(asked({ ownKey: key }, { form: { ...form, faulty: form.right } }));
  expect(broken).toMatchObject({ problem: expect.stringContaining("does the same as the right one") });
  expect(await ownPattern.action(asked({ ownKey: key }, { form: { intent: "exercise" } }))).toMatchObject({
    problem: expect.stringContaining("an example that runs"),
  });
  expect(await ownPattern.action(asked({}, { form: { ...form, name: " " } }))).toMatchObject({
    problem: expect.stringContaining("a name"),
  });
  const revision = (await findCase(services.database, caseKey))?.revision ?? 0;
  const layer = (await findCase(services.database, caseKey))?.layers[0]?.key ?? "";
  const say = (pattern: string, at: number) =>
    answered(
      casePage.action(asked({ caseKey }, { form: { intent: "pattern", layer, pattern, revision: String(at) } })),
    );
  expect(await say("own/banana", revision)).toMatchObject({ ok: false, status: 422 });
  expect(await say(`own/${key}`, revision)).toMatchObject({ ok: true });
  await ownPattern.action(asked({ ownKey: key }, { form: { intent: "away" } }));
  expect((await findCase(services.database, caseKey))?.layers[0]?.pattern).toBe(`own/${key}`);
  expect(await say("", revision + 1)).toMatchObject({ ok: true });
});

test("a case's leaves have what was seen before, and what can be looked up", async () => {
  expect((await casePage.loader(asked({ caseKey }, { path: "/?leaf=seen" }))).seen).toEqual([]);
  const view = await casePage.loader(asked({ caseKey }, { path: "/?leaf=card" }));
  expect(view.card?.stages.map(({ passed }) => passed)).toEqual([true, true, true, true]);
  expect(view.card?.routines.used.map(({ name }) => name)).toEqual(["print"]);
  expect(view.card?.answers[0]?.answer).toMatch(/^No: the whole text was accepted/);
});

test("a week of a course, and a lesson page of its mistakes, name no student among examples", async () => {
  const week = await digest.loader(asked({ courseKey: course }, { path: "/" }));
  expect(week.digest).toMatchObject({ week: "2026-09-14", programs: 1, faults: 1, before: null });
  expect(textOfPage(digest.default, week)).toContain("The mistake of this class");
  const page = textOfPage(
    lesson.default,
    await lesson.loader(asked({}, { path: `/print/lesson?course=${course}&pattern=own-name-misspelt` })),
  );
  expect(page).toContain("What we learn from: Kittiwake Crossing");
  expect(page).not.toContain("S-01");
  const empty = await addCourse(services.database, "Nobody yet", "python");
  expect(textOfPage(digest.default, await digest.loader(asked({ courseKey: empty }, { path: "/" })))).toContain(
    "No programs yet",
  );
});

test("a course's own words are kept, shown where a class is named, and never stored as one", async () => {
  const form = { intent: "choices", "term runtime": "crash", "choice messages": "one", "choice line": "at or above" };
  expect(await answered(coursePage.action(asked({ courseKey: course }, { form })))).toMatchObject({ ok: true });
  const view = await casePage.loader(asked({ caseKey }, { path: "/?leaf=messages" }));
  expect(view.wording).toContain('"runtime":"crash"');
  expect(view.layers[0]?.class).toBe("runtime");
  expect(
    textOfPage(casebook.default, await casebook.loader(asked({}, { path: `/casebook?course=${course}` }))),
  ).toContain("crash");
  await answered(
    coursePage.action(
      asked(
        { courseKey: course },
        { form: { intent: "policy", wording: "syntactic", endless: "logic", depth: "full" } },
      ),
    ),
  );
  const now = await casePage.loader(asked({ caseKey }, { path: "/" }));
  expect(JSON.parse(now.wording)).toMatchObject({ base: "syntactic", terms: { runtime: "crash" } });
});

test("a course's words and a language are printed on a page each", async () => {
  const words = textOfPage(glossary.default, await glossary.loader(asked({ courseKey: course })));
  expect(words).toContain("the program stops while it runs");
  expect(words).toContain("crash");
  const page = textOfPage(languageSheet.default, languageSheet.loader(asked({ languageId: "python" })));
  for (const said of ["when their line is reached", "range(begin, end, step)", "letter case", "counts"])
    expect(page).toContain(said);
  await expect(glossary.loader(asked({ courseKey: "banana" }))).rejects.toMatchObject({ init: { status: 404 } });
});

test("cases go out in each format, and what is no bundle is refused for a program in words", async () => {
  const file = await exportFile.loader(asked({ format: "csv" }, { path: "/?course=Kittiwake+Crossing&names=yes" }));
  expect(await file.text()).toContain("S-01");
  expect((await exportFile.loader(asked({ format: "banana" }, { path: "/" }))).status).toBe(404);
  const refused = await importCall.action(asked({}, { form: { course: "" } }));
  expect([refused.status, await refused.json()]).toEqual([400, { error: "no bundle was given" }]);
});
