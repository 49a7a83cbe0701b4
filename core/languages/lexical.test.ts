import fc from "fast-check";
import { describe, expect, test } from "vitest";
import { lineTexts } from "../source/lines.ts";
import { languages } from "./languages.ts";
import type { Token } from "./token.ts";

/** Pieces that programs are made of, and such as break them off. */
const pieces = [
  ...["deck", "x1", "größe", "if", "end", "while", "return", "begin", "Dim", "4", "0x1F", "3.5e-2", "1_000"],
  ...[
    '"',
    "'",
    '"""',
    "'''",
    "`",
    "$",
    "@",
    "\\",
    "\\\\",
    "/*",
    "*/",
    "//",
    "#",
    "%",
    "%{",
    "%}",
    "{",
    "}",
    "(*",
    "*)",
  ],
  ...[
    "(",
    ")",
    "[",
    "]",
    ";",
    ",",
    ":=",
    "==",
    "=",
    "++",
    "->",
    "...",
    "_",
    "\t",
    " ",
    "\n",
    "\r\n",
    "\r",
    "\u2028",
    "\0",
  ],
];
const texts = fc.array(fc.constantFrom(...pieces), { maxLength: 40 }).map((all) => all.join(""));

/** The lines of a text, and the empty one behind its last line end. */
const linesOf = (text: string) => (/[\r\n]$/.test(text) || text === "" ? [...lineTexts(text), ""] : lineTexts(text));

/** The text from a token's place on. */
function at(text: string, token: Token): string {
  const lines = linesOf(text);
  return [lines[token.line - 1]?.slice(token.offset) ?? "", ...lines.slice(token.line)].join("\n");
}

describe.each(languages.map((language) => language.id))("%s", (id) => {
  const language = languages.find((each) => each.id === id);
  const tokensOf = (text: string) => language?.tokens(text) ?? [];

  test("tokens stand where they say, one behind the other, whatever the text is", () => {
    fc.assert(
      fc.property(texts, (text) => {
        let [line, offset] = [1, 0];
        for (const token of tokensOf(text)) {
          expect(token.text).not.toBe("");
          expect(at(text, token).startsWith(token.text.replaceAll(/\r\n|\r/g, "\n"))).toBe(true);
          expect(token.line > line || (token.line === line && token.offset >= offset)).toBe(true);
          expect(token.endLine).toBeGreaterThanOrEqual(token.line);
          line = token.endLine;
          offset = token.endLine === token.line ? token.offset + token.text.length : 0;
        }
        expect(line).toBeLessThanOrEqual(linesOf(text).length);
      }),
    );
  });

  test("between the tokens there is nothing but blanks and what carries a line on", () => {
    fc.assert(
      fc.property(texts, (text) => {
        const kept = tokensOf(text)
          .map((token) => token.text)
          .join("");
        const signs = (all: string) => [...all].filter((sign) => /[\p{L}\p{Nd}"'(){}[\]=]/u.test(sign)).length;
        // A continued line may have a comment behind its sign.
        if (!/\.\.\.|\\|_/.test(text)) expect(signs(kept)).toBe(signs(text));
      }),
    );
  });

  test("what is asked of a text never fails: names that it gives a value, its structure, its conditions", () => {
    fc.assert(
      fc.property(texts, (text) => {
        const tokens = tokensOf(text).filter((token) => token.kind !== "comment");
        const names = language?.assignedNames(tokens) ?? [];
        for (const name of names) expect(text.toLowerCase()).toContain(name.toLowerCase());
      }),
    );
  });
});

test.each([
  ["python", "name = 'it''s'  # no 'text'", ["name", "=", "'it'", "'s'", "# no 'text'"]],
  ["python", "'''a\nb''' + c", ["'''a\nb'''", "+", "c"]],
  ["c", "char q = '\"'; /* \" */ int x;", ["char", "q", "=", "'\"'", ";", '/* " */', "int", "x", ";"]],
  ["java", "/* a // b */ int y; // c */", ["/* a // b */", "int", "y", ";", "// c */"]],
  ["csharp", '@"C:\\deck" + "\\""', ['@"C:\\deck"', "+", '"\\""']],
  ["pascal", "s := 'it''s'; { x := 1; } (* y *)", ["s", ":=", "'it''s'", ";", "{ x := 1; }", "(* y *)"]],
  ["octave", "t = fares'; s = 'a''b'; % note", ["t", "=", "fares", "'", ";", "s", "=", "'a''b'", ";", "% note"]],
] as const)("%s: %s", (id, text, expected) => {
  const found = languages.find((each) => each.id === id)?.tokens(text) ?? [];
  expect(found.map((token) => token.text)).toEqual(expected);
});
