import { mkdtemp, rm } from "node:fs/promises";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { expect, test } from "vitest";
import { openDatabase } from "./database.ts";

test("tables are made at the first start and kept at the next; a second start changes nothing", async () => {
  const folder = await mkdtemp(join(tmpdir(), "bent-nail-"));
  try {
    const first = await openDatabase(folder);
    await first.query("insert into course (key, name, language) values ($1, $2, $3)", ["k", "Kittiwake", "python"]);
    await first.close();
    const second = await openDatabase(folder);
    expect(await second.query("select name from course")).toEqual([{ name: "Kittiwake" }]);
    await second.close();
  } finally {
    await rm(folder, { recursive: true, force: true });
  }
});

test("a migration that was changed after it was applied is refused", async () => {
  const folder = await mkdtemp(join(tmpdir(), "bent-nail-"));
  try {
    const database = await openDatabase(folder);
    await database.query("update schema_migration set checksum = 'other'");
    await database.close();
    await expect(openDatabase(folder)).rejects.toThrow("was changed after");
  } finally {
    await rm(folder, { recursive: true, force: true });
  }
});

test("a transaction happens whole or not at all, and nothing comes between its statements", async () => {
  const database = await openDatabase(null);
  const add = (key: string) => ["insert into course (key, name, language) values ($1, 'n', 'python')", [key]] as const;
  const failing = database.transaction(async (query) => {
    await query(...add("a"));
    throw new Error("stop");
  });
  const other = database.query(...add("b"));
  await expect(failing).rejects.toThrow("stop");
  await other;
  expect(await database.query("select key from course")).toEqual([{ key: "b" }]);
  await expect(database.query("select nothing from nowhere")).rejects.toThrow("nowhere");
  await database.close();
});
