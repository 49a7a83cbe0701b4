import { describe, expect, test } from "vitest";
import { findLanguage } from "../languages/languages.ts";
import { editContext } from "./context.ts";
import { applyEdit, type EditContext } from "./edit.ts";
import { editFamilies } from "./families.ts";

function contextOf(language: string, text: string): EditContext {
  const found = findLanguage(language);
  const context = found && editContext(found, text);
  if (!context) throw new Error(`no trees for ${language}`);
  return context;
}

describe.each(editFamilies)("$id", (family) => {
  test.each(family.examples)("$language: plants it and mends it", ({ language, right, faulty }) => {
    const mended = family.mends(contextOf(language, faulty)).map((edit) => applyEdit(faulty, edit));
    expect(mended).toContain(right);
    const planted = family.plants(contextOf(language, right)).map((edit) => applyEdit(right, edit));
    expect(planted).toContain(faulty);
  });
});

test("each family has an id of its own and an example in at least one language", () => {
  expect(new Set(editFamilies.map((family) => family.id)).size).toBe(editFamilies.length);
  for (const family of editFamilies) expect(family.examples.length).toBeGreaterThan(0);
});
