import { setTimeout as sleep } from "node:timers/promises";
import fc from "fast-check";
import { expect, test } from "vitest";
import { gather } from "./gather.ts";

test("Whatever is asked for, and whenever: every item gets its own answer, no piece is too large, not too many go on", async () => {
  await fc.assert(
    fc.asyncProperty(
      fc.array(fc.record({ item: fc.integer(), pause: fc.boolean() }), { maxLength: 60 }),
      fc.integer({ min: 1, max: 4 }),
      fc.integer({ min: 1, max: 9 }),
      async (asked, atOnce, most) => {
        let going = 0;
        const ask = gather<number, string>(
          async (items) => {
            going += 1;
            expect(going).toBeLessThanOrEqual(atOnce);
            expect(items.length).toBeLessThanOrEqual(most);
            await sleep(0);
            going -= 1;
            return items.map((item) => `tide ${item}`);
          },
          { atOnce, most: () => most },
        );
        const answers: Array<Promise<string>> = [];
        for (const { item, pause } of asked) {
          answers.push(ask(item));
          if (pause) await sleep(0);
        }
        expect(await Promise.all(answers)).toEqual(asked.map(({ item }) => `tide ${item}`));
      },
    ),
    { numRuns: 60 },
  );
});

test("What comes while work goes on is done together", async () => {
  const sizes: number[] = [];
  const ask = gather<number, number>(
    async (items) => {
      sizes.push(items.length);
      await sleep(5);
      return items;
    },
    { atOnce: 1, most: () => 32 },
  );
  const first = ask(1);
  await sleep(1);
  await Promise.all([first, ...Array.from({ length: 20 }, (_, at) => ask(at))]);
  expect(sizes).toEqual([1, 20]);
});

test("A piece of work that fails fails for its own items, and the next one goes on", async () => {
  const ask = gather<number, number>(
    async (items) => {
      if (items.includes(3)) throw new Error("no tide");
      return items;
    },
    { atOnce: 2, most: () => 1 },
  );
  const told = await Promise.allSettled([ask(1), ask(3), ask(4)]);
  expect(told.map((each) => each.status)).toEqual(["fulfilled", "rejected", "fulfilled"]);
});

test("What is urgent waits for nothing else, and is one piece of work of its own", async () => {
  const pieces: Array<{ items: number[]; urgent: boolean }> = [];
  let free = () => {};
  const held = new Promise<void>((resolve) => {
    free = resolve;
  });
  const ask = gather<number, number>(
    async (items, urgent) => {
      pieces.push({ items: [...items], urgent });
      if (!urgent) await held;
      return items.map((item) => -item);
    },
    { atOnce: 1, most: () => 2 },
  );
  const usual = [1, 2, 3, 4].map((item) => ask(item));
  await sleep(5);
  expect(await Promise.all([5, 6, 7].map((item) => ask(item, true)))).toEqual([-5, -6, -7]);
  expect(pieces).toEqual([
    { items: [1, 2], urgent: false },
    { items: [5, 6, 7], urgent: true },
  ]);
  free();
  expect(await Promise.all(usual)).toEqual([-1, -2, -3, -4]);
});

test("An urgent piece of work that fails fails for its own items only", async () => {
  const ask = gather<number, number>(
    async (items, urgent) => {
      if (urgent) throw new Error("the ferry is full");
      return items;
    },
    { atOnce: 1, most: () => 4 },
  );
  const [one, other] = await Promise.allSettled([ask(1), ask(2, true)]);
  expect(one).toEqual({ status: "fulfilled", value: 1 });
  expect(other.status).toBe("rejected");
});
