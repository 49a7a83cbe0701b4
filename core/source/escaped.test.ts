import fc from "fast-check";
import { expect, test } from "vitest";
import { escaped } from "./escaped.ts";

test("any text finds itself, whole and nothing else", () => {
  fc.assert(
    fc.property(fc.string({ unit: fc.constantFrom(..."ab.*+?^$", ..."{}()|[]\\-/ ") }), (text) => {
      expect(new RegExp(`^${escaped(text)}$`).test(text)).toBe(true);
      expect(new RegExp(`^${escaped(text)}$`).test(`${text}x`)).toBe(false);
    }),
  );
});
