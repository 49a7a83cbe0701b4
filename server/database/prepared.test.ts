import { afterAll, beforeAll, expect, test } from "vitest";
import { openTestServices } from "../testServices.ts";
import type { Database } from "./query.ts";

let services: Awaited<ReturnType<typeof openTestServices>>;
let database: Database;
beforeAll(async () => {
  services = await openTestServices();
  ({ database } = services);
  await database.exec("create table crossing (key text primary key, minutes integer, deck jsonb, chart bytea)");
});
afterAll(() => services.close());

const add = "insert into crossing (key, minutes, deck, chart) values ($1, $2, $3, $4) returning key, minutes, chart";

test("a statement that is asked again gives what belongs to its new values, of every type", async () => {
  const chart = new Uint8Array([0, 39, 92, 255]);
  const added = await database.query(add, ["skua", 40, JSON.stringify({ cars: 3 }), chart]);
  expect(added).toEqual([{ key: "skua", minutes: 40, chart }]);
  expect(await database.query(add, ["auk", null, undefined, null])).toEqual([
    { key: "auk", minutes: null, chart: null },
  ]);
  const of = "select minutes, deck, minutes > 30 as long from crossing where key = any($1) order by key";
  expect(await database.query(of, [["skua"]])).toEqual([{ minutes: 40, deck: '{"cars": 3}', long: true }]);
  expect(await database.query(of, [["skua", "auk"]])).toEqual([
    { minutes: null, deck: null, long: null },
    { minutes: 40, deck: '{"cars": 3}', long: true },
  ]);
  expect(await database.query(of, [[]])).toEqual([]);
});

test("a statement that was refused for its values is taken for others, and one that cannot be read stays refused", async () => {
  await database.query(add, ["fulmar", 1, null, null]);
  await expect(database.query(add, ["fulmar", 2, null, null])).rejects.toMatchObject({ code: "23505" });
  await expect(database.query(add, ["gannet", "long", null, null])).rejects.toMatchObject({ code: "22P02" });
  expect(await database.query(add, ["gannet", 3, null, null])).toHaveLength(1);
  for (const _ of [1, 2]) await expect(database.query("selct 1")).rejects.toMatchObject({ code: "42601" });
  for (const _ of [1, 2]) await expect(database.query("select $1::int", [])).rejects.toMatchObject({ code: "08P01" });
});

test("a refused statement ends its transaction; the same text is sound in the next one", async () => {
  const again = (key: string) =>
    database.transaction(async (query) => {
      await query(add, [`${key} out`, 5, null, null]);
      await query(add, [key, 5, null, null]);
    });
  await again("tern");
  await expect(again("tern")).rejects.toMatchObject({ code: "23505" });
  await again("petrel");
  expect(await database.query("select key from crossing where minutes = 5 order by key")).toEqual(
    ["petrel", "petrel out", "tern", "tern out"].map((key) => ({ key })),
  );
});

test("a table that got another column, or lost one, is read as it is now", async () => {
  const all = "select * from crossing where key = $1";
  const columns = async () => Object.keys((await database.query(all, ["skua"]))[0] ?? {});
  expect(await columns()).toEqual(["key", "minutes", "deck", "chart"]);
  await database.exec("alter table crossing add column tide numeric");
  expect(await columns()).toEqual(["key", "minutes", "deck", "chart", "tide"]);
  await database.query("alter table crossing drop column tide");
  expect(await columns()).toEqual(["key", "minutes", "deck", "chart"]);
});

test("of more texts than are kept, the ones that were asked long ago are taken apart anew", async () => {
  const asked = (number: number) => database.query(`select $1::int + ${number} as sum`, [number]);
  for (const round of [1, 2])
    for (let number = 0; number < 320; number++)
      expect(await asked(number * round)).toEqual([{ sum: 2 * number * round }]);
  const kept = await database.query("select count(*)::integer as count from pg_prepared_statements");
  expect(kept).toEqual([{ count: 300 }]);
});

test("what is asked at once is answered each with its own, and nothing comes into a transaction from beside", async () => {
  const count = () => database.query("select count(*)::integer as count from crossing where minutes = 9");
  const before = Array.from({ length: 20 }, (_, number) => database.query("select $1::int as number", [number]));
  const refused = database.query("select 1 / $1::int", [0]);
  const work = database.transaction(async (query) => {
    await query(add, ["one", 9, null, null]);
    await new Promise((resolve) => setTimeout(resolve, 20));
    await query(add, ["two", 9, null, null]);
  });
  const after = [count(), count()];
  expect(await Promise.all(before)).toEqual(Array.from({ length: 20 }, (_, number) => [{ number }]));
  await expect(refused).rejects.toMatchObject({ code: "22012" });
  expect(await Promise.all(after)).toEqual([[{ count: 2 }], [{ count: 2 }]]);
  await work;
});

test("a nested query that is refused lets nothing into the transaction that it was asked in", async () => {
  const other = await new Promise<unknown>((resolve, reject) => {
    database
      .transaction(async (query) => {
        await query(add, ["shag", 11, null, null]);
        await database.query("select 1").catch(() => undefined);
        await database.transaction(async () => undefined).catch(() => undefined);
        await query(add, ["eider", 11, null, null]);
      })
      .catch(reject);
    resolve(database.query("select count(*)::integer as count from crossing where minutes = 11"));
  });
  expect(other).toEqual([{ count: 2 }]);
});
