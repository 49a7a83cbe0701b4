import fc from "fast-check";
import { expect, test } from "vitest";
import { revealsOf, seenAfter } from "./reveals.ts";

const fault = (reportedLine: number | null, mended = true) => ({
  ...{ class: "runtime" as const, reportedLine },
  hunks: mended ? [{ start: 1, before: ["a\n"], after: ["b\n"] }] : [],
});

test("read, guess, run, kind, named line, faulty line, fix, run again; each answer after its question", () => {
  expect(revealsOf([fault(3)]).map(({ shows }) => shows)).toEqual([
    ...["think", "run", "think", "class", "think", "named line", "think", "faulty line"],
    ...["think", "fix", "think", "run"],
  ]);
  expect(revealsOf([fault(null, false), fault(3)]).map(({ shows }) => shows)).toEqual([
    ...["think", "run", "think", "class", "think", "faulty line"],
  ]);
  expect(revealsOf([])).toHaveLength(2);
});

test("nothing is seen before it was revealed; a question goes when its answer comes, what was said of a fault with the next run", () => {
  const reveals = revealsOf([fault(3), fault(null)]);
  expect(seenAfter(reveals, 0)).toMatchObject({ question: null, run: null, fault: null, fixes: [] });
  expect(seenAfter(reveals, 1).question).toContain("Read it");
  expect(seenAfter(reveals, 2)).toMatchObject({ question: null, run: 0, class: false });
  expect(seenAfter(reveals, 4)).toMatchObject({ class: true, namedLine: false, faultyLine: false });
  expect(seenAfter(reveals, 10)).toMatchObject({ run: 0, fault: 0, namedLine: true, faultyLine: true, fixes: [0] });
  expect(seenAfter(reveals, 12)).toMatchObject({ run: 1, fault: null, class: false, faultyLine: false, fixes: [0] });
  expect(seenAfter(reveals, reveals.length)).toMatchObject({ run: 2, fault: null, fixes: [0, 1] });
});

test("the way to the mistake comes line by line after the question, and with the faulty line the whole of it", () => {
  const looks = [4, 2, 1].map((line) => ({ line, why: "" }));
  const reveals = revealsOf([{ ...fault(4), looks }]);
  expect(reveals.map(({ shows }) => shows).slice(4)).toEqual([
    ...["think", "named line", "think", "look", "look", "faulty line", "think", "fix", "think", "run"],
  ]);
  const looksAfter = (count: number) => seenAfter(reveals, count).looks;
  expect([7, 8, 9].map(looksAfter)).toEqual([0, 1, 2]);
  expect(looksAfter(10)).toBeGreaterThan(looks.length);
  expect(looksAfter(reveals.length)).toBe(0);
});

test("what a lesson leaves out is not asked; without mending it ends with the first fault", () => {
  const shows = (without: ReadonlyArray<"class" | "line" | "fix">) =>
    revealsOf([fault(3), fault(null)], without)
      .map((reveal) => reveal.shows)
      .filter((what) => what !== "think");
  expect(shows(["class", "line"])).toEqual(["run", "fix", "run", "fix", "run"]);
  expect(shows(["fix"])).toEqual(["run", "class", "named line", "faulty line"]);
  expect(shows(["class", "line", "fix"])).toEqual(["run"]);
});

test("going on shows more of a fault, never less, and runs come in their order", () => {
  const faults = fc.array(fc.record({ at: fc.option(fc.integer({ min: 1, max: 9 })), mended: fc.boolean() }), {
    maxLength: 4,
  });
  fc.assert(
    fc.property(faults, (given) => {
      const reveals = revealsOf(given.map(({ at, mended }) => fault(at, mended)));
      for (let count = 0; count < reveals.length; count++) {
        const [now, next] = [seenAfter(reveals, count), seenAfter(reveals, count + 1)];
        expect([0, 1]).toContain((next.run ?? -1) - (now.run ?? -1));
        expect(next.fixes.slice(0, now.fixes.length)).toEqual(now.fixes);
        if (next.run !== now.run) continue;
        for (const what of ["class", "namedLine", "faultyLine"] as const) expect(!now[what] || next[what]).toBe(true);
      }
    }),
  );
});
