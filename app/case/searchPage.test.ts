import { afterAll, beforeAll, expect, test } from "vitest";
import { collectCase } from "../../server/cases/caseStore.ts";
import { openTestServices } from "../../server/testServices.ts";
import { answered, asked, provideServices, textOfPage } from "../askRoute.ts";
import { FoundFixes } from "./FoundFixes.tsx";
import { FurtherInputs } from "./FurtherPart.tsx";
import { KeptFixes } from "./KeptFixes.tsx";
import * as page from "./page.tsx";
import * as found from "./searchFile.ts";
import { leadsWith } from "./useSearch.ts";

let services: Awaited<ReturnType<typeof openTestServices>>;
let caseKey = "";
beforeAll(async () => {
  services = await openTestServices();
  provideServices(services);
  caseKey = await collectCase(services.database, {
    ...{ language: "python", course: null, student: null, title: "Deck", intent: "", changedLast: "" },
    files: [
      {
        name: "deck.py",
        bytes: Buffer.from("loads = [4, 5]\ntotal = 0\nfor load in loads:\n    total = load\nprint(total)\n"),
      },
    ],
    ...{ input: "", expected: "9\n", symptom: null },
  });
});
afterAll(() => services.close());

const view = () => page.loader(asked({ caseKey }, { path: `/cases/${caseKey}?leaf=mend` }));
const search = () => found.loader(asked({ caseKey }));
async function act(form: Record<string, string>) {
  const { revision } = await view();
  return answered(page.action(asked({ caseKey }, { form: { revision: String(revision), ...form } })));
}
const shown = async () => {
  const [data, { search: kept }] = [await view(), await search()];
  const taking = { state: "idle", Form: "form", data: undefined };
  return textOfPage(
    () => FoundFixes({ view: data, search: kept, kept: [], taking } as never),
    data,
    `/cases/${caseKey}`,
  );
};

test("small changes are looked for when the page asks, shown with what they are about, and one is taken", async () => {
  expect((await view()).mayBeMended).toBe(true);
  expect(await search()).toMatchObject({ search: null, acted: false, further: null, kept: [] });
  expect((await act({ intent: "take-fix", number: "0" })).message).toContain("not there any more");
  expect((await act({ intent: "look" })).status).toBe(200);
  await services.queue.settled();
  const kept = await search();
  expect(kept.search).toMatchObject({ state: "done" });
  const leads = leadsWith(await view(), kept);
  expect(leads[0]).toMatchObject({ line: 4, file: null, why: expect.stringContaining("its check passes") });
  // Whoever has acted keeps the lines as they were.
  expect(leadsWith(await view(), { ...kept, acted: true })).toEqual((await view()).verdict.leads);
  const text = await shown();
  expect(text).toContain("Small changes that were found");
  expect(text).toContain("It passes its only check");
  expect(text).toContain("Take this change");
  const taken = await act({ intent: "take-fix", number: "0" });
  expect(taken.message).toContain("that it was found by a search stays written");
  expect((await view()).verified).toBe(true);
  expect((await view()).mayBeMended).toBe(false);
});

test("further inputs are tried on a program that passes, and what still stops it is shown with what to ask before", async () => {
  const checks = {
    ...{ language: "python", course: null, student: null, title: "Share", intent: "" },
    changedLast: "",
  };
  const key = await collectCase(services.database, {
    ...{ ...checks, input: "4\n", expected: "Cars? 4\n30.0\n", symptom: null },
    files: [{ name: "share.py", bytes: Buffer.from('cars = int(input("Cars? "))\nprint(cars)\nprint(120 / cars)\n') }],
  });
  const ofCase = () => found.loader(asked({ caseKey: key }));
  const page1 = await page.loader(asked({ caseKey: key }));
  const press = async (intent: string) =>
    answered(page.action(asked({ caseKey: key }, { form: { intent, revision: String(page1.revision) } })));
  expect((await press("try-further")).status).toBe(200);
  await services.queue.settled();
  const { further } = await ofCase();
  expect(further).toMatchObject({ state: "done", outOfDate: false });
  const text = textOfPage(() => FurtherInputs({ further }), page1, `/cases/${key}`);
  expect(text).toContain("What must hold: cars != 0 (tried");
  expect(text).toContain("A handler would mask it.");
  expect(text).toContain("A handler fits here.");
  expect((await press("stop-further")).message).toContain("Stopped");
});

test("several changes are kept as acceptable, each with what it is meant for; one is preferred, one is left out", async () => {
  const key = await collectCase(services.database, {
    ...{ language: "python", course: null, student: null, title: "Sum", intent: "", changedLast: "" },
    files: [
      {
        name: "sum.py",
        bytes: Buffer.from("loads = [4, 5]\ntotal = 1\nfor load in loads:\n    total += load\nprint(total)\n"),
      },
    ],
    ...{ input: "", expected: "9\n", symptom: null },
  });
  const press = async (form: Record<string, string>) => {
    const { revision } = await page.loader(asked({ caseKey: key }));
    return answered(page.action(asked({ caseKey: key }, { form: { revision: String(revision), ...form } })));
  };
  const now = () => found.loader(asked({ caseKey: key }));
  await press({ intent: "look" });
  await services.queue.settled();
  const count = (await now()).search?.fixes.length ?? 0;
  expect(count).toBeGreaterThan(1);
  expect((await press({ intent: "keep-fix", number: "0", intention: "begin with nothing" })).status).toBe(200);
  expect((await press({ intent: "keep-fix", number: "0", intention: "again" })).message).toContain("already");
  expect((await press({ intent: "keep-fix", number: "99" })).message).toContain("not there any more");
  await press({ intent: "keep-fix", number: "1", intention: "take the first one away" });
  const [first, second] = (await now()).kept;
  expect([first?.intention, first?.preferred, second?.preferred]).toEqual(["begin with nothing", true, false]);
  expect((await press({ intent: "kept-fix", key: second?.key ?? "", what: "nothing" })).status).toBe(400);
  await press({ intent: "kept-fix", key: second?.key ?? "", what: "prefer" });
  const kept = (await now()).kept;
  expect(kept[0]).toMatchObject({ key: second?.key, preferred: true });
  const view = await page.loader(asked({ caseKey: key }));
  expect(textOfPage(() => KeptFixes({ kept }), view, `/cases/${key}`)).toContain("Preferred. take the first one away");
  await press({ intent: "kept-fix", key: first?.key ?? "", what: "leave" });
  expect((await now()).kept.map((each) => each.key)).toEqual([second?.key]);
  expect((await press({ intent: "kept-fix", key: first?.key ?? "", what: "leave" })).message).toContain(
    "not kept any more",
  );
});
