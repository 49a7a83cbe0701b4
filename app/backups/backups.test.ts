import { existsSync, mkdtempSync, rmSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { afterAll, beforeAll, expect, test } from "vitest";
import { copyIfDue, listCopies } from "../../server/backup/copies.ts";
import { restoreWaiting, waitingBackup } from "../../server/backup/waiting.ts";
import { openDatabase } from "../../server/database/database.ts";
import { addCourse, listCourses } from "../../server/people/courseStore.ts";
import { openTestServices } from "../../server/testServices.ts";
import { type Answered, answered, asked, provideServices, textOfPage } from "../askRoute.ts";
import * as copyFile from "./copyFile.ts";
import * as nowFile from "./nowFile.ts";
import * as page from "./page.tsx";

let folder = "";
let services: Awaited<ReturnType<typeof openTestServices>>;
beforeAll(async () => {
  folder = mkdtempSync(join(tmpdir(), "bent-nail-backups-"));
  services = await openTestServices({ folder });
  provideServices(services);
  await addCourse(services.database, "Kittiwake Crossing", "python");
});
afterAll(async () => {
  await services.close();
  rmSync(folder, { recursive: true, force: true });
});

/** Hands a file in by the page's form. */
async function handIn(bytes: Uint8Array): Promise<Answered> {
  const form = new FormData();
  form.set("intent", "take");
  form.set("file", new File([bytes as Uint8Array<ArrayBuffer>], "backup.zip"));
  const url = new URL("http://127.0.0.1:4200/backups");
  const request = new Request(url, { method: "POST", body: form });
  return answered(page.action({ ...asked({}), request }));
}
const press = (intent: string) => answered(page.action(asked({}, { form: { intent } })));

test("taken by a press, handed in again, agreed to, and there after the next start; the data of before is put aside", async () => {
  const taken = await nowFile.loader(asked({}));
  expect(taken.headers.get("Content-Disposition")).toMatch(/bent-nail-\d{4}-\d\d-\d\d\.zip/);
  const bytes = new Uint8Array(await taken.arrayBuffer());
  await addCourse(services.database, "Terns", "python");
  expect(await handIn(bytes)).toMatchObject({ ok: true });
  const seen = await page.loader(asked({}));
  expect(seen.waiting).toMatchObject({ holds: "1 course", replaces: "2 courses", agreed: false });
  expect(textOfPage(page.default, seen)).toContain("holds 1 course");
  expect(await press("agree")).toMatchObject({ ok: true, message: expect.stringContaining("start it again") });
  expect(await press("agree")).toMatchObject({ ok: false });
  expect((await page.loader(asked({}))).waiting?.agreed).toBe(true);
  await restoreWaiting(folder);
  const database = await openDatabase(join(folder, "database"));
  expect((await listCourses(database)).map(({ name }) => name)).toEqual(["Kittiwake Crossing"]);
  await database.close();
  expect(waitingBackup(folder)).toBeNull();
  expect((await page.loader(asked({}))).waiting).toBeNull();
});

test("what is no backup is refused in words, and forgotten; so is one that nobody wants", async () => {
  expect(await handIn(Buffer.from("a timetable"))).toMatchObject({
    ...{ ok: false, message: expect.stringContaining("no backup of Bent Nail") },
  });
  expect(waitingBackup(folder)).toBeNull();
  expect(await handIn(new Uint8Array())).toMatchObject({ message: "Choose the file of a backup." });
  const taken = await nowFile.loader(asked({}));
  await handIn(new Uint8Array(await taken.arrayBuffer()));
  expect(await press("forget")).toMatchObject({ ok: true });
  expect(waitingBackup(folder)).toBeNull();
});

test("a copy a night, none twice, kept for a fortnight; the newest one stays however old it is", async () => {
  const night = (day: number, at = 3) => new Date(2026, 10, day, at, 15);
  expect(await copyIfDue(services.database, folder, night(1, 1))).toBeNull();
  expect(await copyIfDue(services.database, folder, night(1))).toBe("bent-nail-2026-11-01.zip");
  expect(await copyIfDue(services.database, folder, night(1, 23))).toBeNull();
  await copyIfDue(services.database, folder, night(2));
  await copyIfDue(services.database, folder, night(15));
  expect(listCopies(folder).map(({ made }) => made)).toEqual(["2026-11-15", "2026-11-02", "2026-11-01"]);
  await copyIfDue(services.database, folder, night(16));
  await copyIfDue(services.database, folder, night(16, 4));
  expect(listCopies(folder).map(({ made }) => made)).toEqual(["2026-11-16", "2026-11-15", "2026-11-02"]);
  await copyIfDue(services.database, folder, new Date(2027, 2, 1, 1));
  expect(listCopies(folder).map(({ made }) => made)).toEqual(["2026-11-16"]);
  const copy = copyFile.loader(asked({ name: "bent-nail-2026-11-16.zip" }));
  expect((await copy.arrayBuffer()).byteLength).toBe(listCopies(folder)[0]?.bytes);
  for (const name of ["bent-nail-2026-11-01.zip", "../database/PG_VERSION", "..%2fteacher-password.json"])
    expect(copyFile.loader(asked({ name })).status).toBe(404);
  expect(existsSync(join(folder, "copies"))).toBe(true);
});
