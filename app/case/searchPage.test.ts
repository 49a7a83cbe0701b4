import { afterAll, beforeAll, expect, test } from "vitest";
import { collectCase } from "../../server/cases/caseStore.ts";
import { openTestServices } from "../../server/testServices.ts";
import { answered, asked, provideServices, textOfPage } from "../askRoute.ts";
import { FoundFixes } from "./FoundFixes.tsx";
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
  return textOfPage(() => FoundFixes({ view: data, search: kept, taking } as never), data, `/cases/${caseKey}`);
};

test("small changes are looked for when the page asks, shown with what they are about, and one is taken", async () => {
  expect((await view()).mayBeMended).toBe(true);
  expect(await search()).toEqual({ search: null, acted: false });
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
