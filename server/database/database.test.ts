import { mkdtemp, rm } from "node:fs/promises";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { afterAll, beforeAll, expect, test } from "vitest";
import { openTestServices } from "../testServices.ts";
import { openDatabase } from "./database.ts";
import { isDuplicate } from "./errors.ts";

let services: Awaited<ReturnType<typeof openTestServices>>;
beforeAll(async () => {
  services = await openTestServices();
});
afterAll(() => services.close());

test("tables are made at the first start and kept at the next; a second start changes nothing", async () => {
  const folder = await mkdtemp(join(tmpdir(), "bent-nail-"));
  try {
    const first = await openDatabase(folder);
    await first.query("insert into course (key, name, language, owner) values ($1, $2, $3, 'first')", [
      "k",
      "Kittiwake",
      "python",
    ]);
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
  const { database } = services;
  const add = (key: string) =>
    ["insert into course (key, name, language, owner) values ($1, 'n', 'python', 'first')", [key]] as const;
  const failing = database.transaction(async (query) => {
    await query(...add("a"));
    throw new Error("stop");
  });
  const other = database.query(...add("b"));
  await expect(failing).rejects.toThrow("stop");
  await other;
  expect(await database.query("select key from course")).toEqual([{ key: "b" }]);
});

test("a statement that is refused says by PostgreSQL's code why", async () => {
  const { database } = services;
  await database.query("insert into teacher (key, name) values ('tern', 'Tern')");
  const twice = database.query("insert into teacher (key, name) values ('tern', 'Tern')");
  await expect(twice).rejects.toMatchObject({ code: "23505", constraint: "teacher_pkey" });
  expect(await twice.catch(isDuplicate)).toBe(true);
  await expect(database.query("select nothing from nowhere")).rejects.toMatchObject({ code: "42P01" });
  expect(isDuplicate(new Error("23505"))).toBe(false);
});

test("a query that its own transaction would wait for is refused at once; what others ask meanwhile waits its turn", async () => {
  const { database } = services;
  const nested = database.transaction(async (query) => {
    await query("insert into teacher (key, name) values ('gull', 'Gull')");
    // As a helper does it that was given the database and not the transaction's query.
    await database.query("select 1");
  });
  const beside = database.query("select count(*)::integer as count from teacher where key = 'gull'");
  await expect(nested).rejects.toThrow("inside a transaction its own query is to be used");
  // The transaction was taken back, and nobody waits for ever.
  expect(await beside).toEqual([{ count: 0 }]);
  await expect(database.transaction(() => database.transaction(async () => 1))).rejects.toThrow("its own query");
  // After it has ended, what was begun in it may ask again.
  const later = await database.transaction(async () => () => database.query("select 2 as two"));
  expect(await later()).toEqual([{ two: 2 }]);
});

test("every reference has an index that begins with it", async () => {
  const missing = await services.database.query(
    `select c.conrelid::regclass::text as "table", c.conname as "reference" from pg_constraint c
     where c.contype = 'f' and c.connamespace = 'public'::regnamespace and not exists (
       select 1 from pg_index i where i.indrelid = c.conrelid and i.indkey[0] = c.conkey[1])`,
  );
  expect(missing).toEqual([]);
});

test("part of a word is looked for by an index, not by reading every case", async () => {
  const { database } = services;
  const plan = await database.transaction(async (query) => {
    await query("set local enable_seqscan = off");
    return query("explain select key from faulty_case where search_text like '%nameerr%'");
  });
  expect(JSON.stringify(plan)).toContain("faulty_case_search");
});
