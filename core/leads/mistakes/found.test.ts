import fc from "fast-check";
import { expect, test } from "vitest";
import { editContext } from "../../edits/context.ts";
import { neutralOf } from "../../exercises/planting/neutral/neutralPrograms.ts";
import { findLanguage } from "../../languages/languages.ts";
import { foundInRefused, foundMistakes } from "./found.ts";
import { inRefused, mistakes } from "./mistakes.ts";

function contextOf(id: string, text: string) {
  const language = findLanguage(id);
  const context = language && editContext(language, text);
  if (!context) throw new Error(id);
  return context;
}

test("all kinds are looked for in one text once, each place with its kind and its weight", () => {
  for (const { examples } of mistakes)
    for (const { language, text } of examples) {
      const context = contextOf(language, text);
      const found = foundMistakes(context);
      expect(foundMistakes(context)).toBe(found);
      const places = mistakes.flatMap(({ id, weight, find }) =>
        find(context).map((place) => ({ ...place, id, weight })),
      );
      expect(found).toEqual(places);
    }
});

test("a text that is refused is looked at for less", () => {
  const ids = new Set(inRefused.map(({ id }) => id));
  for (const { examples } of mistakes)
    for (const { language, text } of examples)
      for (const { id } of foundInRefused(contextOf(language, text))) expect(ids).toContain(id);
});

test("contexts of one text are one, also with others asked for in between; another text has its own", () => {
  const programs = neutralOf("python").map(({ program }) => program);
  fc.assert(
    fc.property(fc.shuffledSubarray(programs, { minLength: 2 }), (chosen) => {
      const contexts = chosen.map((text) => contextOf("python", text));
      expect(chosen.map((text) => contextOf("python", text))).toEqual(contexts);
      for (const [at, context] of contexts.entries()) {
        expect(contextOf("python", chosen[at] ?? "")).toBe(context);
        expect(context.text).toBe(chosen[at]);
      }
    }),
    { numRuns: 20 },
  );
});
