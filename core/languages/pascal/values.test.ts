import { expect, test } from "vitest";
import { listOf, plainValue } from "../../expressions/plainValue.ts";
import type { Value } from "../../trace/trace.ts";

/** What an expression is worth, as Free Pascal 3.2 gives it, written as the program writes such a value. */
const values: ReadonlyArray<readonly [string, string]> = [
  ["7 div 2", "3"],
  ["-7 div 2", "-3"],
  ["7 mod 3", "1"],
  ["-7 mod 3", "-1"],
  ["7 / 2", "3.5"],
  ["6 / 3", "2"],
  ["2 + 3 * 4", "14"],
  ["(2 + 3) * 4", "20"],
  ["not true", "false"],
  ["true and false", "false"],
  ["true or false", "true"],
  ["true xor true", "false"],
  ["5 and 3", "1"],
  ["5 or 3", "7"],
  ["5 xor 3", "6"],
  ["1 shl 4", "16"],
  ["16 shr 2", "4"],
  ["'a' + 'b'", "'ab'"],
  ["'tern' + '!'", "'tern!'"],
  ["'a' < 'b'", "true"],
  ["1 = 1", "true"],
  ["1 <> 2", "true"],
  ["3 >= 3", "true"],
  ["abs(-4)", "4"],
  ["sqr(5)", "25"],
  ["sqrt(16)", "4"],
  ["round(2.5)", "2"],
  ["round(3.5)", "4"],
  ["trunc(3.9)", "3"],
  ["trunc(-3.9)", "-3"],
  ["odd(3)", "true"],
  ["ord('a')", "97"],
  ["chr(98)", "'b'"],
  ["length('tern')", "4"],
  ["upcase('a')", "'A'"],
  ["copy('tern', 2, 2)", "'er'"],
  ["pos('r', 'tern')", "3"],
  ["succ(3)", "4"],
  ["pred(3)", "2"],
  ["1.5 + 1", "2.5"],
  ["'it''s'", "'it''s'"],
  ["$1F", "31"],
  ["(1 = 1) and (2 > 1)", "true"],
  ["10 div 3 * 3", "9"],
  ["-5 + 2", "-3"],
  ["- 2 * 3", "-6"],
  ["1 in [1, 2]", "true"],
  ["lowercase('TERN')", "'tern'"],
  ["2 * 3.0", "6"],
];

test.each(values)("%s is %s", (expression, value) => {
  expect(plainValue("pascal", expression)).toEqual({ written: value });
});

test.each([
  ["5 div 0", "EDivByZero: Division by zero"],
  ["5 mod 0", "EDivByZero: Division by zero"],
])("%s stops the program: %s", (expression, why) => {
  expect(plainValue("pascal", expression)).toEqual({ stops: why });
});

/** What names hold, as a recording of this language tells it. */
const names: Readonly<Record<string, Value>> = {
  cars: { type: "SmallInt", text: "3" },
  tide: { type: "Real", text: "2.5" },
  boat: { type: "ShortString", text: "'Tern'" },
  sails: { type: "Boolean", text: "true" },
  sign: { type: "Char", text: "'b'" },
  loads: listOf("SmallInt", "4", "9", "2"),
};

test.each([
  ["cars + 1", "4"],
  ["cars div 2", "1"],
  ["cars / 2", "1.5"],
  ["cars * tide", "7.5"],
  ["boat + '!'", "'Tern!'"],
  ["boat[1]", "'T'"],
  ["length(boat)", "4"],
  ["sign = 'b'", "true"],
  ["sails and (cars > 2)", "true"],
  ["not sails", "false"],
  ["cars mod 2", "1"],
  ["odd(cars)", "true"],
  ["ord(sign)", "98"],
  ["copy(boat, 1, 2)", "'Te'"],
  ["pos('r', boat)", "3"],
  ["round(tide)", "2"],
  ["trunc(tide)", "2"],
  ["cars > tide", "true"],
  ["boat = 'Tern'", "true"],
  ["upcase(sign)", "'B'"],
  ["sqr(cars)", "9"],
  ["-cars", "-3"],
  ["abs(-cars)", "3"],
  ["boat < 'Uria'", "true"],
])("with what names hold, %s is %s", (expression, value) => {
  expect(plainValue("pascal", expression, names)).toEqual({ written: value });
});

test.each([["cars div (cars - 3)", "EDivByZero: Division by zero"]])(
  "with what names hold, %s stops the program: %s",
  (expression, why) => {
    expect(plainValue("pascal", expression, names)).toEqual({ stops: why });
  },
);

test.each(["loads[1]", "loads[3]", "loads[4]", "loads[0]", "loads[1] + loads[3]"])(
  "nothing is guessed of %s",
  (expression) => {
    expect(plainValue("pascal", expression, names)).toHaveProperty("unknown");
  },
);
