import { expect, test } from "vitest";
import { findPattern } from "../patterns/patterns.ts";
import { languages } from "./languages.ts";
import { routines, rows } from "./referenceCard.ts";

const cards = languages.flatMap(({ id, card }) => (card ? [{ id, card }] : []));

test("every language that beginners write here has a card; sketches have that of their language", () => {
  expect(cards.map(({ id }) => id).sort()).toEqual(
    "basic-forms basic-macro c csharp java octave pascal pseudocode python sketch".split(" "),
  );
});

test.each(cards)("$id: every row says something, and leads to a kind of mistake that is known", ({ card }) => {
  expect(card.rows.length).toBeGreaterThan(14);
  for (const { about, rule, pattern } of card.rows) {
    expect(about).not.toBe("");
    expect(rule, about).not.toBe("");
    if (pattern) expect(findPattern(pattern), pattern).toBeDefined();
  }
  const names = card.routines.map(({ call }) => call);
  expect(new Set(names).size).toBe(names.length);
  expect(names.length).toBeGreaterThan(18);
  for (const { name, does } of card.routines) {
    expect(name).toMatch(/^[A-Za-z_]\w*$/);
    expect(does, name).not.toBe("");
  }
});

test("a routine is known by its own name, whatever it belongs to", () => {
  expect(
    routines(
      'list.sort() | sorts\nSystem.out.println(value) | writes\ntext.Length | how long\nprint(values, end="\\n") | writes',
    ).map(({ name }) => name),
  ).toEqual(["sort", "println", "Length", "print"]);
  expect(rows("limits | < leaves out | limit-off-by-one\nblocks | { }")).toEqual([
    { about: "limits", rule: "< leaves out", pattern: "limit-off-by-one" },
    { about: "blocks", rule: "{ }" },
  ]);
});
