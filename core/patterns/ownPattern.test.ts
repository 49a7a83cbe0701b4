import { expect, test } from "vitest";
import { findHunks } from "../fixes/hunks.ts";
import { findLanguage } from "../languages/languages.ts";
import { evidenceOf } from "./evidence.ts";
import { ownPatternsFileSchema, patternOfOwn } from "./ownPattern.ts";
import { suggestPatterns } from "./suggest.ts";

const own = [
  patternOfOwn({
    id: "own/metres",
    name: "Metres for feet",
    says: "",
    mends: "",
    example: {
      language: "python",
      right: "depth = tide * 0.3\nprint(depth)\n",
      faulty: "depth = tide / 0.3\nprint(depth)\n",
      input: "",
    },
  }),
];

function suggested(id: string, faulty: string, right: string): string[] {
  const language = findLanguage(id);
  if (!language) throw new Error(id);
  const hunks = findHunks(faulty, right);
  const fix = { hunks, families: ["arithmetic"], lines: [hunks[0]?.start ?? 1], repairs: "repairs" as const };
  return suggestPatterns(evidenceOf(language, faulty, { class: "logic", diagnostic: null }, [fix]), own).map(
    (each) => each.id,
  );
}

test("a kind of one's own is suggested first where its change mends a program, whatever the program calls things", () => {
  const found = suggested("python", "a = 1\nheight = water / 0.3\n", "a = 1\nheight = water * 0.3\n");
  expect(found[0]).toBe("own/metres");
  expect(found).toContain("arithmetic-operator-wrong");
});

test("where only the part that differs is the same it comes behind what the line tells; other changes and languages are left alone", () => {
  expect(suggested("python", "print(a / b)\n", "print(a * b)\n")).toContain("own/metres");
  expect(suggested("python", "print(a - b)\n", "print(a * b)\n")).not.toContain("own/metres");
  expect(suggested("java", "depth = tide / 0.3;\n", "depth = tide * 0.3;\n")).not.toContain("own/metres");
});

test("one without an example is never suggested; a file of them is read, and what is none is refused", () => {
  expect(patternOfOwn({ name: "Talked to much", says: "", mends: "" }, 2)).toMatchObject({ id: "own/3", grounds: [] });
  const file = { patterns: [{ id: "own/a", name: "A", example: { language: "python", right: "a\n", faulty: "b\n" } }] };
  expect(ownPatternsFileSchema.parse(file).patterns[0]).toMatchObject({ says: "", example: { input: "" } });
  for (const wrong of [
    { patterns: [{ id: "zero-divisor", name: "A" }] },
    { patterns: [{ name: "" }] },
    { patterns: "a" },
    {},
  ])
    expect(ownPatternsFileSchema.safeParse(wrong).success).toBe(false);
});
