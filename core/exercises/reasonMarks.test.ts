import { expect, test } from "vitest";
import type { FaultClass } from "../verdict/verdict.ts";
import { suggestReason } from "./reasonMarks.ts";

const facts = { names: new Set(["tmps", "temps", "bill", "fare", "17", "40"]), lines: 20 };
const share = (reason: string, right: FaultClass) => suggestReason(reason, right, facts).share;

test.each<[number, FaultClass, string]>([
  [0.5, "logic", "valid program, no crash, output is not the expected one"],
  [1, "logic", "it runs to the end, but bill is 40 and should be 17"],
  [1, "logic", "the wrong operator is used on line 4"],
  [1, "runtime", "only notices the unknown name when line 17 is reached; everything above was carried out"],
  [1, "runtime", "there is a spelling mistake in the name tmps"],
  [1, "runtime", "It had printed something and then it stopped"],
  [1, "runtime", "it crashes on line 5 because fare is divided by zero"],
  [0.5, "runtime", "an exception ends it"],
  [1, "syntax", "Nothing ran because a bracket is missing"],
  [1, "syntax", "a colon is missing on line 3"],
  [0.5, "syntax", "the program does not start"],
  [0, "logic", "it crashes while it is running"],
  [0, "runtime", "because of the error"],
  [0, "syntax", "the result is not what was wanted"],
  [0, "logic", ""],
])("%d of the marks, %s: “%s”", (expected, right, reason) => {
  expect(share(reason, right)).toBe(expected);
});

test.each<[FaultClass, string]>([
  ["runtime", "crash stop line 5 exception while running reached bill fare"],
  ["syntax", "bracket missing colon missing line 3 refused not start"],
  ["logic", "output wrong wrong wrong output bill 40"],
  ["runtime", "stop stop stop stop line 3"],
])("key words in no sentence earn not more than half, %s: “%s”", (right, reason) => {
  expect(share(reason, right)).toBeLessThanOrEqual(0.5);
});

test.each<[FaultClass, string]>([
  ["runtime", "it does not stop and never crashes on line 5"],
  ["logic", "the bill is not wrong"],
  ["syntax", "there is no missing bracket on line 3"],
])("what is denied earns not more than half, %s: “%s”", (right, reason) => {
  expect(share(reason, right)).toBeLessThanOrEqual(0.5);
});
