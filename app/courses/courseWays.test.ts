import { expect, test } from "vitest";
import { languages } from "../../core/languages/languages.ts";
import { courseWays } from "./courseWays.ts";

const withWays = languages.filter(({ ways }) => ways);

test("every language with several ways is offered, the first way chosen until a course says otherwise", () => {
  expect(withWays.length).toBeGreaterThan(0);
  expect(courseWays({}).map(({ id, style, checks }) => [id, style, checks])).toEqual(
    withWays.map(({ id, ways }) => [id, ways?.styles[0]?.id, []]),
  );
});

test("what a course has chosen is its style, and the checks behind it", () => {
  const [language] = withWays;
  const [style, check] = [language?.ways?.styles.at(-1)?.id ?? "", language?.ways?.checks[0]?.id ?? ""];
  const [way] = courseWays({ [language?.id ?? ""]: `${style} ${check}` });
  expect([way?.style, way?.checks]).toEqual([style, [check]]);
  // Only what is shown goes into the page.
  expect(JSON.parse(JSON.stringify(way))).toEqual(way);
});
