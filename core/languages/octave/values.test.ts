import { expect, test } from "vitest";
import { listOf, plainValue } from "../../expressions/plainValue.ts";
import type { Value } from "../../trace/trace.ts";

/** What an expression is worth, as Octave 7 gives it, written as the program writes such a value. */
const values: ReadonlyArray<readonly [string, string]> = [
  ["7 / 2", "3.5"],
  ["mod(7, 3)", "1"],
  ["mod(-7, 3)", "2"],
  ["rem(-7, 3)", "-1"],
  ["2 ^ 10", "1024"],
  ["-2 ^ 2", "-4"],
  ["2 ^ -1", "0.5"],
  ["~0", "1"],
  ["!1", "0"],
  ["1 == 1", "1"],
  ["3 ~= 4", "1"],
  ["3 != 4", "1"],
  ["1 && 0", "0"],
  ["1 || 0", "1"],
  ["length('tern')", "4"],
  ["abs(-4)", "4"],
  ["floor(2.7)", "2"],
  ["ceil(2.1)", "3"],
  ["round(2.5)", "3"],
  ["fix(-2.7)", "-2"],
  ["sqrt(16)", "4"],
  ["int32(7) / int32(2)", "4"],
  ["int32(5) + 0.6", "6"],
  ["uint8(250) + 10", "255"],
  ["uint8(5) - 10", "0"],
  ["true + true", "2"],
  ["'a' + 1", "98"],
  ["1 / 0", "Inf"],
  ["-1 / 0", "-Inf"],
  ["0 / 0", "NaN"],
  ["1e5", "100000"],
  ["0.1 + 0.2", "0.3"],
  ["100000 * 10", "1000000"],
  ["1 / 3", "0.3333"],
  ["strcmp('a', 'b')", "0"],
  ["2 + 3 * 4", "14"],
  ["(2 + 3) * 4", "20"],
  ["5 - -2", "7"],
  ["1 < 2 < 0", "0"],
];

test.each(values)("%s is %s", (expression, value) => {
  expect(plainValue("octave", expression)).toEqual({ written: value });
});

/** What names hold, as a recording of this language tells it. */
const names: Readonly<Record<string, Value>> = {
  cars: { type: "double", text: "3" },
  tide: { type: "double", text: "2.5" },
  boat: { type: "char", text: '"Tern"' },
  sails: { type: "logical", text: "1" },
  loads: listOf("double", "4", "9", "2"),
  whole: { type: "int32", text: "7" },
};

test.each([
  ["cars + 1", "4"],
  ["cars / 2", "1.5"],
  ["cars * tide", "7.5"],
  ["loads(1)", "4"],
  ["numel(loads)", "3"],
  ["length(boat)", "4"],
  ["boat(1)", '"T"'],
  ["cars > 2 && sails", "1"],
  ["~sails", "0"],
  ["mod(cars, 2)", "1"],
  ["cars ^ 2", "9"],
  ["cars / 0", "Inf"],
  ["-cars", "-3"],
  ["cars == 3", "1"],
  ["cars ~= 3", "0"],
  ["sum(loads)", "15"],
  ["loads(1) + loads(3)", "6"],
  ["whole / 2", "4"],
  ["whole + 0.5", "8"],
  ["isempty(loads)", "0"],
  ["floor(tide)", "2"],
  ["round(tide)", "3"],
  ["strcmp(boat, 'Tern')", "1"],
  ["abs(-cars)", "3"],
  ["loads(cars)", "2"],
])("with what names hold, %s is %s", (expression, value) => {
  expect(plainValue("octave", expression, names)).toEqual({ written: value });
});

test.each([
  ["loads(4)", "index (4): out of bound 3"],
  ["loads(0)", "index (0): subscripts must be either integers 1 to (2^63)-1 or logicals"],
  ["loads(1.5)", "index (1.5): subscripts must be either integers 1 to (2^63)-1 or logicals"],
])("with what names hold, %s stops the program: %s", (expression, why) => {
  expect(plainValue("octave", expression, names)).toEqual({ stops: why });
});

test.each(["loads(end)", "max(loads)", "loads{1}"])("nothing is guessed of %s", (expression) => {
  expect(plainValue("octave", expression, names)).toHaveProperty("unknown");
});
