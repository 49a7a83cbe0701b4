import fc from "fast-check";
import { expect, test } from "vitest";
import { classTerms, meantBy } from "./synonyms.ts";

test("whatever a course calls a class, its name finds it; what stands beside it is looked for as it is", () => {
  for (const [of, terms] of Object.entries(classTerms))
    for (const term of terms) {
      expect(meantBy(term), term).toEqual({ classes: [of], words: [] });
      expect(meantBy(`Deck ${term.toUpperCase()}s tern`), term).toEqual({ classes: [of], words: ["deck", "tern"] });
    }
});

test("a term in quotes, or as part of a word, is a word; terms of two classes narrow to none", () => {
  expect(meantBy('"logic error" deck')).toEqual({ classes: [], words: ["logic error", "deck"] });
  expect(meantBy("crashed")).toEqual({ classes: [], words: ["crashed"] });
  expect(meantBy("ZeroDivisionError exception")).toEqual({ classes: ["runtime"], words: ["zerodivisionerror"] });
  expect(meantBy("syntax error or crash").classes).toEqual([]);
});

test("no word that means no class is lost", () => {
  const word = fc.stringMatching(/^[a-df-z]{3,8}$/);
  fc.assert(
    fc.property(fc.array(word, { maxLength: 6 }), (words) => {
      expect(meantBy(words.join("  ")).words).toEqual(words);
    }),
  );
});
