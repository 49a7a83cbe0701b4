import { expect, test } from "vitest";
import { todaysShare } from "../../tools/share.ts";
import { findLanguage } from "../languages/languages.ts";
import { editFamilies } from "./families.ts";
import { familyOf } from "./familyOf.ts";

const languageOf = (id: string) => {
  const language = findLanguage(id);
  if (!language) throw new Error(id);
  return language;
};

test("the examples of every family are known as a change of the table, most of them of their own family", () => {
  const all = todaysShare(
    editFamilies.flatMap(({ id, examples }) => examples.map((each) => ({ id, ...each }))),
    3,
  );
  const found = all.map(({ id, language, right, faulty }) => ({
    id,
    as: familyOf(languageOf(language), faulty, right),
  }));
  expect(found.filter(({ as }) => as === null)).toEqual([]);
  expect(found.filter(({ id, as }) => id === as).length / found.length).toBeGreaterThan(0.8);
});

test("blanks at ends of lines make no other change; what no small edit does is of no family", () => {
  const python = languageOf("python");
  expect(familyOf(python, "if age < 14:\n    print(age)\n", "if age <= 14:  \n    print(age)")).toBe("comparison");
  expect(familyOf(python, "print(1)\n", "import math\nprint(math.pi * 7)\n")).toBeNull();
  expect(familyOf(languageOf("steps"), "print 1\n", "print 2\n")).toBeNull();
});
