import { afterAll, beforeAll, expect, test } from "vitest";
import { collectCase, findCase, insertHandIn, versionOf, type WholeCase } from "../cases/caseStore.ts";
import { sayWorked } from "../cases/describe.ts";
import { judgeVersion } from "../judge/judge.ts";
import { byTeacher, openTestServices } from "../testServices.ts";
import { switchPart } from "./switchPart.ts";

let services: Awaited<ReturnType<typeof openTestServices>>;
beforeAll(async () => {
  services = await openTestServices();
});
afterAll(() => services.close());

async function collect(program: string): Promise<WholeCase> {
  const key = await collectCase(services.database, {
    language: "python",
    course: null,
    student: null,
    title: "deck",
    intent: "",
    changedLast: "",
    files: [{ name: "deck.py", bytes: Buffer.from(program) }],
    input: "",
    symptom: null,
  });
  return whole(key);
}
async function whole(key: string): Promise<WholeCase> {
  const found = await findCase(services.database, key, "all");
  if (!found) throw new Error("no case");
  return found;
}

test("a prepared part is switched on in a version of its own; a stale page is refused", async () => {
  const found = await collect("loads = [4, 9]\n# print(loads[2])\n# print(loads[0])\n");
  expect(await switchPart(services, found, byTeacher(found), 2, 2)).toEqual({ ok: true });
  const after = await whole(found.key);
  expect(after.loaded.map((version) => [version.origin, version.files[0]?.text])).toEqual([
    ["handed in", "loads = [4, 9]\n# print(loads[2])\n# print(loads[0])\n"],
    ["line 2 switched on", "loads = [4, 9]\nprint(loads[2])\n# print(loads[0])\n"],
  ]);
  expect(await switchPart(services, after, byTeacher(found), 3, 3)).toMatchObject({
    ok: false,
    message: expect.stringContaining("changed in another window"),
  });
  expect(await switchPart(services, after, byTeacher(after), 1, 1)).toMatchObject({
    ok: false,
    message: "There is nothing to switch on there.",
  });
  expect(
    (await judgeVersion(services, after, versionOf(after, after.current_version))).deciding.judgement,
  ).toMatchObject({
    class: "runtime",
    reportedLine: 2,
  });
});

test("what was changed since a version that worked is the first suspect", async () => {
  const found = await collect("loads = [4, 9]\nlast = loads[1]\nprint(last + 1)\n");
  await services.database.transaction((query) =>
    insertHandIn(
      query,
      found.key,
      [{ name: "deck.py", bytes: Buffer.from('loads = [4, 9]\nlast = loads[1]\nprint(last + "1")\n') }],
      [],
    ),
  );
  const judged = async () => {
    const now = await whole(found.key);
    return (await judgeVersion(services, now, versionOf(now, now.current_version))).deciding.judgement;
  };
  expect((await judged()).leads[0]?.line).toBe(2);
  const now = await whole(found.key);
  await sayWorked(services.database, now, byTeacher(now), found.current_version, true);
  expect((await judged()).leads[0]).toMatchObject({
    line: 3,
    why: expect.stringContaining("In the last working version this line was “print(last + 1)”."),
  });
});
