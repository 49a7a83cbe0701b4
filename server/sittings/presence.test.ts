import { expect, test } from "vitest";
import { createPresence, whereIs } from "./presence.ts";

test("a page that is seen is remembered with its task, also when it names none", () => {
  let now = 1000;
  const presence = createPresence(() => now);
  expect(presence.of("one")).toBeNull();
  presence.seen("one", "mend");
  now = 4000;
  presence.seen("one", null);
  expect(presence.of("one")).toEqual({ at: 4000, task: "mend", behind: false });
});

test("of very many pages those seen longest ago are forgotten first", () => {
  const presence = createPresence(() => 0);
  presence.seen("first", null);
  for (let number = 0; number < 4999; number++) presence.seen(`page ${number}`, null);
  presence.seen("first", null);
  presence.seen("one more", null);
  expect([presence.of("first"), presence.of("page 0"), presence.of("page 1")]).toEqual([
    ...[{ at: 0, task: null, behind: false }, null, { at: 0, task: null, behind: false }],
  ]);
});

test("a page behind another window is there as long as browsers let it say so, and in front again when it is", () => {
  let now = 0;
  const presence = createPresence(() => now);
  const where = () => whereIs(presence.of("one"), now);
  expect(where()).toBe("away");
  presence.seen("one", "mend", true);
  now = 70_000;
  expect(where()).toBe("behind");
  now = 160_000;
  expect(where()).toBe("away");
  presence.seen("one", "mend");
  expect(where()).toBe("here");
  now += 20_000;
  expect(where()).toBe("away");
});
