import { expect, test } from "vitest";
import { createLoginTries } from "./loginTries.ts";

test("five wrong passwords are free; then each further one waits longer, at most half a minute", () => {
  let now = 0;
  const tries = createLoginTries(() => now);
  const waits: number[] = [];
  for (let index = 0; index < 14; index += 1) {
    tries.wrong("address a");
    waits.push(tries.wait("address a"));
    now += tries.wait("address a") * 1000;
  }
  expect(waits).toEqual([0, 0, 0, 0, 1, 2, 4, 8, 16, 30, 30, 30, 30, 30]);
  expect(tries.wait("address a")).toBe(0);
});

test("others do not wait, the right one forgives, and so does time", () => {
  let now = 0;
  const tries = createLoginTries(() => now);
  for (let index = 0; index < 9; index += 1) tries.wrong("address a");
  expect([tries.wait("address a"), tries.wait("address b"), tries.wait("device x")]).toEqual([16, 0, 0]);
  tries.right("address a");
  expect(tries.wait("address a")).toBe(0);
  for (let index = 0; index < 9; index += 1) tries.wrong("address a");
  now += 10 * 60_000;
  tries.wrong("address a");
  expect(tries.wait("address a")).toBe(0);
});
