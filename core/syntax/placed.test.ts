import fc from "fast-check";
import { expect, test } from "vitest";
import { findLanguage } from "../languages/languages.ts";
import { lineAt, lineStarts, placed, tokensWithin } from "./placed.ts";

const texts = fc
  .array(fc.constantFrom("fare", " ", "\n", "\r\n", "=", "(", ")", '"deck"', "# tide\n", "4.5", "    ", "if ", ":"), {
    maxLength: 40,
  })
  .map((parts) => parts.join(""));

test("a token lies in the text where its place says, and in the line that its place is in", () => {
  const python = findLanguage("python");
  fc.assert(
    fc.property(texts, (text) => {
      const starts = lineStarts(text);
      for (const token of placed(text, python?.tokens(text) ?? [])) {
        expect(text.slice(token.from, token.to)).toBe(token.text);
        expect(lineAt(starts, token.from)).toBe(token.line);
      }
    }),
  );
});

test("the tokens between two places are all that lie there as a whole, in order", () => {
  const python = findLanguage("python");
  fc.assert(
    fc.property(texts, fc.nat(80), fc.nat(80), (text, from, to) => {
      const code = placed(text, python?.tokens(text) ?? []);
      expect(tokensWithin(code, from, to)).toEqual(code.filter((token) => token.from >= from && token.to <= to));
    }),
  );
  expect(tokensWithin([], 0, 9)).toEqual([]);
});

test("an offset behind the last line's beginning is in the last line, and an empty text has one", () => {
  expect(lineStarts("")).toEqual([0]);
  expect(lineStarts("tide\r\nfare\n")).toEqual([0, 6]);
  expect([0, 5, 6, 10, 99].map((offset) => lineAt([0, 6], offset))).toEqual([1, 1, 2, 2, 2]);
});
