import { afterAll, beforeAll, expect, test } from "vitest";
import { unknownOutcome } from "../../core/outcome/outcome.ts";
import { insertCheck } from "../assignments/checkStore.ts";
import { collectCase, findCase, versionOf } from "../cases/caseStore.ts";
import { openTestServices } from "../testServices.ts";
import { judgeVersion } from "./judge.ts";
import { holdsForAll, translatorFor, usualLimits } from "./run.ts";
import { listRuns } from "./runStore.ts";

let services: Awaited<ReturnType<typeof openTestServices>>;
beforeAll(async () => {
  services = await openTestServices();
});
afterAll(() => services.close());

/** A case of a program in Python with checks of its own, judged; which of its checks have a run of their own. */
async function judged(
  program: string,
  checks: ReadonlyArray<{ input: string; surroundings?: Record<string, string> }>,
) {
  const { database, toolchains } = services;
  const key = await collectCase(database, {
    ...{ language: "python", course: null, student: null, title: "Deck", intent: "", changedLast: "" },
    files: [{ name: "deck.py", bytes: Buffer.from(program) }],
    ...{ input: "1\n", expected: "1\n", symptom: null },
  });
  for (const check of checks)
    await insertCheck(database.query, { faultyCase: key }, { ...check, expected: "2\n", kind: "normal" });
  const found = await findCase(database, key);
  if (!found) throw new Error("no case");
  const result = await judgeVersion(services, found, versionOf(found, found.current_version));
  const { python } = await import("../../core/languages/python/python.ts");
  const translator = await translatorFor(toolchains, python);
  if ("notRun" in translator) throw new Error(translator.notRun);
  const identity = { version: found.current_version, translator: translator.version, limits: usualLimits };
  const runs = await listRuns(database, identity);
  return { result, ran: found.checks.map((check) => runs.has(check.key)) };
}

test("a text that is refused before any line ran is run once; every check says so", async () => {
  const { result, ran } = await judged("print((input())\n", [{ input: "2\n" }, { input: "3\n" }]);
  expect(ran).toEqual([true, false, false]);
  expect(result.results.map((each) => [each.passes, each.judgement.class])).toEqual([
    [false, "syntax"],
    [false, "syntax"],
    [false, "syntax"],
  ]);
  expect(result.deciding.check.handed_in).toBe(true);
});

test("with another file beside the program it is run again: that may change what is refused", async () => {
  const { ran } = await judged("print((input())\n", [{ input: "2\n", surroundings: { "loads.txt": "4\n" } }]);
  expect(ran).toEqual([true, true]);
});

test("a program that stops is run with every input", async () => {
  const { result, ran } = await judged("print(8 // (int(input()) - 2))\n", [{ input: "2\n" }, { input: "6\n" }]);
  expect(ran).toEqual([true, true, true]);
  expect(result.results.map((each) => each.judgement.class)).toEqual(["logic", "runtime", null]);
});

test("only a refusal before the start holds for all; what tells nothing does not", async () => {
  const { result } = await judged("print((input())\n", []);
  const { outcome } = result.deciding;
  expect(outcome && holdsForAll(outcome)).toBe(outcome);
  if (outcome) {
    expect(holdsForAll({ ...outcome, started: true })).toBeNull();
    expect(holdsForAll({ ...outcome, stoppedBy: "fault" })).toBeNull();
  }
  expect(holdsForAll(unknownOutcome("broken", "it broke off"))).toBeNull();
  expect(holdsForAll(null)).toBeNull();
});
