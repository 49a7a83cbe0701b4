import { mkdir, mkdtemp, rm, writeFile } from "node:fs/promises";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { afterAll, beforeAll, expect, test } from "vitest";
import { commandHere } from "./commandHere.ts";

let folder = "";
beforeAll(async () => {
  folder = await mkdtemp(join(tmpdir(), "bent-nail-"));
  await writeFile(join(folder, "deck.py"), 'cars = 3\nprint("Cars", cars)\nprint("Load", crs * 2)\n');
});
afterAll(() => rm(folder, { recursive: true, force: true }));

/** Runs bent-nail as a person would, in the folder of the test's files. */
const bentNail = (given: string[], input = "", environment: Record<string, string> = {}) =>
  commandHere(folder, given, input, environment);

test("collect takes a folder into the data, or says what it would take; a try changes nothing", async () => {
  const data = { BENT_NAIL_DATA: join(folder, "data") };
  const class1 = join(folder, "class1");
  for (const student of ["S-01", "S-02"]) await mkdir(join(class1, student), { recursive: true });
  await writeFile(join(class1, "S-02/tides.py"), "print(1)\n");
  await writeFile(join(class1, "S-01/deck.py"), "print(crs)\n");
  await writeFile(
    join(class1, "S-01/deck.log"),
    "Traceback (most recent call last):\n  File \"deck.py\", line 1, in <module>\n    print(crs)\nNameError: name 'crs' is not defined\n",
  );
  await writeFile(join(class1, "empty.py"), "");
  const missing = await bentNail(["collect", class1, "--course", "nowhere"], "", data);
  expect([missing.code, missing.err]).toEqual([1, "bent-nail: there is no course nowhere\n"]);
  const { openDatabase } = await import("../server/database/database.ts");
  const { addCourse } = await import("../server/people/courseStore.ts");
  const database = await openDatabase(join(folder, "data/database"));
  await addCourse(database, "Group 1", "python");
  await database.close();
  const tried = JSON.parse(
    (await bentNail(["collect", class1, "--course", "Group 1", "--dry-run", "--json"], "", data)).out,
  );
  expect(tried).toMatchObject({
    programs: [
      { program: "S-01/deck.py", student: "S-01", language: "python", outputs: [{ path: "S-01/deck.log" }] },
      { program: "S-02/tides.py" },
    ],
    cases: [],
    refused: [{ path: "empty.py", reason: "It is empty." }],
  });
  const taken = await bentNail(["collect", class1, "--course", "Group 1"], "", data);
  expect(taken.out).toContain("taken    S-01       python   S-01/deck.py  + S-01/deck.log");
  expect((await bentNail(["collect", class1, "--course", "Group 1"], "", data)).out).toContain("not new");
  expect((await bentNail(["collect", join(folder, "no-such"), "--course", "Group 1"], "", data)).err).toContain(
    "there is no folder or zip",
  );
});

test("hand-in says in one line why it was not taken", async () => {
  const wrong = await bentNail(["hand-in", "deck.py", "--to", "http://127.0.0.1:1/somewhere"]);
  expect([wrong.code, wrong.err]).toEqual([
    1,
    "bent-nail: http://127.0.0.1:1/somewhere is no hand-in address; it looks like http://…/s/hand-in/CODE\n",
  ]);
  expect((await bentNail(["hand-in", "deck.py", "--to", "http://127.0.0.1:1/s/hand-in/AB"])).err).toBe(
    "bent-nail: no answer from http://127.0.0.1:1/s/hand-in/AB\n",
  );
  expect((await bentNail(["hand-in", "deck.py"])).code).toBe(2);
});

test("a backup is written and brought back; over data only when that was said; half an option is said, too", async () => {
  const data = { BENT_NAIL_DATA: join(folder, "backed-up") };
  const bundle = join(folder, "all.zip");
  expect(await bentNail(["backup", bundle], "", data)).toMatchObject({ code: 0, out: `${bundle} holds nothing.\n` });
  const { openDatabase } = await import("../server/database/database.ts");
  const { addCourse } = await import("../server/people/courseStore.ts");
  const database = await openDatabase(join(data.BENT_NAIL_DATA, "database"));
  await addCourse(database, "Kittiwake Crossing", "python");
  await database.close();
  const refused = await bentNail(["restore", bundle], "", data);
  expect(refused).toMatchObject({ code: 1, err: expect.stringContaining("holds 1 course. That would be put aside") });
  expect(refused.err).toContain("say --yes");
  expect(await bentNail(["restore", bundle, "--yes"], "", data)).toMatchObject({
    code: 0,
    out: expect.stringMatching(/holds nothing\.\nRestored in .* lies beside it as database\.before-/),
  });
  expect(await bentNail(["restore", "deck.py"], "", data)).toMatchObject({
    code: 1,
    err: expect.stringContaining("no backup of Bent Nail"),
  });
  expect(await bentNail(["serve", "--certificate", "deck.py"], "", data)).toMatchObject({
    code: 1,
    err: expect.stringContaining("belong together"),
  });
});
