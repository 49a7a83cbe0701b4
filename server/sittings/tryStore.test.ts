import { afterAll, beforeAll, expect, test } from "vitest";
import { openTestServices } from "../testServices.ts";
import { beginSitting } from "./sittingStore.ts";
import { sheetToSit } from "./testSheet.ts";
import { addTry, lastTry, listTries } from "./tryStore.ts";

let services: Awaited<ReturnType<typeof openTestServices>>;
beforeAll(async () => {
  services = await openTestServices();
});
afterAll(() => services.close());

test("of very many and very long runs the newest are kept, each as far as is shown", async () => {
  const { database } = services;
  const { edition, students } = await sheetToSit(database);
  const sitting = await beginSitting(database, edition, students[0]?.key ?? "");
  const run = { exercise: "e", console: { pieces: [], cut: 0 }, ended: "It ended by itself.", error: "" };
  for (let number = 1; number <= 65; number++)
    await addTry(database, sitting, { ...run, text: `${number}`.padEnd(50_000, "x"), input: "y".repeat(9000) });
  const kept = await listTries(database, sitting);
  expect([kept.length, kept[0]?.text.slice(0, 2), kept.at(-1)?.text.slice(0, 2)]).toEqual([60, "6x", "65"]);
  expect(await lastTry(database, sitting)).toMatchObject({ text: expect.stringMatching(/^65x+$/) });
  expect([kept[0]?.text.length, kept[0]?.input.length]).toEqual([20_000, 5000]);
});
