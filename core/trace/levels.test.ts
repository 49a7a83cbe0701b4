import { expect, test } from "vitest";
import { type LevelRow, openCalls, recursionRemarks, recursionsIn } from "./levels.ts";

/** Rows by their depth; a call with its name and what it is given. */
const rows: LevelRow[] = [
  { depth: 0 },
  { depth: 1, call: "ways", arguments: ["2"] },
  { depth: 1 },
  { depth: 2, call: "ways", arguments: ["1"] },
  { depth: 3, call: "ways", arguments: ["0"] },
  { depth: 3, returned: "1" },
  { depth: 2, returned: "1" },
  { depth: 1 },
  { depth: 2, call: "board", className: "Ferry", arguments: ["Ferry 1", "4"], own: 0, ownName: "Ferry 1" },
  { depth: 0 },
];

test("the calls that are open, the outermost first, with what they were given", () => {
  const open = (done: number) =>
    openCalls(rows)
      .at(done)
      .map((level) => `${level.call} ${level.level}`);
  expect(open(0)).toEqual([]);
  expect(open(3)).toEqual(["ways(2) 1"]);
  expect(open(5)).toEqual(["ways(2) 1", "ways(1) 2", "ways(0) 3"]);
  // What comes next lies less deep: the inner call is over.
  expect(open(6)).toEqual(["ways(2) 1", "ways(1) 2"]);
  expect(open(9)).toEqual([]);
  expect(
    openCalls(rows)
      .at(8)
      .map((level) => level.at),
  ).toEqual([1]);
  expect(openCalls(rows.slice(0, 9)).at(9).at(-1)?.call).toBe("Ferry 1.board(4)");
});

test("whether a recursion reached its base case, and where", () => {
  const [only, ...others] = recursionsIn(rows);
  expect(others).toEqual([]);
  expect(only).toMatchObject({ name: "ways", levels: 3, base: { level: 3, call: "ways(0)", ended: 6 } });
  expect(recursionRemarks(rows)).toEqual([]);
});

test("a recursion that passes its base case is said with what it was given", () => {
  const endless = Array.from(
    { length: 9 },
    (_, at): LevelRow => ({
      ...{ depth: at + 1, call: "ways", arguments: [String(3 - 2 * at)] },
    }),
  );
  expect(recursionRemarks(endless)).toEqual([
    "ways calls itself 9 levels deep, and no call of it comes to an end without another one: the base case is never reached (ways(3), ways(1), ways(-1), ways(-3), ways(-5), ways(-7), …).",
  ]);
});

test("a call that an error ended has not reached its base case, also where the error is caught", () => {
  const caught: LevelRow[] = [
    ...Array.from({ length: 6 }, (_, at): LevelRow => ({ depth: at + 1, call: "ways", arguments: [String(-at)] })),
    { depth: 6, raised: "RecursionError: maximum recursion depth exceeded" },
    { depth: 0 },
  ];
  expect(recursionsIn(caught)[0]?.base).toBe(null);
  expect(recursionRemarks(caught)).toHaveLength(1);
});

test("two functions that call one another are recursions; one called twice in a row is none", () => {
  const pair = ["even", "odd", "even", "odd"].map((call, at): LevelRow => ({ depth: at + 1, call, arguments: [] }));
  expect(recursionsIn(pair).map(({ name, levels }) => `${name} ${levels}`)).toEqual(["even 2", "odd 2"]);
  const twice: LevelRow[] = [{ depth: 1, call: "fare" }, { depth: 0 }, { depth: 1, call: "fare" }];
  expect(recursionsIn(twice)).toEqual([]);
});
