import { afterAll, beforeAll, expect, test } from "vitest";
import { openTestServices } from "../testServices.ts";
import { refreshStatistics } from "./statistics.ts";

let services: Awaited<ReturnType<typeof openTestServices>>;
beforeAll(async () => {
  services = await openTestServices();
});
afterAll(() => services.close());

test("a table that grew is counted anew once, and a search then goes by its index", async () => {
  const { database } = services;
  await database.query(
    `insert into content (hash, bytes) select lpad(n::text, 64, '0'), ''::bytea from generate_series(1, 3000) n`,
  );
  await database.query(
    `insert into faulty_case (key, title, language, intent, changed_last, note, search_text)
     select 'k' || n, 'Deck load ' || n, 'python', '', '', '', 'crossing ' || n || ' of the kittiwake ' || repeat('deck load ', 20)
     from generate_series(1, 3000) n`,
  );
  const plan = async () => {
    const rows = await database.query(
      `explain select count(*) from faulty_case where deleted_at is null and search_text like '%crossing 1234 %'`,
    );
    return JSON.stringify(rows);
  };
  expect(await refreshStatistics(database)).toContain("public.faulty_case");
  expect(await plan()).toContain("faulty_case_search");
  expect(await refreshStatistics(database)).toEqual([]);
});
