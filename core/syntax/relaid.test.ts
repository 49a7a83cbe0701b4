import fc from "fast-check";
import { expect, test } from "vitest";
import type { Language } from "../languages/language.ts";
import { findLanguage } from "../languages/languages.ts";
import { relaid, relaidText } from "./relaid.ts";

function language(id: string): Language {
  const found = findLanguage(id);
  if (!found) throw new Error(id);
  return found;
}
/** The copy as text, each line that says something with its note behind two signs. */
const copy = (id: string, text: string) =>
  (relaid(language(id), text)?.lines ?? []).map(
    (line) => `${line.line} ${"  ".repeat(line.depth)}${line.text}${line.note ? ` << ${line.note}` : ""}`,
  );

test("the second statement under an if without braces is moved out of it, and says so", () => {
  expect(
    copy(
      "java",
      'class Deck {\n  void load(int cars) {\n    if (cars > 8)\n      full = true;\n      print("full");\n  }\n}\n',
    ),
  ).toEqual([
    "1 class Deck {",
    "2   void load(int cars) {",
    "3     if (cars > 8)",
    "4       full = true;",
    '5     print("full"); << does not belong to the if of line 3: it runs whatever comes of that',
    "6   }",
    "7 }",
  ]);
});

test("an else goes under the if that it belongs to", () => {
  const text = "int tide(int a)\n{\n  if (a > 1)\n    if (a > 2)\n      high();\n  else\n    low();\n  return a;\n}\n";
  for (const id of ["c", "java", "csharp"])
    expect(copy(id, id === "c" ? text : `class T {\n${text}}\n`).find((line) => line.includes("else"))).toMatch(
      /^\d+ {4,}else << belongs to the if of line \d+, the nearest one without an else$/,
    );
  expect(
    copy("pascal", "begin\n  if a > 1 then\n    if a > 2 then\n      writeln(1)\n  else\n    writeln(2);\nend.\n")[4],
  ).toContain("belongs to the if of line 3");
});

test("several statements of a line stand on lines of their own, an else if stays one, cases lie in their switch", () => {
  expect(
    copy(
      "c",
      "int f(int a)\n{\n  while (a) a--; b();\n  if (a) { b(); } else if (c) d(); else e();\n  switch (a) { case 1: b(); break; default: c(); }\n}\n",
    ).slice(2, -1),
  ).toEqual([
    "3   while (a)",
    "3     a--;",
    "3   b();",
    "4   if (a) {",
    "4     b();",
    "4   } else if (c)",
    "4     d();",
    "4   else",
    "4     e();",
    "5   switch (a) {",
    "5     case 1:",
    "5       b();",
    "5       break;",
    "5     default:",
    "5       c();",
    "5   }",
  ]);
  expect(copy("octave", "for i=1:3\ndisp(i); x = 2;\nend\n")).toEqual([
    "1 for i=1:3",
    "2   disp(i);",
    "2   x = 2;",
    "3 end",
  ]);
  expect(copy("python", "if a: b(); c()\nelse:\n        d(1,\n  2)\n")).toEqual([
    ...["1 if a:", "1   b();", "1   c()", "2 else:", "3   d(1,", "4     2)"],
  ]);
});

test("a text that does not fit the grammar is laid out as far as it does, and says from where on it guesses", () => {
  const found = relaid(language("c"), "int f(int a)\n{\n  if (a)\n    b();\n    c();\n  else\n    d();\n}\n");
  expect(found?.upTo).toBe(6);
  expect(found?.lines[4]?.note).toContain("does not belong to the if of line 3");
});

test("whatever the layout, nothing of the text but its layout is changed", () => {
  const words = fc.constantFrom(
    "if (a)",
    "else",
    "{",
    "}",
    "b();",
    "\n",
    "  ",
    "while (c)",
    "// deck\n",
    "x = 1;",
    "for (;;)",
    '"tide\\n"',
    "do",
    "switch (a)",
    "case 1:",
    "begin",
    "end",
    "end.",
    "then",
    ":",
    "\n    ",
    "'",
    "(",
    "def f():",
  );
  fc.assert(
    fc.property(
      fc.constantFrom("c", "java", "csharp", "pascal", "octave", "python"),
      fc.array(words, { maxLength: 30 }),
      (id, parts) => {
        const text = parts.join(" ");
        const squeezed = (each: string) => each.replaceAll(/\s+/g, "");
        const found = relaid(language(id), text);
        expect(squeezed((found?.lines ?? []).map((line) => line.text).join(""))).toBe(squeezed(text));
        for (const line of found?.lines ?? []) expect(line.depth).toBeGreaterThanOrEqual(0);
      },
    ),
    { numRuns: 400 },
  );
});

test("the copy as a text is laid out by its structure already: laid out once more it is the same", () => {
  const programs = [
    ["java", "class Deck {\nvoid load(int cars) {\nif (cars > 8)\nfull = true; else { full = false; }\n}\n}\n"],
    ["c", "int main(void) {\nint deck = 4;\nwhile (deck > 0)\n  deck = deck - 1;\n  return deck; }\n"],
    ["python", "if 1:\n  deck = 4; cars = 2\n  while cars:\n        cars -= 1\nprint(deck)\n"],
    ["pascal", "program deck;\nvar cars: integer;\nbegin\ncars := 4;\nif cars > 3 then\nwriteln('full');\nend.\n"],
  ] as const;
  for (const [id, program] of programs) {
    const first = relaid(language(id), program);
    const text = first ? relaidText(first) : "";
    const second = relaid(language(id), text);
    expect(second && relaidText(second)).toBe(text);
    const words = (each: string) =>
      language(id)
        .tokens(each)
        .map((token) => token.text);
    expect(words(text).filter((word) => word.trim() !== "")).toEqual(
      words(program).filter((word) => word.trim() !== ""),
    );
  }
});
