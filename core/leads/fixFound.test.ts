import { expect, test } from "vitest";
import { withFixes } from "./fixFound.ts";

const fix = (line: number, families: string[], repairs: "repairs" | "hides" | "open" = "open", of = 1) => ({
  ...{ lines: [line], repairs, why: `Line ${line}.`, checks: { of }, families },
});
const lines = (leads: ReturnType<typeof withFixes>) => leads.map((lead) => lead.line);
const shown = { line: 4, why: "“load” is a copy of its own here.", weight: 94 };
const passedBy = { line: 6, why: "The wrong value came through here.", weight: 90 };

test("a proven change leads, and what was said of its line stays with it", () => {
  const [first, ...others] = withFixes([shown, passedBy], [fix(6, ["comparison"], "repairs", 3)]);
  expect(first).toMatchObject({ line: 6, weight: 300 });
  expect(first?.why).toBe("After a small change here all 3 checks pass. Line 6. The wrong value came through here.");
  expect(lines(others)).toEqual([4]);
});

test("a number or text that may be fitted to its only check comes behind a mistake that the text shows", () => {
  for (const family of ["constant", "text-literal"])
    expect(lines(withFixes([shown, passedBy], [fix(2, [family])]))).toEqual([4, 2, 6]);
});

test("it leads where nothing else is shown, where more checks speak for it, or where it is another change", () => {
  expect(lines(withFixes([passedBy], [fix(2, ["constant"])]))).toEqual([2, 6]);
  expect(lines(withFixes([shown], [fix(2, ["constant"], "repairs", 2)]))).toEqual([2, 4]);
  expect(lines(withFixes([shown], [fix(2, ["arithmetic"])]))).toEqual([2, 4]);
  expect(lines(withFixes([shown], [fix(2, ["constant", "comparison"])]))).toEqual([2, 4]);
});

test("of several changes that may be fitted the first stays the first of them", () => {
  expect(lines(withFixes([shown], [fix(2, ["constant"]), fix(1, ["constant"])]))).toEqual([4, 2, 1]);
});

test("a change that only hides the fault gives no lead", () => {
  expect(lines(withFixes([passedBy], [fix(2, ["constant"], "hides")]))).toEqual([6]);
});
