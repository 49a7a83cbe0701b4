import { expect, test } from "vitest";
import { listOf, plainValue } from "../../expressions/plainValue.ts";
import type { Value } from "../../trace/trace.ts";

/** What an expression is worth, as gcc 12 gives it, written as the program writes such a value. */
const values: ReadonlyArray<readonly [string, string]> = [
  ["7 / 2", "3"],
  ["-7 / 2", "-3"],
  ["7 % -3", "1"],
  ["-7 % 3", "-1"],
  ["7 / 2.0", "3.5"],
  ["1 == 1", "1"],
  ["1 == 1.0", "1"],
  ["!5", "0"],
  ["!0", "1"],
  ["5 && 0", "0"],
  ["0 || 3", "1"],
  ["5 & 3", "1"],
  ["5 | 3", "7"],
  ["5 ^ 3", "6"],
  ["~5", "-6"],
  ["1 << 4", "16"],
  ["-16 >> 2", "-4"],
  ["1 < 2 ? 10 : 20", "10"],
  ["'a' + 1", "98"],
  ["'a'", "'a'"],
  ["'a' < 'b'", "1"],
  ["(char) ('a' + 1)", "'b'"],
  ["(int) 3.9", "3"],
  ["(int) -3.9", "-3"],
  ["(double) 7 / 2", "3.5"],
  ["(double) (7 / 2)", "3"],
  ["(float) 7 / 2", "3.5"],
  ["2147483647 - 1", "2147483646"],
  ["4000000000 + 1", "4000000001"],
  ["2147483647L + 1", "2147483648"],
  ["0x1F", "31"],
  ["017", "15"],
  ["10L * 3", "30"],
  ["5u - 3", "2"],
  ["2 + 3 * 4", "14"],
  ["(2 + 3) * 4", "20"],
  ["10 / 3 * 3", "9"],
  ["10 / 3.0 * 3", "10"],
  ["100.0", "100"],
  ["1e5", "100000"],
  ["1.5e-3", "0.0015"],
  ["0.1 + 0.2", "0.30000000000000004"],
  ["3 != 4", "1"],
  ["1 < 2 < 0", "0"],
  ["3 > 2 > 1", "0"],
  ["5 - -2", "7"],
  ["-(3 - 5)", "2"],
  ["1 + 2 == 3 && 4 > 3", "1"],
  ["7 % 2 == 1", "1"],
  ["1.0 / 3", "0.3333333333333333"],
  ["'0' + 5", "53"],
  ["'z' - 'a'", "25"],
  ["(unsigned char) 300", "44"],
  ["(short) 40000", "-25536"],
  ["1 ? 2 : 3 ? 4 : 5", "2"],
  ["0 ? 2 : 0 ? 4 : 5", "5"],
];

test.each(values)("%s is %s", (expression, value) => {
  expect(plainValue("c", expression)).toEqual({ written: value });
});

test.each([
  ["5 / 0", "division by zero stops the program"],
  ["5 % 0", "division by zero stops the program"],
])("%s stops the program: %s", (expression, why) => {
  expect(plainValue("c", expression)).toEqual({ stops: why });
});

/** What names hold, as a recording of this language tells it. */
const names: Readonly<Record<string, Value>> = {
  cars: { type: "int", text: "3" },
  tide: { type: "double", text: "2.5" },
  boat: { type: "char", text: '"Tern"' },
  sign: { type: "char", text: "'b'" },
  loads: listOf("int", "4", "9", "2"),
  none: { type: "int*", text: "NULL" },
};

test.each([
  ["cars + 1", "4"],
  ["cars / 2", "1"],
  ["cars / 2.0", "1.5"],
  ["cars * tide", "7.5"],
  ["boat[0]", "'T'"],
  ["boat[4]", "'\\0'"],
  ["sign + 1", "99"],
  ["sign == 'b'", "1"],
  ["cars > 2 && tide < 3", "1"],
  ["!cars", "0"],
  ["loads[1]", "9"],
  ["loads[cars - 1]", "2"],
  ["cars % 2", "1"],
  ["(double) cars / 2", "1.5"],
  ["-cars", "-3"],
  ["~cars", "-4"],
  ["cars << 1", "6"],
  ["cars & 1", "1"],
  ["loads[0] + loads[2]", "6"],
  ["cars ? 1 : 2", "1"],
  ["strlen(boat)", "4"],
  ["tide == 2.5", "1"],
  ["(int) tide", "2"],
  ["sign - 'a'", "1"],
  ["loads[0] > loads[1] || cars < 4", "1"],
])("with what names hold, %s is %s", (expression, value) => {
  expect(plainValue("c", expression, names)).toEqual({ written: value });
});

test.each([["cars / (cars - 3)", "division by zero stops the program"]])(
  "with what names hold, %s stops the program: %s",
  (expression, why) => {
    expect(plainValue("c", expression, names)).toEqual({ stops: why });
  },
);

test.each(["loads[3]", "none == NULL", "*none", "&cars", "cars = 4"])("nothing is guessed of %s", (expression) => {
  expect(plainValue("c", expression, names)).toHaveProperty("unknown");
});
