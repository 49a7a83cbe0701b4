import { afterAll, beforeAll, expect, test } from "vitest";
import { collectCase, findCase, versionOf } from "../cases/caseStore.ts";
import { byTeacher, openTestServices } from "../testServices.ts";
import { saveCheck } from "./checks.ts";
import { judgeVersion } from "./judge.ts";

let services: Awaited<ReturnType<typeof openTestServices>>;
beforeAll(async () => {
  services = await openTestServices();
});
afterAll(() => services.close());

const program = 'with open("loads.txt") as loads:\n    print("Deck load:", sum(int(line) for line in loads))\n';

test("the same program in two surroundings: one outcome is as intended, the other a stop, and both are kept", async () => {
  const key = await collectCase(services.database, {
    language: "python",
    course: null,
    student: null,
    title: "Deck load from a file",
    intent: "Add up the loads in loads.txt.",
    changedLast: "",
    files: [
      { name: "deck.py", bytes: Buffer.from(program) },
      { name: "loads.txt", bytes: Buffer.from("4\n12\n") },
    ],
    input: "",
    expected: "Deck load: 16\n",
    actual: "",
    symptom: null,
  });
  const whole = async () => {
    const found = await findCase(services.database, key);
    if (!found) throw new Error("no case");
    return found;
  };
  await saveCheck(services, await whole(), byTeacher(await whole()), null, {
    input: "",
    expected: "",
    kind: "erroneous",
    surroundings: { "loads.txt": null },
  });
  await saveCheck(services, await whole(), byTeacher(await whole()), null, {
    input: "",
    expected: "Deck load: 7\n",
    kind: "normal",
    surroundings: { "loads.txt": "7\n" },
  });
  const found = await whole();
  const judged = await judgeVersion(services, found, versionOf(found, found.current_version));
  expect(judged.results.map((result) => [result.check.surroundings, result.judgement.class, result.passes])).toEqual([
    [{}, null, true],
    [{ "loads.txt": null }, "runtime", false],
    [{ "loads.txt": "7\n" }, null, true],
  ]);
  expect(judged.results[1]?.judgement.diagnostic).toMatchObject({ errorName: "FileNotFoundError", line: 1 });
});
