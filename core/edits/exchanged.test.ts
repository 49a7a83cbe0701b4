import { expect, test } from "vitest";
import { findLanguage } from "../languages/languages.ts";
import { mixedBests } from "./bests.ts";
import { editContext } from "./context.ts";
import { applyEdit } from "./edit.ts";
import { lostExchanges } from "./exchanged.ts";
import { otherName } from "./families/otherName.ts";

function contextOf(language: string, text: string) {
  const found = findLanguage(language);
  const context = found && editContext(found, text);
  if (!context) throw new Error(`no trees for ${language}`);
  return context;
}

const mended = (family: typeof otherName, language: string, text: string) => {
  const context = contextOf(language, text);
  return family.mends(context).map((edit) => applyEdit(text, edit));
};

test("an exchange that lost a value is mended by the name that kept it", () => {
  const text = "void f(int a[], int i) {\n  int keep = a[i];\n  a[i] = a[i + 1];\n  a[i+1] = a[i];\n}\n";
  expect(lostExchanges(contextOf("c", text)).map(({ kept }) => kept)).toEqual(["keep"]);
  expect(mended(otherName, "c", text)).toContain(text.replace("a[i+1] = a[i]", "a[i+1] = keep"));
});

test("nothing is exchanged by a value given to itself", () => {
  expect(lostExchanges(contextOf("python", "a = a\na = a\n"))).toEqual([]);
});

test.each([
  [
    "java",
    "class M { void f() { for (int i = 0; i < n; i++) if (a.get(i) > best) best = i; } }",
    "a.get(i) > a.get(best)",
    "best = a.get(i)",
  ],
  [
    "c",
    "void f(void) { for (int i = 0; i < n; i++) { if (tides[i].height > best) { best = i; } } }",
    "tides[i].height > tides[best].height",
    "best = tides[i].height",
  ],
  ["octave", "for i = 1:3\n  if best < v(i)\n    best = i;\n  end\nend\n", "v(best) < v(i)", "best = v(i)"],
] as const)(
  "a best one that is compared as a value and kept as a place is mended both ways (%s)",
  (language, text, asPlace, asValue) => {
    expect(mixedBests(contextOf(language, text))).toHaveLength(1);
    const all = mended(otherName, language, text);
    expect(all.some((each) => each.includes(asPlace))).toBe(true);
    expect(all.some((each) => each.includes(asValue))).toBe(true);
  },
);

test.each([
  ["int best = 0; for (int i = 1; i < n; i++)", true],
  ["int best = 0; for (int i = 0; i < n; i++)", false],
  ["int best = -1000; for (int i = 1; i < n; i++)", false],
] as const)("a best one that begins as the first place is meant as a place: %s", (begins, isPlace) => {
  const text = `int f(int a[], int n) { ${begins} if (a[i] > best) best = i; return best; }`;
  expect(mixedBests(contextOf("c", text)).map((each) => each.isPlace)).toEqual([isPlace]);
});
