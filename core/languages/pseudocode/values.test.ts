import { expect, test } from "vitest";
import { plainValue } from "../../expressions/plainValue.ts";

/** What an expression is worth, by the language's own rules, written as the program writes such a value. */
const values: ReadonlyArray<readonly [string, string]> = [
  ["7 DIV 2", "3"],
  ["7 MOD 3", "1"],
  ["7 / 2", "3.5"],
  ["2 + 3 * 4", "14"],
  ["NOT TRUE", "FALSE"],
  ["TRUE AND FALSE", "FALSE"],
  ["TRUE OR FALSE", "TRUE"],
  ['"a" & "b"', '"ab"'],
  ["1 = 1", "TRUE"],
  ["1 <> 2", "TRUE"],
  ["3 >= 3", "TRUE"],
  ['LENGTH("tern")', "4"],
  ["2 ^ 3", "8"],
  ["-5 + 2", "-3"],
  ['"a" < "b"', "TRUE"],
  ["(2 + 3) * 4", "20"],
];

test.each(values)("%s is %s", (expression, value) => {
  expect(plainValue("pseudocode", expression)).toEqual({ written: value });
});

test.each([
  ["5 DIV 0", "5 cannot be divided by 0."],
  ["5 / 0", "5 cannot be divided by 0."],
])("%s stops the program: %s", (expression, why) => {
  expect(plainValue("pseudocode", expression)).toEqual({ stops: why });
});
