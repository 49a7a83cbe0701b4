import { expect, test } from "vitest";
import { plainValue } from "../../expressions/plainValue.ts";

/** What an expression is worth, by the language's own rules, written as the program writes such a value. */
const values: ReadonlyArray<readonly [string, string]> = [
  ["7 / 2", "3.5"],
  ["7 \\ 2", "3"],
  ["7 Mod 3", "1"],
  ["2 ^ 3", "8"],
  ["-2 ^ 2", "-4"],
  ['"a" & 1', '"a1"'],
  ['"a" & "b"', '"ab"'],
  ["1 = 1", "True"],
  ["1 <> 2", "True"],
  ["Not True", "False"],
  ["True And False", "False"],
  ["True Or False", "True"],
  ["True Xor True", "False"],
  ["5 And 3", "1"],
  ["5 Or 3", "7"],
  ["2 + 3 * 4", "14"],
  ["(2 + 3) * 4", "20"],
  ['"tern".Length', "4"],
  ['Len("tern")', "4"],
  ["Math.Abs(-4)", "4"],
  ["Math.Max(3, 7)", "7"],
  ["CInt(2.5)", "2"],
  ["CInt(3.5)", "4"],
  ["Int(3.9)", "3"],
  ["CStr(12)", '"12"'],
  ['"a" < "b"', "True"],
  ["1.0 / 3", "0.33333333333333331"],
  ["10 \\ 3 * 3", "1"],
  ["True AndAlso False", "False"],
  ["False OrElse True", "True"],
  ["-7 \\ 2", "-3"],
  ["-7 Mod 3", "-1"],
  ['"tern".ToUpper()', '"TERN"'],
  ['"12" + 3', "15"],
];

test.each(values)("%s is %s", (expression, value) => {
  expect(plainValue("basic-forms", expression)).toEqual({ written: value });
});

test.each([["5 \\ 0", "DivideByZeroException: Attempted to divide by zero."]])(
  "%s stops the program: %s",
  (expression, why) => {
    expect(plainValue("basic-forms", expression)).toEqual({ stops: why });
  },
);
