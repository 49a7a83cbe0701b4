import { describe, expect, test } from "vitest";
import { editContext } from "../../edits/context.ts";
import { findLanguage } from "../../languages/languages.ts";
import { mistakes } from "./mistakes.ts";

describe.each(mistakes)("$id", (mistake) => {
  test.each(mistake.examples)("is seen on its line ($language)", ({ language, text, line }) => {
    const found = findLanguage(language);
    const context = found && editContext(found, text);
    if (!context) throw new Error(`no trees for ${language}`);
    expect(mistake.find(context).map((place) => place.line)).toContain(line);
  });
});

test("in a right program none is seen", () => {
  const text = `prices = [4, 6, 9]
total = 0
highest = prices[0]
for price in prices:
    total += price
    if price > highest:
        highest = price
people = int(input("People? "))
while people > 0:
    people -= 1
print((total + highest) / 2, sorted(prices))
`;
  const python = findLanguage("python");
  const context = python && editContext(python, text);
  if (!context) throw new Error("no trees");
  expect(mistakes.flatMap((mistake) => mistake.find(context))).toEqual([]);
});
