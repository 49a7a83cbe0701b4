import { expect, test } from "vitest";
import { plainValue } from "../../expressions/plainValue.ts";

/** What an expression is worth, by the language's own rules, written as the program writes such a value. */
const values: ReadonlyArray<readonly [string, string]> = [
  ["7 / 2", "3"],
  ["7 % 3", "1"],
  ["7 / 2.0", "3.5"],
  ["true && false", "false"],
  ["1 < 2 ? 10 : 20", "10"],
  ['"a" + 1', '"a1"'],
  ["2 + 3 * 4", "14"],
];

test.each(values)("%s is %s", (expression, value) => {
  expect(plainValue("sketch", expression)).toEqual({ written: value });
});
