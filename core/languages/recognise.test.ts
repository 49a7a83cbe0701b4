import { expect, test } from "vitest";
import { demoCases } from "../../demo/cases.ts";
import { languageCases } from "../../demo/languages/languages.ts";
import { languages } from "./languages.ts";
import { languageOfProgram, otherLanguage, recognise, wrongLanguageWords } from "./recognise.ts";

const all = [...demoCases, ...languageCases];

test.each(all.map((demo) => [demo.name, demo.language ?? "python", demo.program]))(
  "%s is known by its text alone",
  (_, language, program) => {
    expect(recognise(program)[0]?.language.id).toBe(language);
  },
);

test.each(all.map((demo) => [demo.name, demo.language ?? "python", demo.program]))(
  "%s under its own name raises no doubt",
  (_, id, program) => {
    const own = languages.find((language) => language.id === id);
    expect(own && otherLanguage(own, program)).toBeNull();
  },
);

test("a Java program handed in as C# is said to be one, with the reason", () => {
  const csharp = languages.find((language) => language.id === "csharp");
  const program =
    'public class Deck {\n  public static void main(String[] args) {\n    System.out.println("4");\n  }\n}\n';
  expect(csharp && wrongLanguageWords(csharp, program)).toBe(
    "This looks like Java, not C#: it has public static void main, System.out, public class.",
  );
});

test("texts of blanks, of one line and of many are looked at without delay", () => {
  for (const text of [
    "\n".repeat(100_000),
    " ".repeat(200_000),
    "for ".repeat(50_000),
    "if x\n".repeat(50_000),
    "begin ".repeat(40_000),
    "\t\n \n".repeat(40_000),
  ])
    expect(Array.isArray(recognise(text))).toBe(true);
});

test("the file's ending goes before the text, and nothing is said of what has no signs", () => {
  expect(languageOfProgram("deck.pas", "print(3)")?.id).toBe("pascal");
  expect(languageOfProgram("deck.txt", "#include <stdio.h>\nint main(void) {}")?.id).toBe("c");
  expect(languageOfProgram("deck.txt", "deck load 4")).toBeUndefined();
});
