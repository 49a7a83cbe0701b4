import { expect, test } from "vitest";
import { listOf, plainValue } from "../../expressions/plainValue.ts";
import type { Value } from "../../trace/trace.ts";

/** What an expression is worth, as mono gives it, written as the program writes such a value. */
const values: ReadonlyArray<readonly [string, string]> = [
  ["7 / 2", "3"],
  ["-7 / 2", "-3"],
  ["7 % -3", "1"],
  ["-7 % 3", "-1"],
  ["7 / 2.0", "3.5"],
  ["7.5 % 2", "1.5"],
  ['1 + 2 + "a"', '"3a"'],
  ['"a" + 1 + 2', '"a12"'],
  ["'a' + 1", "98"],
  ["(char)('a' + 1)", "'b'"],
  ["(int)3.9", "3"],
  ["(int)-3.9", "-3"],
  ["(double)7 / 2", "3.5"],
  ["(double)(7 / 2)", "3"],
  ["1 == 1.0", "true"],
  ["!true", "false"],
  ["true && false || true", "true"],
  ["5 & 3", "1"],
  ["5 | 3", "7"],
  ["5 ^ 3", "6"],
  ["~5", "-6"],
  ["1 << 4", "16"],
  ["-16 >> 2", "-4"],
  ["1 < 2 ? 10 : 20", "10"],
  ['"tern".Length', "4"],
  ['"tern"[1]', "'e'"],
  ['"tern".ToUpper()', '"TERN"'],
  ["Math.Abs(-4)", "4"],
  ["Math.Max(3, 7)", "7"],
  ["Math.Min(3, 7)", "3"],
  ["Math.Pow(2, 3)", "8"],
  ["Math.Sqrt(16)", "4"],
  ["0.1 + 0.2", "0.30000000000000004"],
  ["1.0 / 3", "0.33333333333333331"],
  ["1e10", "10000000000"],
  ["100.0", "100"],
  ["1e-5", "0.00001"],
  ["10 / 3 * 3", "9"],
  ['"x" + true', '"xTrue"'],
  ['"x" + 1.0', '"x1"'],
  ["\"x\" + 'c'", '"xc"'],
  ["5.0 / 0", "Infinity"],
  ['int.Parse("12")', "12"],
  ["(int)'a'", "97"],
  ["1_000", "1000"],
  ["2 + 3 * 4", "14"],
  ["3 != 4", "true"],
  ['null ?? "none"', '"none"'],
  ['"a" == "a"', "true"],
];

test.each(values)("%s is %s", (expression, value) => {
  expect(plainValue("csharp", expression)).toEqual({ written: value });
});

test.each([
  ["5 / 0", "DivideByZeroException: Attempted to divide by zero."],
  ['int.Parse("x")', "FormatException: Input string was not in a correct format."],
])("%s stops the program: %s", (expression, why) => {
  expect(plainValue("csharp", expression)).toEqual({ stops: why });
});

/** What names hold, as a recording of this language tells it. */
const names: Readonly<Record<string, Value>> = {
  cars: { type: "Int32", text: "3" },
  tide: { type: "double", text: "2.5" },
  boat: { type: "string", text: '"Tern"' },
  sails: { type: "bool", text: "true" },
  sign: { type: "char", text: "'b'" },
  none: { type: "null", text: "null" },
  loads: listOf("Int32", "4", "9", "2"),
  crew: listOf("string", '"Ada"'),
};

test.each([
  ["cars + 1", "4"],
  ["cars / 2", "1"],
  ["cars / 2.0", "1.5"],
  ["cars * tide", "7.5"],
  ["boat + cars", '"Tern3"'],
  ["boat + sails", '"TernTrue"'],
  ["boat + none", '"Tern"'],
  ["boat.Length - 1", "3"],
  ["boat[0]", "'T'"],
  ["sign + 1", "99"],
  ["sails && cars > 2", "true"],
  ["loads[1]", "9"],
  ["loads.Length", "3"],
  ["crew[0]", '"Ada"'],
  ["crew.Count", "1"],
  ["boat.Substring(1)", '"ern"'],
  ["cars > 2 ? boat : none", '"Tern"'],
  ["cars % 2 == 1", "true"],
  ["none == null", "true"],
  ["(double)cars / 2", "1.5"],
  ["boat.ToLower()", '"tern"'],
  ['boat.Contains("er")', "true"],
  ['boat == "Tern"', "true"],
  ["loads[0] + loads[2]", "6"],
  ["none ?? boat", '"Tern"'],
  ["boat.ToUpper()", '"TERN"'],
])("with what names hold, %s is %s", (expression, value) => {
  expect(plainValue("csharp", expression, names)).toEqual({ written: value });
});

test.each([
  ["loads[3]", "there is no element 3: IndexOutOfRangeException of an array, ArgumentOutOfRangeException of a List"],
  ["cars / (cars - 3)", "DivideByZeroException: Attempted to divide by zero."],
  ["boat[9]", "IndexOutOfRangeException: Index was outside the bounds of the array."],
  ["crew[1]", "there is no element 1: IndexOutOfRangeException of an array, ArgumentOutOfRangeException of a List"],
])("with what names hold, %s stops the program: %s", (expression, why) => {
  expect(plainValue("csharp", expression, names)).toEqual({ stops: why });
});

test.each(["none.Length"])("nothing is guessed of %s", (expression) => {
  expect(plainValue("csharp", expression, names)).toHaveProperty("unknown");
});
