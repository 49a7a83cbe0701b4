import { afterAll, beforeAll, expect, test } from "vitest";
import { collectCase, findCase, type WholeCase } from "../../server/cases/caseStore.ts";
import { saveCheck } from "../../server/judge/checks.ts";
import { decideClass } from "../../server/judge/decisions.ts";
import { tryFix } from "../../server/mend/tryFix.ts";
import { addCourse } from "../../server/people/courseStore.ts";
import { byTeacher, counted, openTestServices } from "../../server/testServices.ts";
import { caseView } from "./caseView.ts";

let services: Awaited<ReturnType<typeof openTestServices>>;
let key = "";
const program = "deck = [4, 9]\nprint('Load', deck[2])\n";
beforeAll(async () => {
  services = await openTestServices();
  const course = await addCourse(services.database, "Kittiwake Crossing", "python");
  key = await collectCase(services.database, {
    ...{ language: "python", course, student: null, title: "Deck", intent: "", changedLast: "" },
    files: [{ name: "deck.py", bytes: Buffer.from(program) }],
    ...{ input: "", expected: "Load 9\n", symptom: null },
  });
  // Many checks and versions: what a use case costs must not grow with them.
  for (let number = 0; number < 6; number += 1) {
    const found = await whole();
    const check = { input: `${number}\n`, expected: null, kind: "normal" as const };
    await saveCheck(services, found, byTeacher(found), null, check);
  }
  for (let number = 0; number < 4; number += 1) {
    const found = await whole();
    await tryFix(services, found, byTeacher(found), `${program}# try ${number}\n`, false);
  }
});
afterAll(() => services.close());

async function whole(): Promise<WholeCase> {
  const found = await findCase(services.database, key);
  if (!found) throw new Error("no case");
  return found;
}

/** How many statements some work takes, the reading of the case among them. */
async function statements(
  work: (held: ReturnType<typeof counted<typeof services>>, found: WholeCase) => Promise<unknown>,
) {
  const held = counted(services);
  const found = await findCase(held.database, key);
  if (!found) throw new Error("no case");
  await work(held, found);
  return held.statements();
}

test("opening a case takes at most 12 statements, whatever it holds, and reads the text of one version", async () => {
  const wanted = { leaf: "checks" as const, check: null, version: null, rows: "line" as const, from: 0 };
  const first = await statements((held, found) => caseView(held, found, wanted));
  expect(await statements((held, found) => caseView(held, found, wanted))).toBeLessThanOrEqual(12);
  expect(first).toBeLessThanOrEqual(12 + 7);
  const found = await whole();
  expect([found.versions.length, found.loaded.length]).toEqual([5, 1]);
});

test("deciding takes at most 16 statements", async () => {
  const decision = { class: "runtime" as const, kind: null, reason: "" };
  expect(await statements((held, found) => decideClass(held, found, byTeacher(found), decision))).toBeLessThanOrEqual(
    16,
  );
});

test("trying a fix takes at most 24 statements and one a check", async () => {
  const count = await statements((held, found) =>
    tryFix(held, found, byTeacher(found), program.replace("deck[2]", "deck[1]"), false),
  );
  expect((await whole()).layers[0]?.version_after).not.toBeNull();
  // Each check's run is kept by a statement of its own.
  expect(count).toBeLessThanOrEqual(24 + 7);
});
