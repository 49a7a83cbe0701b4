import fc from "fast-check";
import { describe, expect, test } from "vitest";
import { languageCases } from "../../demo/languages/languages.ts";
import { explain } from "../reading/explain.ts";
import { splitLines } from "../source/lines.ts";
import { languages } from "./languages.ts";
import { tokensByLine } from "./lexical.ts";

const pieces = [
  '"',
  "'",
  "\\",
  "\n",
  "\r\n",
  "{",
  "}",
  "(*",
  "*)",
  "/*",
  "*/",
  "//",
  "%{",
  "%}",
  "%",
  "#",
  "...",
  "(",
  "]",
  "fare",
  "Deck4",
  "12.5",
  "0x1F",
  "é",
  "🚢",
  " ",
  "\t",
  ":=",
  "->",
  "end",
  "begin",
  "while",
  ";",
  "=",
  "<=",
];
const text = fc.array(fc.constantFrom(...pieces), { maxLength: 60 }).map((parts) => parts.join(""));
const messages = [
  "Main.java:3: error: ';' expected",
  "        ^",
  "  symbol:   variable totl",
  "\tat Deck.load(Deck.java:4)",
  "Caused by: java.lang.Error: x",
  'Exception in thread "main" java.lang.Error',
  "deck.c:3:5: warning: x [-Wall]",
  "    3 | int x",
  "Deck.cs(3,4): error CS0103: The name `totl'",
  "Unhandled Exception:",
  "  at Deck.Load () [0x0] in Deck.cs:4 ",
  " ---> System.Exception: y",
  "deck.pas(3,4) Fatal: Syntax error",
  "Runtime error 200 at $00401000",
  "  $00401000  main,  line 4 of deck.pas",
  "error: parse error near line 3 of file deck.m",
  ">>> x =",
  "error: called from",
  "    deck at line 3 column 4",
  "Traceback (most recent call last):",
  "x",
  "",
  "\u001b[31m",
];
const output = fc.array(fc.constantFrom(...messages), { maxLength: 30 }).map((lines) => lines.join("\n"));

describe.each(languages.map((language) => [language.id, language] as const))("%s", (_, language) => {
  test("tokens stand where they say, in order, whatever the text", () => {
    fc.assert(
      fc.property(text, (program) => {
        const lines = splitLines(program);
        let last = [0, 0];
        for (const token of language.tokens(program)) {
          expect(token.text.length).toBeGreaterThan(0);
          if (token.line === token.endLine)
            expect(lines[token.line - 1]?.text.slice(token.offset, token.offset + token.text.length)).toBe(token.text);
          expect(token.line > (last[0] ?? 0) || token.offset >= (last[1] ?? 0)).toBe(true);
          last = [token.endLine, token.line === token.endLine ? token.offset + token.text.length : 0];
        }
      }),
    );
  });

  test("everything that is asked of a line has an answer, whatever the line", () => {
    fc.assert(
      fc.property(text, (program) => {
        for (const [line, tokens] of tokensByLine(language.tokens(program))) {
          expect(Array.isArray(language.assignedNames(tokens))).toBe(true);
          expect(Array.isArray(language.usedNames(tokens))).toBe(true);
          const condition = language.loopCondition(tokens);
          if (condition) for (const name of condition.names) expect(name.length).toBeGreaterThan(0);
          for (const inside of language.blockLines(program, line)) expect(inside).toBeGreaterThan(0);
        }
      }),
    );
  });

  test("the reader of messages takes any text, and names at most one message as the one that counts", () => {
    fc.assert(
      fc.property(output, (said) => {
        const found = language.readMessages(said, { [language.mainName]: "x\n" });
        expect(found.filter((diagnostic) => diagnostic.primary).length).toBeLessThanOrEqual(1);
        for (const diagnostic of found) {
          if (diagnostic.line !== undefined) expect(diagnostic.line).toBeGreaterThan(0);
          if (diagnostic.column !== undefined) expect(diagnostic.column).toBeGreaterThan(0);
          explain(language, diagnostic);
          language.unknownName(diagnostic);
          expect(["form", "meaning"]).toContain(language.kindOfRefusal(diagnostic));
        }
      }),
    );
  });

  test("what is no message is not guessed at", () => {
    expect(language.readMessages("it does not work\nError no idea\nline 4\n")).toEqual([]);
  });

  test("every field of the profile is filled", () => {
    for (const value of Object.values(language.profile)) expect(String(value).length).toBeGreaterThan(0);
  });
});

