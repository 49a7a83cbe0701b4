import { createElement } from "react";
import { renderToStaticMarkup } from "react-dom/server";
import { expect, test } from "vitest";
import * as z from "zod";
import { type Comparison, comparisonSchema, ownRules } from "../../core/assignments/comparison.ts";
import { ComparisonFields } from "./ComparisonFields.tsx";
import { comparisonFields, readComparison } from "./comparisonForm.ts";

/** What a form with these fields sends if nobody touches it. */
function sent(comparison: Comparison, inCheck: boolean): Record<string, string[]> {
  const markup = renderToStaticMarkup(createElement(ComparisonFields, { comparison, inCheck }));
  const values: Record<string, string[]> = {};
  for (const [, name = "", options = ""] of markup.matchAll(/<select name="(\w+)"[^>]*>(.*?)<\/select>/g)) {
    const chosen = /<option value="([^"]*)" selected/.exec(options);
    values[name] = [chosen?.[1] ?? ""];
  }
  values.within = [/name="within"[^>]*value="([^"]*)"/.exec(markup)?.[1] ?? ""];
  return values;
}
function read(comparison: Comparison, inCheck: boolean) {
  return readComparison(z.object(comparisonFields).parse(sent(comparison, inCheck)));
}

const rules: Comparison[] = [
  {},
  { prompts: "ignored" },
  { prompts: "compared", blanks: "exact", letterCase: "ignored" },
  { numbers: 0.25, order: "free", otherLines: "ignored" },
  { numbers: 0, blanks: "ignored" },
];

test.each(rules)("a form that nobody touched says the rules that it was given: %j", (comparison) => {
  const said = read(comparison, false);
  expect("problem" in said ? said : ownRules(said)).toEqual(ownRules(comparison));
});

test.each([...rules, { numbers: null }])("in a check only what differs is said: %j", (comparison) => {
  expect(read(comparison, true)).toEqual(comparison);
});

test.each([
  ["near", "", true],
  ["near", "-1", true],
  ["near", "much", true],
  ["near", "1e99", true],
  ["near", "0,5", false],
  ["near", " 2 ", false],
  ["exact", "much", false],
])("numbers %s by %j", (numbers, within, isProblem) => {
  const fields = { ...sent({}, false), numbers: [numbers], within: [within] };
  const said = readComparison(z.object(comparisonFields).parse(fields));
  expect("problem" in said).toBe(isProblem);
  if (!("problem" in said)) expect(comparisonSchema.safeParse(said).success).toBe(true);
});

test("a rule that is none is refused before anything is read", () => {
  expect(z.object(comparisonFields).safeParse({ ...sent({}, false), order: ["sideways"] }).success).toBe(false);
});
