import { expect, test } from "vitest";
import { createSlowing } from "./slowGuessing.ts";

test("a few unknown ones are free; then looks go one after the other, and nobody else waits", async () => {
  const slowing = createSlowing({ most: 3, pause: 30, mostWaiting: 2 });
  const order: string[] = [];
  const look = async (name: string, address: string) => {
    if (!(await slowing.turn(address))) return void order.push(`${name} refused`);
    order.push(name);
  };
  for (let tries = 0; tries < 3; tries += 1) {
    await look("free", "10.0.0.7");
    slowing.unknown("10.0.0.7");
  }
  await Promise.all([
    look("first", "10.0.0.7"),
    look("second", "10.0.0.7"),
    look("third", "10.0.0.7"),
    look("other", "10.0.0.8"),
  ]);
  expect(order).toEqual(["free", "free", "free", "third refused", "other", "first", "second"]);
  // Nobody is locked out: whoever waits for the turn gets it.
  await look("later", "10.0.0.7");
  expect(order.at(-1)).toBe("later");
});

test("after ten minutes it is forgiven", async () => {
  let now = 0;
  const slowing = createSlowing({ most: 1, pause: 60_000, now: () => now });
  slowing.unknown("a");
  now = 10 * 60_000;
  expect(await slowing.turn("a")).toBe(true);
});
