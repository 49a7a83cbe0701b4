import { describe, expect, test } from "vitest";
import { createObjectStore } from "./objectStore.ts";
import { createRecordingReader } from "./readRecording.ts";
import { buildTable } from "./table.ts";
import type { ValueStyle } from "./tableStyle.ts";
import type { Step } from "./trace.ts";

const read = (tokens: readonly unknown[]): Step[] => {
  const steps = createRecordingReader().read(JSON.stringify(tokens));
  if (!steps) throw new Error("this is no recording");
  return steps;
};
const named: ValueStyle = { texts: "quoted", truth: "as written", objects: "named" };
const remark = expect.stringContaining("hold more than a cell can show");

/** `deck = [1]`, then `deck = [deck, deck]` again and again: what it holds is written twice as long each time. */
const doubled = (times: number) => [
  ["d", 1, 0, "deck"],
  ...[1, -1, ["list", null, 1, [1], "l"]],
  ...Array.from({ length: times }, (_, at) => [
    ...[
      2,
      -1,
      [
        "list",
        null,
        at + 2,
        [
          ["list", null, at + 1],
          ["list", null, at + 1],
        ],
        "l",
      ],
    ],
  ]).flat(),
];

/** A chain of cars, each before the one that was the first until then. */
const chain = (links: number) => [
  ["d", 1, 0, "first"],
  ...Array.from({ length: links }, (_, at) => [
    ...[3, -1],
    [
      "Car",
      null,
      at + 1,
      [
        ["number", at],
        ["behind", at === 0 ? null : ["Car", null, at]],
      ],
      "o",
    ],
  ]).flat(),
];

describe("what holds more than anybody can read is written in part, in time that can be told before", () => {
  test("a list that holds itself twice, eighty times over", () => {
    const { rows, remarks } = buildTable({ steps: read(doubled(80)) });
    const cells = rows.map((row) => row.cells.deck ?? "");
    expect(cells.slice(0, 3)).toEqual(["[1]", "[[1], [1]]", "[[[1], [1]], [[1], [1]]]"]);
    expect(cells[13]).toMatch(/^\[{14}1\].*…\]+$/);
    expect(Math.max(...cells.map((cell) => cell.length))).toBeLessThan(200_000);
    expect(remarks).toEqual([remark]);
  });

  test("the same where lists that two names hold have names", () => {
    const { rows } = buildTable({ steps: read(doubled(80)) }, { style: named });
    expect(rows[0]?.cells.deck).toMatch(/^list 1 \[1\]$/);
    expect(rows[80]?.cells.deck).toMatch(/^\[list \d+, list \d+\]$/);
  });

  test("a chain of thousands is told by its first links, and each new one is a change", () => {
    const { rows, remarks } = buildTable({ steps: read(chain(4000)) });
    const cells = rows.map((row) => row.cells.first ?? "");
    expect(cells[1]).toBe("Car(number=1, behind=Car(number=0, behind=None))");
    expect(new Set(cells).size).toBe(4000);
    expect(cells.at(-1)).toMatch(/^Car\(number=3999, behind=Car\(number=3998, .*behind=…\)+$/);
    expect(remarks).toEqual([remark]);
  });

  test("a chain of named objects keeps its short names", () => {
    const { rows, remarks } = buildTable({ steps: read(chain(3000)) }, { style: named });
    expect(rows.at(-1)?.cells.first).toBe("Car 3000(number=2999, behind=Car 2999)");
    expect(remarks).toBeUndefined();
  });

  test("a plan of a hundred rows of a hundred places is written whole", () => {
    const row = (at: number) => ["list", null, at + 2, Array.from({ length: 100 }, () => at), "l"];
    const deck = ["list", null, 1, Array.from({ length: 100 }, (_, at) => row(at)), "l"];
    const { rows, remarks } = buildTable({ steps: read([["d", 1, 0, "deck"], 1, -1, deck]) });
    expect(rows[0]?.cells.deck?.match(/\d+/g)).toHaveLength(10_000);
    expect(rows[0]?.cells.deck).toMatch(/^\[\[0, 0, .*99, 99\]\]$/);
    expect(remarks).toBeUndefined();
  });

  test("in a run that writes a big plan at every step, later rows show its beginning", () => {
    const row = (at: number) => ["list", null, at + 2, Array.from({ length: 100 }, () => 0), "l"];
    const deck = ["list", null, 1, Array.from({ length: 100 }, (_, at) => row(at)), "l"];
    const changes = Array.from({ length: 900 }, (_, at) => [2, ["o", 2, [at % 100], at + 1]]).flat();
    const { rows, remarks } = buildTable({ steps: read([["d", 1, 0, "deck"], 1, -1, deck, ...changes]) });
    const lengths = rows.map(({ cells }) => cells.deck?.length ?? 0);
    expect(lengths[1]).toBeGreaterThan(20_000);
    expect(lengths.at(-2)).toBeLessThan(1000);
    expect(remarks).toEqual([remark]);
  });

  test("the values themselves are taken out in part as well, and say how many there are", () => {
    const store = createObjectStore();
    for (const { writes } of read(doubled(60))) for (const write of writes) store.apply(write);
    const count = (value: { items?: ReadonlyArray<{ value: object }> }): number =>
      1 + (value.items ?? []).reduce((sum, item) => sum + count(item.value), 0);
    const whole = store.whole({ type: "list", id: 61 });
    expect(count(whole)).toBeLessThan(13_000);
    expect(store.isCut()).toBe(true);
  });
});

test("a list of places without a value is unset, however often the same rows stand in it", () => {
  const store = createObjectStore();
  const unset = { type: "int", text: "not set yet" };
  const hold = (id: number, of: number) => ({
    ...{ type: "list", id, shape: "list" as const },
    items: [0, 1].map(() => ({ value: of === 0 ? unset : { type: "list", id: of } })),
  });
  for (let id = 1; id <= 60; id++) store.apply({ scope: "global", owner: 0, path: ["deck"], value: hold(id, id - 1) });
  expect(store.isUnset({ type: "list", id: 60 })).toBe(true);
  store.apply({ scope: "object", owner: 1, path: [1], value: { type: "int", text: "4" } });
  expect(store.isUnset({ type: "list", id: 60 })).toBe(false);
  // One that holds nothing but itself is there.
  store.apply({ scope: "global", owner: 0, path: ["own"], value: { ...hold(70, 70) } });
  expect(store.isUnset({ type: "list", id: 70 })).toBe(false);
});

test.each([
  ["a line that is none", [0.5]],
  ["a line beyond all lines", [1e12]],
  ["a depth below all calls", [["f", 0, 0, -1], 1]],
  ["a depth that is no number", [["f", 0, 0, "3"], 1]],
  ["a place before the first", [1, ["o", 1, [-1], 3]]],
  ["a place that is half of one", [1, ["o", 1, [0.5], 3]]],
  ["a length below nothing", [["d", 1, 0, "deck"], 1, -1, ["list", null, 1, [1], "l", -4]]],
])("a recording with %s is none", (_, tokens) => {
  expect(createRecordingReader().read(JSON.stringify(tokens))).toBeNull();
});

test("a value inside of thousands of others is no recorder's", () => {
  const deep = `${'["list",null,0,['.repeat(5000)}1${'],"l"]'.repeat(5000)}`;
  expect(createRecordingReader().read(`[["d",1,0,"deck"],1,-1,${deep}]`)).toBeNull();
  expect(createRecordingReader().read(`${"[".repeat(100_000)}${"]".repeat(100_000)}`)).toBeNull();
});
