import { afterAll, beforeAll, expect, test } from "vitest";
import { findCase, type WholeCase } from "../../server/cases/caseStore.ts";
import { openTestServices } from "../../server/testServices.ts";
import { buildTestWorld } from "../../server/testWorld.ts";
import { answered, asked, provideServices } from "../askRoute.ts";
import { caseActions } from "./actions/list.ts";
import * as page from "./page.tsx";

let services: Awaited<ReturnType<typeof openTestServices>>;
let caseKey = "";
beforeAll(async () => {
  services = await openTestServices();
  provideServices(services);
  caseKey = (await buildTestWorld(services)).caseKey ?? "";
  // A case that two windows have open has something to lose: a class, a line, a check, an output, a part of a plan.
  const pressed: Record<string, string>[] = [
    { intent: "look" },
    { intent: "decide", class: "logic", reason: "by its result" },
    { intent: "check", input: "", expected: "Deck load: 11\n", kind: "normal" },
    { intent: "add output", text: "Deck load: 1\n", origin: "a paper" },
    { intent: "add part", part: "the sum", expression: "1 + 1", expected: "2" },
  ];
  for (const form of pressed) expect((await act(form, (await whole()).revision)).status, form.intent).toBe(200);
});
afterAll(async () => {
  await services.queue.settled();
  await services.close();
});

async function whole(): Promise<WholeCase> {
  const found = await findCase(services.database, caseKey, "all");
  if (!found) throw new Error("no case");
  return found;
}
const act = (form: Record<string, string>, revision: number) =>
  answered(page.action(asked({ caseKey }, { form: { revision: String(revision), ...form } })));

/** A form that every action can read. */
async function filled(): Promise<Record<string, string>> {
  const found = await whole();
  return {
    ...{ key: found.checks[0]?.key ?? "", layer: found.layers[0]?.key ?? "", lines: "[1]", number: "0", fix: "" },
    ...{ class: "runtime", kind: "", reason: "another window", title: "Other", purpose: "Other", student: "" },
    ...{
      language: "python",
      source: "",
      userActions: "",
      note: "other",
      worked: "yes",
      about: "1 a",
      text: "print(2)\n",
    },
    ...{ origin: "other", place: "lines", placeReason: "", explanation: "other", table: "line | load\n1 | 4\n" },
    ...{ intention: "other", what: "prefer", force: "yes", belief: "other", check: "", probes: "[]", way: "plain" },
    ...{ part: "other", expression: "2", expected: "2", input: "1\n", decision: "accept", advice: "agree", unsaid: "" },
    ...{ cause: "", moment: "", depends: "", pattern: "limit-off-by-one", from: "1", to: "1", assignment: "" },
  };
}

/** What an action needs to be right in all but the revision, where the form for all has something else. */
async function needed(): Promise<Record<string, Record<string, string>>> {
  const found = await whole();
  const layer = found.layers[0];
  const [version, check] = [found.versions.at(-1)?.key ?? "", found.checks.at(-1)?.key ?? ""];
  return {
    accept: { class: "logic" },
    back: { key: found.versions[0]?.key ?? "" },
    intention: { key: layer?.key ?? "" },
    advice: { advice: "partly" },
    check: { kind: "normal" },
    "remove check": { key: check },
    worked: { key: version },
  };
}

/** Tries, plans and searches stand beside the record: nothing of what another window wrote is lost by them. */
const besideTheRecord = new Set([
  ...["look", "search", "stop-search", "try-further", "stop-further", "run relaid"],
  ...["narrow", "drop try", "add part", "drop part", "try parts"],
]);
/** What is about something that this case has not: no change that was found, another language, a second fault. */
const ofWhatIsNotThere = new Set(["take-fix", "keep-fix", "kept-fix", "say language", "otherwise", "switch"]);

/** Asks something of a case that has no revision: it is the same whatever else was changed meanwhile. */
const withoutRevision = new Set(["verify", "delete", "restore"]);

test.each(caseActions.map(({ intent }) => intent).filter((intent) => !withoutRevision.has(intent)))(
  "“%s” from a window that has not seen the last change changes nothing that stands there",
  async (intent) => {
    const before = await whole();
    const other = { intent: "note", note: `by another window, before ${intent}` };
    expect((await act(other, before.revision)).status).toBe(200);
    const seen = await whole();
    const own = (await needed())[intent] ?? {};
    const said = await act({ ...(await filled()), ...own, intent }, before.revision);
    expect(await whole(), said.message).toEqual(seen);
    if (!besideTheRecord.has(intent) && !ofWhatIsNotThere.has(intent)) expect(said.status, said.message).toBe(409);
  },
);

test("a number that is no revision is refused before anything else is looked at", async () => {
  const seen = await whole();
  for (const revision of [-1, 1.5, Number.NaN, 2 ** 40])
    expect((await act({ ...(await filled()), intent: "decide" }, revision)).status).toBe(400);
  expect(await whole()).toEqual(seen);
});
