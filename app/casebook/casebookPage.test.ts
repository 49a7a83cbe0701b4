import { afterAll, beforeAll, expect, test } from "vitest";
import { collectCase, findCase } from "../../server/cases/caseStore.ts";
import { addCourse } from "../../server/people/courseStore.ts";
import { openTestServices } from "../../server/testServices.ts";
import { answered, asked, markupOf, provideServices, textOfPage } from "../askRoute.ts";
import * as casebook from "./page.tsx";

let services: Awaited<ReturnType<typeof openTestServices>>;
const keys: string[] = [];
beforeAll(async () => {
  services = await openTestServices();
  provideServices(services);
});
afterAll(() => services.close());

async function collect(title: string, course: string): Promise<void> {
  keys.push(
    await collectCase(services.database, {
      ...{ language: "python", course, student: null, title, intent: "", changedLast: "" },
      files: [{ name: "deck.py", bytes: Buffer.from(`print("${title}")\n`) }],
      ...{ input: "", expected: "1\n", symptom: null },
    }),
  );
}
const shown = async (path: string) => textOfPage(casebook.default, await casebook.loader(asked({}, { path })), path);

test("an empty Casebook leads to the Tray", async () => {
  expect(await shown("/casebook")).toContain("No cases here yet. A case comes in through the Tray");
});

test("what is looked for is found, and what is not says how to go on", async () => {
  const course = await addCourse(services.database, "Kittiwake Crossing", "python");
  await collect("Load <b>on</b> deck", course);
  await collect("Tide", course);
  expect(await shown("/casebook")).toContain("Tide");
  expect(await shown("/casebook?text=tide")).not.toContain("deck");
  expect(await shown("/casebook?text=nowhere")).toContain("No case is like this. Look for fewer words, or show all.");
  const markup = markupOf(casebook.default, await casebook.loader(asked({}, { path: "/casebook" })), "/casebook");
  expect(markup).toContain("Load &lt;b&gt;on&lt;/b&gt; deck");
});

test.each(["-3", "1e9", "two", "999999999999999999999", "%00"])("page %s is some page, never a crash", async (page) => {
  expect((await casebook.loader(asked({}, { path: `/casebook?page=${page}` }))).total).toBe(2);
});

test("a case is put away with a way back, from the list that it was put away from", async () => {
  const [key = ""] = keys;
  const put = await answered(casebook.action(asked({}, { form: { intent: "delete", case: key } })));
  expect(put.location).toBe(`/casebook?away=${key}`);
  expect(await shown(put.location ?? "")).not.toContain("on deck Python");
  expect(await shown(put.location ?? "")).toMatch(/take it back|bring it back|undo/i);
  await answered(casebook.action(asked({}, { form: { intent: "restore", case: key } })));
  expect((await findCase(services.database, key))?.deleted_at).toBeNull();
  expect(await answered(casebook.action(asked({}, { form: { intent: "shred", case: key } })))).toMatchObject({
    ...{ status: 400, ok: false },
  });
});
