import fc from "fast-check";
import { expect, test } from "vitest";
import { alikeWords, groupCases, type Showing } from "./alike.ts";

const showing = (key: string, shows: string, more: Partial<Showing> = {}): Showing => ({
  ...{ key, language: "python", class: "runtime", kind: null, shows },
  ...more,
});

test("messages that differ in names and numbers only are alike", () => {
  expect(alikeWords("NameError: name 'totl' is not defined")).toBe(alikeWords("NameError: name 'cars' is not defined"));
  expect(alikeWords("NameError: name 'fars' is not defined. Did you mean: 'vars'?")).toBe(
    "NameError: name … is not defined",
  );
  expect(alikeWords("error: ‘tide’ undeclared")).toBe("error: … undeclared");
  expect(alikeWords("result line 3: Total: 12.5 t")).toBe("result line #: Total: # t");
});

test("one class, one language and the same words make a group; the largest comes first, and the order within stays", () => {
  const groups = groupCases([
    showing("a", "ValueError: not 3"),
    showing("b", "NameError: name 'x' is not defined"),
    showing("c", "NameError: name 'y' is not defined"),
    showing("d", "NameError: name 'z' is not defined", { language: "octave" }),
    showing("e", "NameError: name 'w' is not defined", { class: "syntax", kind: "meaning" }),
    showing("f", "NameError: name 'v' is not defined"),
  ]);
  expect(groups.map((group) => group.cases.map((each) => each.key))).toEqual([["b", "c", "f"], ["a"], ["d"], ["e"]]);
  expect(groups[1]).toMatchObject({ shows: "ValueError: not 3" });
  expect(groups[0]).toMatchObject({ class: "runtime", shows: "NameError: name … is not defined" });
});

test("every case is in exactly one group, however many there are", () => {
  fc.assert(
    fc.property(fc.array(fc.tuple(fc.string(), fc.constantFrom("syntax", "runtime", "logic"))), (given) => {
      const cases = given.map(([shows, of], at) => showing(String(at), shows, { class: of as Showing["class"] }));
      const keys = groupCases(cases).flatMap((group) => group.cases.map((each) => each.key));
      expect(keys.toSorted()).toEqual(cases.map((each) => each.key).toSorted());
    }),
  );
});
