import fc from "fast-check";
import { expect, test } from "vitest";
import { givens, partFilled } from "./partFilled.ts";

const rows = (count: number) =>
  Array.from({ length: count }, (_, at) => ({ line: String(at + 1), cells: { deck: "4" } }));
const shown = (count: number, given: (typeof givens)[number]) =>
  partFilled(rows(count), given).map(({ line, cells }) => `${line}${cells.deck ? "!" : ""}`);

test("nothing, the lines, or the lines with the first third of the rows are given", () => {
  expect(shown(4, "nothing")).toEqual(["", "", "", ""]);
  expect(shown(4, "lines")).toEqual(["1", "2", "3", "4"]);
  expect(shown(7, "beginning")).toEqual(["1!", "2!", "3", "4", "5", "6", "7"]);
  expect(shown(1, "beginning")).toEqual(["1"]);
});

test("however long a table is, no row is lost, and the last one is to be filled in", () => {
  fc.assert(
    fc.property(fc.nat(40), fc.constantFrom(...givens), (count, given) => {
      const printed = partFilled(rows(count), given);
      expect(printed).toHaveLength(count);
      expect(printed.at(-1)?.cells ?? {}).toEqual({});
    }),
  );
});