test.each(languageCases.map((demo) => [demo.name, demo.language, demo.program] as const))(
  "%s has no stray token and no open literal",
  (_, id, program) => {
    const language = languages.find((each) => each.id === id);
    const odd = language?.tokens(program).filter((token) => token.kind === "other" || token.open);
    expect(odd).toEqual([]);
  },
);

/** A line of each language: the names that it gives a value, the names that it uses. */
test.each([
  ["java", "int total = fare + deck.load;", ["total"], ["total", "fare", "deck"]],
  ["java", "for (int i = 0; i < n; i++) {", ["i"], ["i", "n"]],
  ["java", "loads[2] += 4;", ["loads"], ["loads"]],
  ["c", 'scanf("%d", &cars);', ["cars"], ["scanf", "cars"]],
  ["c", "at->next = first;", ["at"], ["at", "first"]],
  ["c", "double *tides, low = 3;", ["tides", "low"], ["tides", "low"]],
  ["csharp", "foreach (double height in heights)", ["height"], ["height", "heights"]],
  ["csharp", "this.load = load;", ["load"], ["load"]],
  ["pascal", "readln(cars, vans);", ["cars", "vans"], ["readln", "cars", "vans"]],
  ["pascal", "for i := 1 to n do total := total + i;", ["i", "total"], ["i", "n", "total"]],
  ["octave", "[low, high] = bounds(tides);", ["low", "high"], ["low", "high", "bounds", "tides"]],
  ["octave", "for i = 1:numel(loads)", ["i"], ["i", "numel", "loads"]],
  ["octave", "total += fares(i)';", ["total"], ["total", "fares", "i"]],
])("%s: %s", (id, line, assigned, used) => {
  const language = languages.find((each) => each.id === id);
  const tokens = language?.tokens(line) ?? [];
  expect(language?.assignedNames(tokens)).toEqual(assigned);
  expect(language?.usedNames(tokens)).toEqual(used);
});

/**
 * Loop headers: the names of the condition and, for a plain comparison, its sides as they hold while the loop goes on.
 */
test.each([
  ["java", "while (boats > limit) {", "boats > limit"],
  ["c", "for (i = 0; i <= 9; i++)", "i <= 9"],
  ["csharp", "} while (tide < 3);", "tide < 3"],
  ["pascal", "while boats >= 2 do", "boats >= 2"],
  ["pascal", "until boats > 4;", "boats <= 4"],
  ["octave", "while n < 5", "n < 5"],
  ["octave", "until n >= 5", "n < 5"],
])("%s: the condition of %s", (id, line, comparison) => {
  const language = languages.find((each) => each.id === id);
  const found = language?.loopCondition(language.tokens(line))?.comparison;
  expect(found && `${found.left} ${found.operator} ${found.right}`).toBe(comparison);
});

test.each([
  ["java", "int a;\nwhile (a > 0) {\n  a = a - 1;\n\n  b();\n}\nc();\n", 2, [3, 5, 6]],
  ["c", "while (a > 0)\n    a = a - 1;\nb();\n", 1, [2]],
  ["c", "do {\n    a++;\n} while (a < 3);\nb();\n", 3, [1, 2]],
  ["pascal", "begin\n  while a > 0 do\n  begin\n    a := a - 1;\n  end;\n  b;\nend.\n", 2, [3, 4, 5]],
  ["pascal", "repeat\n  a := a + 1;\nuntil a > 3;\n", 3, [1, 2]],
  ["octave", "while a > 0\n  if a == 2\n    b\n  end\n  a--;\nend\nc\n", 1, [2, 3, 4, 5, 6]],
])("%s: the lines of a block", (id, program, header, lines) => {
  expect(languages.find((each) => each.id === id)?.blockLines(program, header)).toEqual(lines);
});

test("a quote after a name is a transpose sign in Octave, and opens a text elsewhere", () => {
  const octave = languages.find((language) => language.id === "octave");
  const kinds = (line: string) =>
    octave
      ?.tokens(line)
      .filter((token) => token.text.includes("'"))
      .map((token) => `${token.kind} ${token.text}`);
  expect(kinds("t = fares';")).toEqual(["operator '"]);
  expect(kinds("name = 'Tern';")).toEqual(["text 'Tern'"]);
  expect(kinds("m = [a' b'];")).toEqual(["operator '", "operator '"]);
  expect(kinds("disp 'Tern''s deck'")).toEqual(["text 'Tern''s deck'"]);
});
