import { expect, test } from "vitest";
import { classFacts, classTextFor, readerOf, readers } from "./classTexts.ts";

const classes = ["syntax", "runtime", "logic"] as const;
const wordsOf = (text: string) => text.split(/\s+/).length;

test("every reader is told every fact of a class, in as many words as suits the depth", () => {
  for (const of of classes) {
    const { is, shows, find } = classFacts[of];
    for (const reader of readers) {
      const told = classTextFor(of, reader);
      expect([told.is, told.shows, ...told.find].every((text) => text.length > 10)).toBe(true);
      expect(told.find).toHaveLength(find.length);
    }
    for (const { says } of [is, shows, ...find]) {
      expect(wordsOf(says.short)).toBeLessThanOrEqual(wordsOf(says.usual));
      expect(wordsOf(says.usual)).toBeLessThan(wordsOf(says.long));
    }
  }
});

test("readers have their own words for things; who is not known is told as a school class", () => {
  expect(classTextFor("syntax", readerOf("office")).is).toContain("as a macro");
  expect(classTextFor("syntax", readerOf("school")).is).toContain("as a program");
  expect(readerOf("nobody").id).toBe("school");
});
