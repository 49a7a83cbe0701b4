import { afterAll, beforeAll, expect, test } from "vitest";
import { readQti } from "../../core/formats/qti/read.ts";
import { usualRules } from "../../core/sittings/sittingRules.ts";
import { unpack } from "../../server/collect/archive.ts";
import { addCourse } from "../../server/people/courseStore.ts";
import { findSheet, listPlaced, setRules } from "../../server/sheets/sheetStore.ts";
import { sheetToSit } from "../../server/sittings/testSheet.ts";
import { openTestServices } from "../../server/testServices.ts";
import { answered, asked, provideServices, textOfPage } from "../askRoute.ts";
import * as examples from "../print/examplesPage.tsx";
import * as recap from "../print/recapPage.tsx";
import * as outFile from "./outFile.ts";
import * as sheets from "./page.tsx";
import * as sheetPage from "./sheetPage.tsx";

let services: Awaited<ReturnType<typeof openTestServices>>;
let sheetKey = "";
beforeAll(async () => {
  services = await openTestServices();
  provideServices(services);
  ({ sheet: sheetKey } = await sheetToSit(services.database));
  await setRules(services.database, sheetKey, { ...usualRules, minutes: 30 });
});
afterAll(() => services.close());

const out = (form: string, path = "/") => outFile.loader(asked({ sheetKey, form }, { path }));
const take = (text: string, course: string) => {
  const form = new FormData();
  form.set("intent", "take");
  form.set("course", course);
  form.set("file", new File([text], "sheet.json"));
  const request = new Request("http://127.0.0.1:4200/sheets", { method: "POST", body: form });
  return answered(sheets.action({ ...asked({}), request }));
};

test("the page of a sheet leads to its files, and each is what it says", async () => {
  const page = textOfPage(sheetPage.default, await sheetPage.loader(asked({ sheetKey })));
  expect(page).toContain("QTI 3.0 package");
  const markdown = await out("sheet.md");
  expect(markdown.headers.get("content-disposition")).toBe('attachment; filename="sheet.md"');
  expect(await markdown.text()).toMatch(/^# Deck loads\n\n3 marks, 30 minutes\n[\s\S]*## 1\. Deck \(3\)/);
  expect(await (await out("answers.md")).text()).toContain("deck + 3");
  const { entries } = await unpack(Buffer.from(await (await out("sheet-qti.zip")).arrayBuffer()));
  const files = entries.map(({ path, bytes }) => ({ name: path, text: Buffer.from(bytes).toString("utf8") }));
  expect(readQti(files)).toMatchObject({
    ...{ title: "Deck loads", minutes: 30 },
    exercises: [{ title: "Deck", tasks: [{ title: "Where is the fault?", marks: 1 }, { title: "Mend the program" }] }],
  });
  expect((await out("sheet.exe")).status).toBe(404);
  expect((await out("sheet.md", "/?edition=7")).status).toBe(404);
  expect((await outFile.loader(asked({ sheetKey: "none", form: "sheet.md" }))).status).toBe(404);
});

test("a sheet goes from one Bent Nail to another: a draft with exercises of its own, equal to those that went out", async () => {
  const text = await (await out("sheet.json")).text();
  const other = await addCourse(services.database, "Kittiwake Crossing, group 2", "python");
  const { location } = await take(text, other);
  const key = location?.replace("/sheets/", "") ?? "";
  const taken = await findSheet(services.database, key);
  expect(taken).toMatchObject({ title: "Deck loads", state: "draft", course: other, rules: { minutes: 30 } });
  const [placed] = await listPlaced(services.database, key);
  expect(placed).toMatchObject({ title: "Deck", section: "" });
  expect(JSON.parse(await (await outFile.loader(asked({ sheetKey: key, form: "sheet.json" }))).text())).toEqual(
    JSON.parse(text),
  );
});

test("what is no sheet, or for no course, is refused in words and leaves nothing", async () => {
  const before = (await sheets.loader(asked({}))).sheets.length;
  expect(await take("nonsense", "none")).toMatchObject({ status: 422, message: "There is no such course." });
  const [course] = (await sheets.loader(asked({}))).courses;
  expect(await take("nonsense", course?.key ?? "")).toMatchObject({
    status: 422,
    message: "This is no sheet of Bent Nail: a sheet is a JSON object.",
  });
  expect(await take("", course?.key ?? "")).toMatchObject({ status: 422, message: "Choose the file of a sheet." });
  expect((await sheets.loader(asked({}))).sheets).toHaveLength(before);
});

test("a recap card is in the course's words, and the examples to class together say no class unless asked to", async () => {
  const ask = (path = "/") => asked({ sheetKey }, { path });
  const card = textOfPage(recap.default, await recap.loader(ask()));
  expect(card).toContain("What we met in: Deck loads");
  expect(card).toMatch(/logic error It does something else than was meant, and breaks no rule in doing so\./);
  const atHome = textOfPage(recap.default, await recap.loader(ask("/?for=home")));
  expect(atHome).toMatch(/logic error It does something else than was meant\. It runs, with a wrong result/);
  expect(card).toContain("deck + 3");
  const open = await examples.loader(ask());
  expect(JSON.stringify(open)).not.toContain("logic");
  expect(textOfPage(examples.default, open)).toContain("☐ logic error");
  const key = await examples.loader(ask("/?key=yes"));
  expect(textOfPage(examples.default, key)).toContain("It is: logic error");
  await expect(recap.loader(asked({ sheetKey: "none" }))).rejects.toMatchObject({ init: { status: 404 } });
});
