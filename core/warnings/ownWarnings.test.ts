import fc from "fast-check";
import { expect, test } from "vitest";
import { findLanguage, languages } from "../languages/languages.ts";
import { ownWarnings } from "./ownWarning.ts";

function noticed(id: string, program: string): string[] {
  const language = findLanguage(id);
  if (!language) throw new Error(id);
  return ownWarnings(language, program).map(({ line, kind }) => `${line} ${kind}`);
}
const main = (body: string) => `#include <stdio.h>\nint main(void) {\n${body}}\n`;
const java = (body: string) => `class P {\n  static void go(int n) {\n${body}  }\n}\n`;

test("C: a sum without a start value, which the compiler says nothing of", () => {
  expect(noticed("c", main("int sum;\nfor (int i = 0; i < 3; i++)\n  sum = sum + i;\n"))).toEqual(["5 not set"]);
  expect(noticed("c", main("int sum, n = 3;\nsum += n;\n"))).toEqual(["4 not set"]);
  expect(noticed("c", main("int trips;\ntrips++;\n"))).toEqual(["4 not set"]);
  expect(noticed("c", main('double rate;\nprintf("%f", rate);\n'))).toEqual(["4 not set"]);
});

test("C: what gets a value first, by input, by a branch or by its declaration, is none", () => {
  expect(noticed("c", main('int n;\nscanf("%d", &n);\nn += 1;\n'))).toEqual([]);
  expect(noticed("c", main("int n;\nif (1) n = 2; else n = 3;\nn += 1;\n"))).toEqual([]);
  expect(noticed("c", main("int n = 0;\nn += 1;\n"))).toEqual([]);
  expect(noticed("c", main("int loads[3];\nloads[0] = 4;\n"))).toEqual([]);
  expect(noticed("c", "int total;\nint main(void) { total += 3; }\n")).toEqual([]);
});

test.each(["java", "csharp"])("%s: layout that does not show what belongs together", (id) => {
  expect(noticed(id, java("    if (n > 2)\n      n = 1;\n      n = 4;\n    n = 5;\n"))).toEqual([
    "3 misleading layout",
  ]);
  expect(noticed(id, java("    if (n > 2) {\n      n = 1;\n      n = 4;\n    }\n    n = 5;\n"))).toEqual([]);
  expect(noticed(id, java("    if (n > 2)\n      n = 1;\n    n = 4;\n"))).toEqual([]);
  expect(noticed(id, java("    if (n > 2)\n      if (n > 4)\n        n = 1;\n    else\n      n = 3;\n"))).toEqual([
    "6 misleading layout",
  ]);
  expect(noticed(id, java("    if (n > 2)\n      if (n > 4)\n        n = 1;\n      else\n        n = 3;\n"))).toEqual(
    [],
  );
  expect(noticed(id, java("    while (n > 2);\n    {\n      n = 1;\n    }\n"))).toEqual(["3 suspicious condition"]);
  expect(noticed(id, java("    do {\n      n = 1;\n    } while (n > 2);\n    {\n      n = 2;\n    }\n"))).toEqual([]);
});

test("Java: a method that calls itself whatever happens, and one that may end", () => {
  expect(noticed("java", java("    go(n - 1);\n"))).toEqual(["3 stack exhausted"]);
  expect(noticed("java", java("    if (n > 0) go(n - 1);\n"))).toEqual([]);
  expect(noticed("java", java("    go(n, 1);\n"))).toEqual([]);
  expect(noticed("java", "class P {\n  static int f(int n) {\n    return n * f(n - 1);\n  }\n}\n")).toEqual([
    "3 stack exhausted",
  ]);
  expect(noticed("java", "class P {\n  static int f(int n) {\n    return n < 1 ? 1 : f(n - 1);\n  }\n}\n")).toEqual([]);
});

test("Java: imports that nothing uses, and those that an editor put in", () => {
  expect(noticed("java", "import java.util.Scanner;\nimport java.util.List;\nclass P { List<String> x; }\n")).toEqual([
    "1 unused",
  ]);
  expect(
    noticed("java", "import java.awt.List;\nimport sun.misc.Unsafe;\nimport java.util.*;\nclass P { List x; }\n"),
  ).toEqual(["1 import not meant", "2 import not meant"]);
});

test("the matrix language: results that are shown because no semicolon ends the line", () => {
  expect(noticed("octave", "x = 3\ny = 4;\nx\nfor i = 1:3\n  z = [1, ...\n    2];\nend\nm = [1 2\n  3 4];\n")).toEqual([
    "1 unsuppressed output",
  ]);
});

test("whatever the text, nothing throws and every line is one of the program", () => {
  const pieces = fc.constantFrom(
    ...[
      "if",
      "else",
      "(",
      ")",
      "{",
      "}",
      ";",
      "\n",
      "int ",
      "n",
      "=",
      "import ",
      ".",
      "while",
      "return ",
      ",",
      "3",
      " ",
    ],
  );
  fc.assert(
    fc.property(fc.array(pieces, { maxLength: 60 }), (parts) => {
      const text = parts.join("");
      for (const language of languages)
        for (const { line } of ownWarnings(language, text)) {
          expect(line).toBeGreaterThan(0);
          expect(line).toBeLessThanOrEqual(text.split("\n").length);
        }
    }),
  );
});

test("a macro: a name that nothing gives a value is a new empty variable, and what is spelt alike is named", () => {
  const macro = (...lines: string[]) =>
    `Sub Main\n${lines.join("\n")}\nEnd Sub\nFunction Twice(n)\n  Twice = n * 2\nEnd Function\n`;
  const language = findLanguage("basic-macro");
  const found = language && ownWarnings(language, macro("Dim total", "total = 4", 'MsgBox "Total: " & totl'));
  expect(found).toMatchObject([{ line: 4, kind: "not set", usually: "“total” may be meant." }]);
  expect(noticed("basic-macro", macro("x = fare + 1", "y = fare"))).toEqual(["2 not set"]);
  for (const fine of [
    'sheet = ThisComponent.Sheets.getByIndex(0)\nsheet.getCellRangeByName("A1").Value = 3\nMsgBox sheet.Name',
    "For Each row In Array(1, 2)\nMsgBox row\nNext row",
    "For i = 1 To 3\nMsgBox Twice(i)\nNext i",
    "Dim loads(3) As Integer\nMsgBox loads(0) & UBound(loads())",
    "n% = 4\nMsgBox n",
    "On Error GoTo Wrong\nWrong:\nMsgBox Err",
    "Const most = 4\nMsgBox most & PI & True",
  ])
    expect(noticed("basic-macro", macro(fine)), fine).toEqual([]);
  expect(noticed("basic-macro", `Option Explicit\n${macro("x = fare + 1")}`)).toEqual([]);
});
