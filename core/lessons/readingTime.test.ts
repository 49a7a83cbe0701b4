import fc from "fast-check";
import { expect, test } from "vitest";
import { blocksOf, readingMinutes } from "./readingTime.ts";

test("a text is taken apart into paragraphs, programs with their blank lines, and tasks", () => {
  const text =
    "The tide is read\nfrom a gauge.\n\n    tide = 3\n\n    print(tide)\nThen it is printed.\n\n? What is printed\nif the tide is 4?\n";
  expect(blocksOf(text)).toEqual([
    { of: "text", text: "The tide is read from a gauge." },
    { of: "program", text: "tide = 3\n\nprint(tide)" },
    { of: "text", text: "Then it is printed." },
    { of: "task", text: "What is printed if the tide is 4?" },
  ]);
  expect(blocksOf("\r\n \r\n")).toEqual([]);
});

test("reading takes a minute for 180 words, five seconds for a line of program, and never less than a minute", () => {
  expect(readingMinutes("")).toBe(0);
  expect(readingMinutes("Read the tide.")).toBe(1);
  expect(readingMinutes("word ".repeat(540))).toBe(3);
  expect(readingMinutes("    print(1)\n".repeat(48))).toBe(4);
});

test("no word of a text is lost in its blocks", () => {
  const line = fc.stringMatching(/^( {4})?[a-z?]{1,5}( [a-z]{1,4})?$/);
  fc.assert(
    fc.property(fc.array(fc.oneof(line, fc.constant("")), { maxLength: 12 }), (lines) => {
      const words = (text: string) => text.split(/\s+/).filter((word) => word !== "" && word !== "?");
      const kept = blocksOf(lines.join("\n")).flatMap(({ text }) => words(text));
      expect(kept).toEqual(words(lines.join("\n")));
    }),
  );
});
