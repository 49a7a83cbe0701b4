import { afterAll, beforeAll, expect, test } from "vitest";
import { collectCase, findCase } from "../../server/cases/caseStore.ts";
import { listCases } from "../../server/cases/listStore.ts";
import { openTestServices } from "../../server/testServices.ts";
import { answered, asked, provideServices, textOfPage } from "../askRoute.ts";
import * as printed from "../print/casePage.tsx";
import * as page from "./page.tsx";

let services: Awaited<ReturnType<typeof openTestServices>>;
let key = "";
beforeAll(async () => {
  services = await openTestServices();
  provideServices(services);
  key = await collectCase(services.database, {
    ...{ language: "python", course: null, student: null, title: "Deck", intent: "", changedLast: "" },
    files: [
      {
        name: "deck.py",
        bytes: Buffer.from("def late():\n    return 9\nloads = [4, 5]\nprint('Loading')\nprint(loads[2])\n"),
      },
    ],
    ...{ input: "", expected: "Loading\n5\n", symptom: null },
  });
});
afterAll(() => services.close());

const view = () => page.loader(asked({ caseKey: key }));
const act = async (form: Record<string, string>) =>
  answered(page.action(asked({ caseKey: key }, { form: { revision: String((await view()).revision), ...form } })));
const differing = () => listCases(services.database, { judged: null, page: 0, state: "differs" });

test("the evidence fills cause, moment and what it depends on; a teacher changes one, a cause that cannot be is refused", async () => {
  const before = await view();
  expect(before.fields).toMatchObject({
    own: null,
    suggested: {
      ...{ cause: { value: "logic" }, moment: { value: "on reaching the line" }, depends: { value: "certain" } },
    },
  });
  expect(before.neverRan).toEqual(["late was never called in this run (line 2)."]);
  const fields = { intent: "fields", layer: "", cause: "", moment: "only in some runs", depends: "" };
  expect(await act({ ...fields, cause: "syntax" })).toMatchObject({
    ok: false,
    message: expect.stringContaining("not refused"),
  });
  expect(await act({ ...fields, moment: "last week" })).toMatchObject({ ok: false });
  expect(await act(fields)).toMatchObject({ ok: true });
  const after = await view();
  expect(after.fields?.own).toEqual({ cause: null, moment: "only in some runs", depends: null });
  expect(after.openLayer?.decided).toBeNull();
  expect(after.undoable).toContain("cause");
  const shown = await textOfPage(page.default, after, `/cases/${key}`);
  expect(shown).toContain("Noticed");
});

test("a class decided otherwise has a second opinion beside it, is found by it, and stays in the record with its fields", async () => {
  expect((await differing()).total).toBe(0);
  expect(
    await act({ intent: "decide", class: "logic", kind: "", reason: "the bound was thought wrong" }),
  ).toMatchObject({ ok: true });
  const decided = await view();
  expect(decided.secondOpinion).toContain("its cause");
  expect(await textOfPage(page.default, decided, `/cases/${key}`)).toContain("Second opinion");
  expect((await differing()).rows.map((row) => row.key)).toEqual([key]);
  const text = "def late():\n    return 9\nloads = [4, 5]\nprint('Loading')\nprint(loads[1])\n";
  expect(await act({ intent: "mend", text })).toMatchObject({ ok: true });
  const [layer] = (await view()).layers;
  expect(layer).toMatchObject({
    fields: { cause: "logic", moment: "only in some runs", depends: "certain" },
    secondOpinion: expect.stringContaining("its cause"),
  });
  const paper = await textOfPage(printed.default, await printed.loader(asked({ caseKey: key })));
  expect(paper).toContain("only in some runs");
  expect(paper).toContain("the bound was thought wrong");
  expect((await findCase(services.database, key))?.layers[0]?.moment).toBe("only in some runs");
});

test("the record's fields go by the line that was marked and by what stopped the run, not by the first guess", async () => {
  const caseKey = await collectCase(services.database, {
    ...{ language: "python", course: null, student: null, title: "Tide", intent: "", changedLast: "" },
    files: [{ name: "tide.py", bytes: Buffer.from('tide = "3"\nprint("Tide")\nprint(tide + 1)\n') }],
    ...{ input: "", expected: "Tide\n4\n", symptom: null },
  });
  const ask = async (form: Record<string, string>) => {
    const { revision } = await page.loader(asked({ caseKey }));
    return answered(page.action(asked({ caseKey }, { form: { revision: String(revision), ...form } })));
  };
  await ask({ intent: "faulty", lines: "[1]" });
  expect(await ask({ intent: "mend", text: 'tide = 3\nprint("Tide")\nprint(tide + 1)\n' })).toMatchObject({ ok: true });
  const [layer] = (await page.loader(asked({ caseKey }))).layers;
  expect(layer).toMatchObject({
    class: "runtime",
    faultyLines: [1],
    fields: { cause: "logic", moment: "on reaching the line" },
  });
});
