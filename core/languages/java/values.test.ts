import { expect, test } from "vitest";
import { listOf, plainValue } from "../../expressions/plainValue.ts";
import type { Value } from "../../trace/trace.ts";

/** What an expression is worth, as a JDK 17 gives it, written as the program writes such a value. */
const values: ReadonlyArray<readonly [string, string]> = [
  ["7 / 2", "3"],
  ["-7 / 2", "-3"],
  ["7 % -3", "1"],
  ["-7 % 3", "-1"],
  ["7 / 2.0", "3.5"],
  ["7.5 % 2", "1.5"],
  ['1 + 2 + "a"', '"3a"'],
  ['"a" + 1 + 2', '"a12"'],
  ['"a" + (1 + 2)', '"a3"'],
  ["'a' + 1", "98"],
  ["(char) ('a' + 1)", "'b'"],
  ["(int) 3.9", "3"],
  ["(int) -3.9", "-3"],
  ["(double) 7 / 2", "3.5"],
  ["(double) (7 / 2)", "3.0"],
  ["2147483647 + 1", "-2147483648"],
  ["2147483647L + 1", "2147483648"],
  ["1 == 1.0", "true"],
  ["!true", "false"],
  ["true && false || true", "true"],
  ["5 & 3", "1"],
  ["5 | 3", "7"],
  ["5 ^ 3", "6"],
  ["~5", "-6"],
  ["1 << 4", "16"],
  ["-16 >> 2", "-4"],
  ["-16 >>> 28", "15"],
  ["1 < 2 ? 10 : 20", "10"],
  ['"tern".length()', "4"],
  ['"tern".charAt(1)', "'e'"],
  ['"tern".substring(1, 3)', '"er"'],
  ['"tern".equals("tern")', "true"],
  ['"tern".toUpperCase()', '"TERN"'],
  ['"tern".indexOf("r")', "2"],
  ["Math.abs(-4)", "4"],
  ["Math.max(3, 7)", "7"],
  ["Math.min(3, 7)", "3"],
  ["Math.pow(2, 3)", "8.0"],
  ["Math.sqrt(16)", "4.0"],
  ["0.1 + 0.2", "0.30000000000000004"],
  ["1.0 / 3", "0.3333333333333333"],
  ["1e10", "1.0E10"],
  ["100.0", "100.0"],
  ["1e-5", "1.0E-5"],
  ["1.0f / 3", "0.33333334"],
  ["10 / 3 * 3", "9"],
  ["10 / 3.0 * 3", "10.0"],
  ["'a' < 'b'", "true"],
  ['"x" + null', '"xnull"'],
  ['"x" + true', '"xtrue"'],
  ['"x" + 1.0', '"x1.0"'],
  ["\"x\" + 'c'", '"xc"'],
  ["5.0 / 0", "Infinity"],
  ['Integer.parseInt("12")', "12"],
  ["(int) 'a'", "97"],
  ["07 + 1", "8"],
  ["0x1F", "31"],
  ["1_000", "1000"],
  ["-5 / 2 * 2", "-4"],
  ["1 - 2 - 3", "-4"],
  ["2 + 3 * 4", "14"],
  ["(2 + 3) * 4", "20"],
  ["10L * 3", "30"],
  ["(long) 2147483647 + 1", "2147483648"],
  ["3 != 4", "true"],
  ["'a' == 97", "true"],
];

test.each(values)("%s is %s", (expression, value) => {
  expect(plainValue("java", expression)).toEqual({ written: value });
});

test.each([
  ["5 / 0", "ArithmeticException: / by zero"],
  ["5 % 0", "ArithmeticException: / by zero"],
  ['Integer.parseInt("x")', 'NumberFormatException: For input string: "x"'],
  ['"ab".charAt(5)', "StringIndexOutOfBoundsException: String index out of range: 5"],
])("%s stops the program: %s", (expression, why) => {
  expect(plainValue("java", expression)).toEqual({ stops: why });
});

/** What names hold, as a recording of this language tells it. */
const names: Readonly<Record<string, Value>> = {
  cars: { type: "Integer", text: "3" },
  far: { type: "Long", text: "5" },
  tide: { type: "Double", text: "2.5" },
  boat: { type: "String", text: '"Tern"' },
  sails: { type: "Boolean", text: "true" },
  sign: { type: "char", text: "'b'" },
  none: { type: "null", text: "null" },
  loads: listOf("Integer", "4", "9", "2"),
  crew: listOf("String", '"Ada"'),
};

test.each([
  ["cars + 1", "4"],
  ["cars / 2", "1"],
  ["cars / 2.0", "1.5"],
  ["cars * tide", "7.5"],
  ["far + cars", "8"],
  ["boat + cars", '"Tern3"'],
  ["cars + boat", '"3Tern"'],
  ["boat + sails", '"Terntrue"'],
  ["boat + none", '"Ternnull"'],
  ["boat.length() - 1", "3"],
  ["boat.charAt(0)", "'T'"],
  ["boat.charAt(cars)", "'n'"],
  ["sign + 1", "99"],
  ["(char) (sign + 1)", "'c'"],
  ["sign == 'b'", "true"],
  ["sails && cars > 2", "true"],
  ["!sails", "false"],
  ["loads[1]", "9"],
  ["loads[cars - 1]", "2"],
  ["loads.length", "3"],
  ["crew.get(0)", '"Ada"'],
  ["crew.size()", "1"],
  ["boat.substring(1)", '"ern"'],
  ["cars > 2 ? boat : none", '"Tern"'],
  ["cars % 2 == 1", "true"],
  ["boat.equals(none)", "false"],
  ["none == null", "true"],
  ["boat != null", "true"],
  ["(double) cars / 2", "1.5"],
  ["boat.toLowerCase()", '"tern"'],
  ['boat.contains("er")', "true"],
  ["boat.isEmpty()", "false"],
  ["loads[0] + loads[2]", "6"],
  ["cars == tide", "false"],
  ["loads[0] > loads[1] || cars < 4", "true"],
])("with what names hold, %s is %s", (expression, value) => {
  expect(plainValue("java", expression, names)).toEqual({ written: value });
});

test.each([
  ["loads[3]", "ArrayIndexOutOfBoundsException: Index 3 out of bounds for length 3"],
  ["loads[-1]", "ArrayIndexOutOfBoundsException: Index -1 out of bounds for length 3"],
  ["none.length()", "NullPointerException"],
  ["cars / (cars - 3)", "ArithmeticException: / by zero"],
  ["boat.charAt(9)", "StringIndexOutOfBoundsException: String index out of range: 9"],
])("with what names hold, %s stops the program: %s", (expression, why) => {
  expect(plainValue("java", expression, names)).toEqual({ stops: why });
});

test.each(["cars++", "fare(cars)"])("nothing is guessed of %s", (expression) => {
  expect(plainValue("java", expression, names)).toHaveProperty("unknown");
});
