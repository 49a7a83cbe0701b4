import fc from "fast-check";
import { describe, test } from "vitest";
import { isLongRun } from "../../tools/share.ts";
import type { Language } from "../languages/language.ts";
import { findLanguage, languages } from "../languages/languages.ts";
import { lookAt, programsIn } from "./lookAt.ts";

/** Pieces that beginners leave in the wrong place, and signs that mean something in a search of texts. */
const pieces = [
  ...["(", ")", "[", "]", "{", "}", "*", "+", "?", ".", "^", "$", "|", "\\", "&", "'", '"', ":", ";", ",", "=", "<"],
  ...["\n", "\t", "  ", "é", "ß", "0", "-1", "x", "if", "end", "//", "/*", "#", "%"],
];

type Slip = { at: number; way: "left out" | "twice" | "before" | "instead" | "exchanged"; piece: string };

const anySlip: fc.Arbitrary<Slip> = fc.record({
  at: fc.nat(10_000),
  way: fc.constantFrom("left out", "twice", "before", "instead", "exchanged"),
  piece: fc.constantFrom(...pieces),
});

/** A program with slips at some of its tokens. */
function broken(language: Language, program: string, slips: readonly Slip[]): string {
  return slips.reduce((text, { at, way, piece }) => {
    const tokens = language.tokens(text);
    const token = tokens[at % Math.max(1, tokens.length)];
    if (!token) return text + piece;
    const lineStart =
      text
        .split("\n")
        .slice(0, token.line - 1)
        .join("\n").length + (token.line > 1 ? 1 : 0);
    const from = text.indexOf(token.text, lineStart);
    if (from < 0) return text + piece;
    const to = from + token.text.length;
    const put = {
      "left out": "",
      twice: token.text + token.text,
      before: piece + token.text,
      instead: piece,
      exchanged: ` ${piece} ${token.text}`,
    };
    return text.slice(0, from) + put[way] + text.slice(to);
  }, program);
}

describe("a program with slips by chance is looked at whole, whatever its text has become", () => {
  const shown = languages.filter(({ id }) => programsIn(id).length > 0);
  test.each(shown.map((language) => [language.name, language] as const))("%s", (_, language) => {
    const program = fc.constantFrom(...programsIn(language.id));
    const slips = fc.array(anySlip, { minLength: 1, maxLength: 4 });
    fc.assert(
      fc.property(program, slips, (text, made) => lookAt(language, broken(language, text, made))),
      { numRuns: isLongRun ? 500 : 12 },
    );
  });

  // Signs that mean something in a search of texts, where a name is looked for: in front of it, behind it, and in the place of it.
  const steps = "int steps(int load)\n{\n    int *count = &load;\n    (*count)++;\n    return steps(*count);\n}\n";
  test.each(["count)", "(count", "count[", "*", "?", "count+", "\\", "count$"])("a pointer called %s", (name) => {
    const c = findLanguage("c");
    if (!c) throw new Error("C is not there");
    lookAt(
      c,
      steps.replaceAll("count", () => name),
    );
  });
});
