import fc from "fast-check";
import { expect, test } from "vitest";
import { findLanguage, languages } from "../languages/languages.ts";
import { lineStyles } from "./lineStyles.ts";
import { lineTexts } from "./lines.ts";

const python = findLanguage("python");

test("Keywords, texts and comments are told apart; a misspelt keyword is none, an open quote says so", () => {
  if (!python) throw new Error("python");
  const kinds = (text: string) =>
    lineStyles(python, text).map((line) => line.map(({ text: own, kind }) => [own, kind ?? ""]));
  expect(kinds('if deck == "A":  # car deck\n')[0]).toEqual([
    ["if", "keyword"],
    [" deck == ", ""],
    ['"A"', "text"],
    [":  ", ""],
    ["# car deck", "comment"],
  ]);
  expect(kinds("whlie deck:\n")[0]).toEqual([["whlie deck:", ""]]);
  expect(kinds('print("Sail)\n')[0]?.at(-1)?.[1]).toBe("open");
  expect(kinds('"""tide\nheights"""\n').map((line) => line[0]?.[1])).toEqual(["text", "text"]);
});

test("Whatever the text, the stretches of each line are the line", () => {
  const piece = fc.constantFrom(
    "if ",
    "while",
    '"',
    "'",
    "'''",
    "#",
    "//",
    "/*",
    "*/",
    "{",
    "}",
    "\n",
    "\r\n",
    "\t",
    "a1",
    "é",
    " ",
  );
  fc.assert(
    fc.property(fc.constantFrom(...languages), fc.array(piece, { maxLength: 40 }), (language, parts) => {
      const text = parts.join("");
      const joined = lineStyles(language, text).map((line) => line.map((each) => each.text).join(""));
      expect(joined).toEqual(lineTexts(text));
    }),
  );
});
