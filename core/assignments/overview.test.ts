import { expect, test } from "vitest";
import { type CombinedCheck, combineChecks, contradictions } from "./combineChecks.ts";
import {
  alikeOf,
  type Cell,
  cellResults,
  countClasses,
  createGlanceReader,
  glanceOf,
  groupAlike,
  lettersOf,
  masked,
  passesAll,
  readLetters,
} from "./overview.ts";

const cell = (check: string, result: Cell["result"], alike = ""): Cell => ({ check, edition: 1, result, alike });

test("programs that fail alike are one group, whatever their numbers are; the largest comes first", () => {
  const programs = [
    { key: "a", class: "logic" as const, cells: [cell("1", "logic", masked("line 1: Load: 19")), cell("2", "passes")] },
    { key: "b", class: "runtime" as const, cells: [cell("1", "runtime", "TypeError"), cell("2", "passes")] },
    { key: "c", class: "logic" as const, cells: [cell("1", "logic", masked("line 1: Load: 23")), cell("2", "passes")] },
    { key: "d", class: "logic" as const, cells: [cell("1", "logic", masked("line 1: Load: 23")), cell("2", "logic")] },
    { key: "e", class: null, cells: [cell("1", "passes"), cell("2", "passes")] },
    { key: "f", class: "logic" as const, cells: [cell("1", "does not end"), cell("2", "passes")] },
  ];
  const groups = groupAlike(
    programs.map((program) => ({ ...program, alike: alikeOf(program.cells) })),
    ["1", "2"],
  );
  expect(groups.map((group) => group.programs)).toEqual([["a", "c"], ["b"], ["d"], ["f"]]);
  expect(groups[3]).toMatchObject({ shows: "does not end", checks: ["1"] });
  expect(countClasses(programs)).toEqual({ syntax: 0, runtime: 1, logic: 4, "no fault shown": 1, open: 0 });
});

test("a refused program fails every check; what is open is no pass, and nothing at all is none", () => {
  const refused = { key: "a", class: "syntax" as const, cells: [cell("1", "syntax", "SyntaxError")] };
  expect(groupAlike([{ ...refused, alike: alikeOf(refused.cells) }], ["1", "2"])[0]?.checks).toEqual(["1", "2"]);
  expect(passesAll({ cells: [] })).toBe(false);
  expect(passesAll({ cells: [cell("1", "open")] })).toBe(false);
  expect(passesAll({ cells: [cell("1", "open"), cell("2", "passes")] })).toBe(true);
  expect(passesAll({ cells: [cell("1", "not run"), cell("2", "passes")] })).toBe(false);
});

const check = (fields: Partial<CombinedCheck>): CombinedCheck => ({
  ...{ input: "", surroundings: {}, expected: null, pieces: null, comparison: {}, handed_in: false },
  ...{ of_assignment: false, recorded: fields.expected ?? null, from: null, conflict: false, ...fields },
});

test("checks judge in their order: as handed in, the assignment's, the case's own", () => {
  const own = check({ input: "9\n", expected: "9" });
  const handedIn = check({ handed_in: true, input: "1\n", expected: "1" });
  const assigned = check({ of_assignment: true, input: "2\n", expected: "2" });
  expect(combineChecks([own, assigned, handedIn], null)).toEqual([handedIn, assigned, own]);
});

test("where the same is typed in the assignment counts, and another recorded output is a conflict", () => {
  const assigned = check({ of_assignment: true, input: "2\r\n", expected: "4\n", comparison: { numbers: 1 } });
  const said = check({ handed_in: true, input: "2\n", expected: "5\n" });
  expect(combineChecks([said, assigned], null)[0]).toMatchObject({
    ...{ expected: "4\n", recorded: "5\n", conflict: true, from: "assignment", comparison: { numbers: 1 } },
  });
  const alike = check({ handed_in: true, input: "2\n", expected: "4" });
  expect(combineChecks([alike, assigned], null)[0]).toMatchObject({ conflict: false });
  // Beside other files it is another run.
  const beside = check({ handed_in: true, input: "2\n", expected: "5\n", surroundings: { "tides.txt": "" } });
  expect(combineChecks([beside, assigned], null)[0]).toMatchObject({ expected: "5\n", conflict: false });
});

test("checks of one input and two intended outputs contradict one another; what nobody said does not", () => {
  const checks = [
    check({ input: "1\n", expected: "2\n" }),
    check({ input: "1", expected: "2" }),
    check({ input: "1\n", expected: "3\n" }),
    check({ input: "1\n" }),
    check({ input: "2\n", expected: "3\n" }),
    check({ input: "1\n", expected: "4\n", surroundings: { "tides.txt": "1" } }),
  ];
  expect([...contradictions(checks)]).toEqual([
    [0, 2],
    [1, 2],
    [2, 0],
  ]);
});

test("what a run as handed in was to give comes from the model, if nobody said it", () => {
  const pieces = [
    { kind: "prompt" as const, text: "Cars? " },
    { kind: "in" as const, text: "3\n" },
    { kind: "out" as const, text: "3 t\n" },
  ];
  const open = check({ handed_in: true, input: "3\n" });
  expect(combineChecks([open], pieces)[0]).toMatchObject({ expected: "3 t\n", pieces, from: "model", recorded: null });
  const said = check({ handed_in: true, input: "3\n", expected: "4 t\n" });
  expect(combineChecks([said], pieces)[0]).toMatchObject({ expected: "4 t\n", from: null });
});

test("cells in short are read as they were; what is none is left out", () => {
  const cells = cellResults.map((result, index) => ({ check: `key${index}`, edition: index + 1, result }));
  const readGlance = createGlanceReader();
  expect(readGlance(glanceOf(cells))).toEqual(cells);
  expect(readGlance(glanceOf(cells.toReversed()))).toEqual(cells.toReversed());
  expect(readGlance(glanceOf([]))).toEqual([]);
  // As it was written before, and cut short.
  expect(readGlance("load:2:p")).toEqual([{ check: "load", edition: 2, result: "passes" }]);
  expect(readGlance("load:2 limit:1|p")).toEqual([{ check: "load", edition: 2, result: "passes" }]);
  expect(readLetters(lettersOf([...cellResults, null]))).toEqual([...cellResults, null]);
  expect(readGlance("key:1:z other")).toEqual([]);
});
