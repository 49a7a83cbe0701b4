import { afterAll, beforeAll, expect, test } from "vitest";
import { collectCase, findCase } from "../../server/cases/caseStore.ts";
import { addCourse, addStudents, listStudents } from "../../server/people/courseStore.ts";
import { openTestServices } from "../../server/testServices.ts";
import { answered, asked, provideServices, textOfPage } from "../askRoute.ts";
import * as student from "../courses/studentPage.tsx";
import * as page from "./page.tsx";

let services: Awaited<ReturnType<typeof openTestServices>>;
let [course, person, key] = ["", "", ""];
beforeAll(async () => {
  services = await openTestServices();
  provideServices(services);
  course = await addCourse(services.database, "Group 9", "c");
  await addStudents(services.database, course, ["K-31"]);
  person = (await listStudents(services.database, course))[0]?.key ?? "";
  key = await collectCase(services.database, {
    ...{ language: "c", course, student: person, title: "Deck", intent: "", changedLast: "" },
    files: [{ name: "deck.c", bytes: Buffer.from("int main(void)\n{\n    int n = 0b11\n    return n;\n}\n") }],
    errorOutput: "deck.c:4:5: error: expected ',' or ';' before 'return'\n",
    ...{ input: "", expected: "", symptom: null },
  });
});
afterAll(() => services.close());

const view = (more = "") => page.loader(asked({ caseKey: key }, { path: `/?leaf=messages${more}` }));
const act = async (form: Record<string, string>) =>
  answered(page.action(asked({ caseKey: key }, { form: { revision: String((await view()).revision), ...form } })));
const shown = async (more = "") => textOfPage(page.default, await view(more), `/cases/${key}?leaf=messages${more}`);

test("another way to translate leaves its output beside the others, which are compared by line and kind", async () => {
  expect((await view()).otherWays.map((way) => way.id)).toContain("c99");
  expect(await shown()).not.toContain("pedantic -Wall, here");
  expect(await act({ intent: "otherwise", way: "c99" })).toMatchObject({
    ok: true,
    message: expect.stringContaining("kept beside"),
  });
  expect(await act({ intent: "otherwise", way: "by hand" })).toMatchObject({ ok: false });
  const titles = (await view()).messages.map((source) => source.title);
  expect(titles).toContain("From gcc -std=c99 -pedantic -Wall, here");
  const text = await shown();
  expect(text).toContain("Differs");
  expect(text).toContain("not all say it");
  expect((await findCase(services.database, key))?.outputs).toHaveLength(2);
});

test("what an editor's checker marks is said to be earlier, and what it alone marks", async () => {
  const text =
    "deck.c:3:17: error: expected ';' after the number\ndeck.c:1:5: warning: function declaration isn't a prototype\n";
  expect(await act({ intent: "add output", origin: "an editor’s list", text })).toMatchObject({ ok: true });
  const page = await shown();
  expect(page).toContain("flags it while the text is being written");
  expect(page).toContain("only “an editor’s list” says something of it");
});

test("what a message was worth is kept with the fault, and undone", async () => {
  expect(await act({ intent: "advice", layer: "", advice: "partly", unsaid: "that line 3 is meant" })).toMatchObject({
    ok: true,
  });
  expect((await view()).openLayer).toMatchObject({ advice: "partly", unsaid: "that line 3 is meant" });
  expect(await act({ intent: "advice", layer: "", advice: "wonderful", unsaid: "" })).toMatchObject({ ok: false });
  expect((await view()).undoable).toContain("worth");
  expect(await act({ intent: "undo" })).toMatchObject({ ok: true });
  expect((await view()).openLayer?.advice ?? null).toBeNull();
});

test("how much is said goes by the course, the person, and whoever looks", async () => {
  expect((await view()).depth).toBe("full");
  const short = await shown("&depth=short");
  expect(short).toContain("Say all of it");
  expect(short).not.toContain("What it does not say:");
  const set = (depth: string) =>
    answered(student.action(asked({ courseKey: course, studentKey: person }, { form: { intent: "depth", depth } })));
  expect(await set("short")).toMatchObject({ ok: true });
  expect((await view()).depth).toBe("short");
  expect((await view("&depth=full")).depth).toBe("full");
  expect(await set("")).toMatchObject({ ok: true });
  expect((await view()).depth).toBe("full");
  expect(await set("endless")).toMatchObject({ ok: false });
});
