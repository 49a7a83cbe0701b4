import { afterAll, beforeAll, expect, test } from "vitest";
import { collectCase, findCase } from "../../server/cases/caseStore.ts";
import { openTestServices } from "../../server/testServices.ts";
import { answered, asked, provideServices, textOfPage } from "../askRoute.ts";
import * as walkAhead from "../walk/ahead.ts";
import * as begin from "../walk/begin.ts";
import * as page from "./page.tsx";
import { proposalOf } from "./proposal.ts";
import * as found from "./searchFile.ts";
import { WalkStrip } from "./WalkStrip.tsx";

let services: Awaited<ReturnType<typeof openTestServices>>;
const keys: string[] = [];
beforeAll(async () => {
  services = await openTestServices();
  provideServices(services);
  for (const title of ["Deck", "Tides"])
    keys.push(
      await collectCase(services.database, {
        ...{ language: "python", course: null, student: null, title, intent: "", changedLast: "" },
        files: [
          {
            name: "deck.py",
            bytes: Buffer.from("loads = [4, 5]\ntotal = 0\nfor load in loads:\n    total = load\nprint(total)\n"),
          },
        ],
        ...{ input: "", expected: "9\n", symptom: null },
      }),
    );
});
afterAll(() => services.close());

const [first, second] = [() => keys[0] ?? "", () => keys[1] ?? ""];
const view = (key: string, through = "tray") =>
  page.loader(asked({ caseKey: key }, { path: `/cases/${key}?through=${through}` }));
async function act(key: string, form: Record<string, string>) {
  const { revision } = await view(key);
  return answered(page.action(asked({ caseKey: key }, { form: { revision: String(revision), ...form } })));
}
async function proposal(key: string) {
  const proposed = proposalOf(await view(key), await found.loader(asked({ caseKey: key })));
  if (!proposed) throw new Error("nothing is proposed");
  return proposed;
}
const formOf = (proposed: Awaited<ReturnType<typeof proposal>>) => ({
  ...{ intent: "accept", class: proposed.class, kind: proposed.kind ?? "" },
  ...{ lines: JSON.stringify(proposed.lines), fix: proposed.fix?.text ?? "" },
});

test("what is proposed before a change is found is class and line; looked for ahead, it is there with its proof", async () => {
  const early = await proposal(first());
  expect(early).toMatchObject({ class: "logic", fix: null });
  expect(early.lines).toHaveLength(1);
  const heard = await walkAhead.action(asked({}, { form: { cases: `${first()} ${second()} nothing` } }));
  expect(heard.status).toBe(204);
  await services.queue.settled();
  const ready = await proposal(first());
  expect(ready).toMatchObject({ class: "logic", lines: [4], fix: { checks: { passed: 1, of: 1 } } });
  expect(ready.tried).toBeGreaterThan(0);
});

test("one press accepts class, line and fix, and one takes all of it back", async () => {
  const ready = await proposal(first());
  const accepted = await act(first(), formOf(ready));
  expect(accepted.message).toContain("the fix is verified");
  const now = await view(first());
  expect(now.layers[0]).toMatchObject({ class: "logic", faultyLines: [4], mended: true });
  expect(now.verified).toBe(true);
  expect(now.undoable).toBe("accepting the proposal");
  expect(proposalOf(now, null)).toBeNull();
  expect((await act(first(), { intent: "undo" })).message).toContain("Undone");
  const back = await view(first());
  expect([back.layers.length, back.verified, back.versionNumber]).toEqual([0, false, 1]);
});

test("a change that is not proposed any more, one that is made up, and a stale page are refused, and nothing is changed", async () => {
  const ready = await proposal(second());
  const made = await act(second(), { ...formOf(ready), fix: "print(9)\n" });
  expect([made.ok, made.message]).toEqual([false, expect.stringContaining("not proposed any more")]);
  const stale = await act(second(), { ...formOf(ready), revision: "0" });
  expect(stale.status).toBe(409);
  expect((await act(second(), { ...formOf(ready), class: "nothing" })).status).toBe(400);
  expect((await findCase(services.database, second()))?.layers).toEqual([]);
});

test("class and line alone are accepted where no change is; the class that stands is named with what may be undone", async () => {
  const ready = await proposal(second());
  const accepted = await act(second(), { ...formOf(ready), fix: "" });
  expect(accepted.message).toBe("Accepted: class and line.");
  const now = await view(second());
  expect(now.openLayer).toMatchObject({ decided: { class: "logic" }, faultyLines: ready.lines });
});

test("a walk says how many are left, and leads back to where it was begun when none is", async () => {
  const shown = await view(first());
  const text = textOfPage(() => WalkStrip({ view: shown }), shown, `/cases/${first()}?through=tray`);
  expect(text).toMatch(/Working through the Tray ?: 1 left/);
  const start = async (through: string) =>
    (await Promise.resolve(begin.loader(asked({}, { path: `/walk?through=${through}` }) as never))) as Response;
  expect((await start("tray")).headers.get("location")).toBe(`/cases/${first()}?through=tray`);
  expect((await start("set%20none")).headers.get("location")).toBe("/collect/none");
  expect((await start("elsewhere")).headers.get("location")).toBe("/");
  const { walk } = await view(first(), "nonsense");
  expect(walk).toBeNull();
});
