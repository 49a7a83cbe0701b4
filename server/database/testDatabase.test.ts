import { tmpdir } from "node:os";
import { expect, test } from "vitest";
import { z } from "zod";
import { addCourse, listCourses } from "../people/courseStore.ts";
import type { Database } from "./database.ts";
import { takeTestDatabase } from "./testDatabase.ts";

/** They lie beside those of other files, which get them next: only the end of the process takes them away. */
const under = tmpdir();

const named = z.array(z.object({ name: z.string() }));
const counted = z.array(z.object({ rows: z.coerce.number() }));

/** Every table of a database with how many rows it holds, and what the next number of each series would be. */
async function stateOf({ query }: Database): Promise<Record<string, number | string>> {
  const state: Record<string, number | string> = {};
  const tables = named.parse(
    await query(`select quote_ident(schemaname) || '.' || quote_ident(tablename) as name from pg_tables
      where schemaname in ('public', 'pgboss') order by 1`),
  );
  for (const { name } of tables)
    state[name] = counted.parse(await query(`select count(*) as rows from ${name}`))[0]?.rows ?? -1;
  const series = z
    .array(z.object({ name: z.string(), next: z.string() }))
    .parse(await query("select sequencename as name, coalesce(last_value, 0)::text as next from pg_sequences"));
  for (const { name, next } of series) state[`series ${name}`] = next;
  return state;
}

test("what the next file of tests gets is as a fresh one, whatever the one before has left", async () => {
  const first = await takeTestDatabase(under);
  const fresh = await stateOf(first);
  await addCourse(first, "Kittiwake Crossing", "python");
  await addCourse(first, "Terns", "pascal");
  await first.exec("create table crossing (boat text); insert into crossing values ('Tern')");
  await first.exec("create table deck.load (tonnes integer)").catch(() => undefined);
  expect(await stateOf(first)).not.toEqual(fresh);
  await first.close();
  const second = await takeTestDatabase(under);
  expect(await stateOf(second)).toEqual(fresh);
  expect(await listCourses(second)).toEqual([]);
  await second.close();
});

test("work that goes on behind a file's tests reaches the next file's database by no way", async () => {
  const first = await takeTestDatabase(under);
  const ways: Array<(database: Database) => Promise<unknown>> = [
    (database) => database.query("select 1 as one"),
    (database) => database.exec("create table crossing (boat text)"),
    (database) => database.transaction(async (query) => query("select 1 as one")),
    (database) => addCourse(database, "Terns", "python"),
  ];
  await ways[0]?.(first);
  await first.close();
  const second = await takeTestDatabase(under);
  for (const way of ways) await expect(way(first)).rejects.toThrow("these tests are over");
  expect(await listCourses(second)).toEqual([]);
  await second.close();
});

test("two files at once have a database each, and closing twice gives it away once", async () => {
  const [one, other] = [await takeTestDatabase(under), await takeTestDatabase(under)];
  await addCourse(one, "Kittiwake Crossing", "python");
  expect(await listCourses(other)).toEqual([]);
  await one.close();
  await one.close();
  const [third, fourth] = [await takeTestDatabase(under), await takeTestDatabase(under)];
  await addCourse(third, "Terns", "python");
  expect((await listCourses(fourth)).length).toBe(0);
  for (const each of [other, third, fourth]) await each.close();
});
