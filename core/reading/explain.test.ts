import { expect, test } from "vitest";
import { findLanguage } from "../languages/languages.ts";
import { explain } from "./explain.ts";

/** The meaning of the message that a tool gives for a program; texts are those of the tools that run here. */
function meaningOf(id: string, program: string, said: string) {
  const language = findLanguage(id);
  if (!language) throw new Error(id);
  const [diagnostic] = language.readMessages(said, { a: program });
  if (!diagnostic) throw new Error("nothing read");
  return explain(language, diagnostic, program.split("\n"));
}

const python = (line: string, words: string) => `  File "a", line 2\n    ${line}\n    ^\nSyntaxError: ${words}\n`;

test.each([
  [
    "mono names the type",
    "csharp",
    "",
    "a.cs(3,73): error CS1061: Type `Deck' does not contain a definition for `lenght' and no extension method `lenght' of type `Deck' could be found.\n",
    "“Deck” has nothing called “lenght”.",
  ],
  ["else if in Python", "python", "if a:\nelse if b:\n", python("else if b:", "expected ':'"), "written “elif”"],
  ["a missing colon stays one", "python", "if a:\nif b\n", python("if b", "expected ':'"), "needs a colon at its end"],
  [
    "two values beside each other",
    "pascal",
    "\n\n\n\n  area := long x wide;\n",
    'a(5,16) Fatal: Syntax error, ";" expected but "identifier X" found\n',
    "Before “X” a sign is missing",
  ],
  [
    "a statement that is not ended, before one with an operator in words",
    "pascal",
    "\n\n\n  n := 3\n  m := n div 2;\n",
    'a(5,3) Fatal: Syntax error, ";" expected but "identifier M" found\n',
    "A semicolon is missing before",
  ],
  [
    "a block that is open at the end",
    "pascal",
    "\n\nend.\n",
    'a(3,4) Fatal: Syntax error, ";" expected but "." found\n',
    "an end is missing above",
  ],
  [":= and =", "pascal", "\n\n\n  n = 3;\n", "a(4,8) Error: Illegal expression\n", "given a value by := in Pascal"],
  [":= left out", "pascal", "\n\n\n  n 3;\n", "a(4,5) Error: Illegal expression\n", "Between “n” and what follows"],
  [
    "comma or semicolon",
    "c",
    "\n\n\n    int high = 2;\n",
    "a:4:5: error: expected ‘,’ or ‘;’ before ‘int’\n",
    "goes on by a comma or ends by a semicolon",
  ],
  [
    "the name of a type for a value",
    "java",
    "int n = int(4.5);\n",
    "A.java:1: error: '.class' expected\nint n = int(4.5);\n           ^\n",
    "name of a type stands where a value is needed",
  ],
  [
    "a local without its name",
    "java",
    "",
    'Exception in thread "main" java.lang.NullPointerException: Cannot invoke "String.length()" because "<local2>" is null\n\tat A.main(A.java:4)\n',
    "a local variable or parameter",
  ],
  [
    "nothing is called",
    "python",
    "",
    "Traceback (most recent call last):\n  File \"a\", line 1, in <module>\nTypeError: 'NoneType' object is not callable\n",
    "None, which is nothing, is called",
  ],
  [
    "a function's name that holds a number",
    "python",
    "",
    "Traceback (most recent call last):\n  File \"a\", line 1, in <module>\nTypeError: 'int' object is not callable\n",
    "A value of type int",
  ],
])("%s", (_, id, program, said, words) => {
  expect(meaningOf(id, program, said)?.says).toContain(words);
});

test.each([
  ["python", "n = 3\nwhlie n > 0:\n", python("whlie n > 0:", "invalid syntax"), "while"],
  ["c", "\n\n\n    whlie (n > 0) {\n", "a:4:18: error: expected ‘;’ before ‘{’ token\n", "while"],
  ["java", "\n whlie (n > 0) {\n", "A.java:2: error: ';' expected\n whlie (n > 0) {\n              ^\n", "while"],
  ["csharp", "\n whlie (n > 0) {\n", "a(2,15): error CS1525: Unexpected symbol `{'\n", "while"],
  ["pascal", "\n\n\n\n  whlie n > 0 do\n", 'a(5,3) Error: Identifier not found "whlie"\n', "while"],
  [
    "octave",
    "n = 3;\nwhlie n > 0\n  n = n - 1;\nend\n",
    "parse error near line 4 of file a\n\n  syntax error\n\n>>> end\n      ^\n",
    "while",
  ],
])("a misspelt word of the language is named: %s", (id, program, said, word) => {
  expect(meaningOf(id, program, said)?.says).toMatch(
    new RegExp(`“whlie”.* is no word of the language; “${word}” looks like it`),
  );
});

test("a function of the program's own that looks like a word of the language is none misspelt", () => {
  const program = "def whilo(n):\n    whilo n\n";
  expect(meaningOf("python", program, python("whilo n", "invalid syntax"))?.says).not.toContain("no word");
});
