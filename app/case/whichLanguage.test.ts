import { afterAll, beforeAll, expect, test } from "vitest";
import { collectCase } from "../../server/cases/caseStore.ts";
import { addCourse } from "../../server/people/courseStore.ts";
import { openTestServices } from "../../server/testServices.ts";
import { answered, asked, provideServices, textOfPage } from "../askRoute.ts";
import * as page from "./page.tsx";

let services: Awaited<ReturnType<typeof openTestServices>>;
let caseKey = "";
beforeAll(async () => {
  services = await openTestServices();
  provideServices(services);
  caseKey = await collectCase(services.database, {
    ...{ language: "basic", course: await addCourse(services.database, "Kittiwake, earlier", "python"), student: null },
    ...{
      title: "Cells of before",
      intent: "",
      changedLast: "",
      errorOutput: undefined,
      input: "",
      expected: "4\n",
      actual: "",
    },
    ...{
      files: [{ name: "Module1.vb", bytes: Buffer.from("Sub Main\n  MsgBox 2 + 2\n  x = ThisComponent\nEnd Sub\n") }],
      symptom: null,
    },
  });
});
afterAll(() => services.close());

const loaded = () => page.loader(asked({ caseKey }, { path: `/cases/${caseKey}` }));
const say = async (language: string) =>
  answered(
    page.action(
      asked({ caseKey }, { form: { intent: "say language", language, revision: String((await loaded()).revision) } }),
    ),
  );

test("a case of before asks once which of two languages it is in; what it is not asked for is refused", async () => {
  const before = await loaded();
  expect(before.askedAs.map(({ id, likely }) => [id, likely])).toEqual([
    ["basic-macro", true],
    ["basic-forms", false],
  ]);
  expect(textOfPage(page.default, before, `/cases/${caseKey}`)).toContain("Which is it?");
  expect(before.languages.map(({ id }) => id)).toContain("basic");
  expect((await say("python")).ok).toBe(false);

  expect((await say("basic-macro")).ok).toBe(true);
  const after = await loaded();
  expect([after.languageId, after.askedAs]).toEqual(["basic-macro", []]);
  expect(textOfPage(page.default, after, `/cases/${caseKey}`)).not.toContain("Which is it?");
  expect(after.languages.map(({ id }) => id)).not.toContain("basic");
  expect((await say("basic-forms")).ok).toBe(false);
});
