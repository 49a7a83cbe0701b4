import fc from "fast-check";
import { expect, test } from "vitest";
import { escaped, escapedName } from "./escaped.ts";

test("any text finds itself, whole and nothing else", () => {
  fc.assert(
    fc.property(fc.string({ unit: fc.constantFrom(..."ab.*+?^$", ..."{}()|[]\\-/ ") }), (text) => {
      expect(new RegExp(`^${escaped(text)}$`).test(text)).toBe(true);
      expect(new RegExp(`^${escaped(text)}$`).test(`${text}x`)).toBe(false);
    }),
  );
});

test("a name is found with its accents in one piece and in two, and with other signs for its blanks where that is asked for", () => {
  const names = fc
    .array(fc.constantFrom(..."aéÅçñ.-ș"), { minLength: 1, maxLength: 6 })
    .map((letters) => letters.join(""));
  fc.assert(
    fc.property(
      names,
      names,
      fc.constantFrom("NFC", "NFD"),
      fc.constantFrom(" ", "_", ""),
      (one, other, form, sign) => {
        const pattern = new RegExp(`^${escapedName(`${one} ${other}`, "[ _]*")}$`, "u");
        expect(pattern.test(`${one}${sign}${other}`.normalize(form))).toBe(true);
        expect(pattern.test(`${one}${sign}x${other}`.normalize(form))).toBe(false);
        expect(new RegExp(`^${escapedName(`${one} ${other}`)}$`, "u").test(`${one} ${other}`.normalize(form))).toBe(
          true,
        );
      },
    ),
  );
});
