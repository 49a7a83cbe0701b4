import { afterAll, beforeAll, expect, test } from "vitest";
import { collectCase, findCase, type WholeCase } from "../cases/caseStore.ts";
import { removeCheck, saveCheck } from "../judge/checks.ts";
import { byTeacher, openTestServices } from "../testServices.ts";
import { goBackTo } from "./goBack.ts";
import { tryFix } from "./tryFix.ts";

let services: Awaited<ReturnType<typeof openTestServices>>;
let key = "";
beforeAll(async () => {
  services = await openTestServices();
  key = await collectCase(services.database, {
    ...{ language: "python", course: null, student: null, title: "Deck", intent: "", changedLast: "" },
    files: [{ name: "deck.py", bytes: Buffer.from("deck = int(input())\nprint(dek)\n") }],
    ...{ input: "4\n", expected: "4\n", symptom: null },
  });
});
afterAll(() => services.close());

async function whole(): Promise<WholeCase> {
  const found = await findCase(services.database, key, "all");
  if (!found) throw new Error("no case");
  return found;
}
const checks = async () =>
  (await whole()).checks.map(({ input, expected, surroundings }) => ({ input, expected, surroundings }));

test("going back brings checks, input and files back as they were when the version was left", async () => {
  const normal = { kind: "normal" as const };
  let found = await whole();
  await saveCheck(services, found, byTeacher(found), null, {
    ...{ ...normal, input: "9\n", expected: "9\n", surroundings: { "loads.txt": "4" } },
  });
  const then = await checks();
  found = await whole();
  expect(await tryFix(services, found, byTeacher(found), "deck = int(input())\nprint(deck)\n", false)).toMatchObject({
    result: "verified",
  });
  // Another input, another text beside the program, one check taken away, one added: all of it after the version was left.
  found = await whole();
  const [handedIn, second] = found.checks;
  await saveCheck(services, found, byTeacher(found), handedIn?.key ?? "", { ...normal, input: "5\n", expected: "5\n" });
  found = await whole();
  await saveCheck(services, found, byTeacher(found), second?.key ?? "", { ...normal, input: "1\n", expected: null });
  found = await whole();
  await removeCheck(services, found, byTeacher(found), second?.key ?? "");
  found = await whole();
  await saveCheck(services, found, byTeacher(found), null, { ...normal, input: "7\n", expected: "7\n" });

  found = await whole();
  expect(await goBackTo(services, found, byTeacher(found), found.versions[0]?.key ?? "")).toEqual({
    ok: true,
    checks: 2,
  });
  expect((await checks()).sort((one, other) => one.input.localeCompare(other.input))).toEqual([
    ...then.slice(0, 1),
    { input: "7\n", expected: "7\n", surroundings: {} },
    ...then.slice(1),
  ]);
});
