import { expect, test } from "vitest";
import type { Diagnostic } from "../outcome/outcome.ts";
import { explain } from "../reading/explain.ts";
import { findLanguage } from "./languages.ts";

/**
 * Forms of tools that do not run here, as they are documented, and forms of the test runners; what must be read in
 * each.
 */
type Sample = {
  what: string;
  language: string;
  said: string;
  count?: number;
  primary: Partial<Diagnostic>;
  kind?: string;
};

const samples: Sample[] = [
  {
    what: "the matrix language: the echoed line stands at the margin and is none of the program's output",
    language: "octave",
    said: "Loads\nError using +\nMatrix dimensions must agree.\n\nError in deck>total (line 9)\nsum = loads + cars;\n\nError in deck (line 3)\nt = total(loads, cars);\n",
    count: 1,
    primary: { message: "Matrix dimensions must agree.", line: 9, excerpt: "sum = loads + cars;", stage: "run" },
  },
  {
    what: "the matrix language: typed at the prompt, with an arrow",
    language: "octave",
    said: " fare = 3 +* 4\n          ↑\nError: Invalid use of operator.\n",
    count: 1,
    primary: { message: "Invalid use of operator.", excerpt: "fare = 3 +* 4", column: 10, stage: "translation" },
  },
  {
    what: "Octave: what it says when it leaves is not the message that matters",
    language: "octave",
    said: "error: 'lod' undefined\nerror: called from\n    deck at line 2 column 6\nerror: ignoring const execution_exception& while preparing to exit\n",
    count: 1,
    primary: { message: "'lod' undefined", line: 2, stage: "run" },
  },
  {
    what: "typed Basic: an exception in the editor's window",
    language: "basic-forms",
    said: "System.InvalidCastException: 'Conversion from string \"four\" to type 'Integer' is not valid.'\n",
    count: 1,
    primary: {
      errorName: "InvalidCastException",
      message: "Conversion from string \"four\" to type 'Integer' is not valid.",
      stage: "run",
    },
    kind: "conversion",
  },
  {
    what: "typed Basic: a place in brackets",
    language: "basic-forms",
    said: "C:\\ferry\\Module1.vb(4,9): error BC30451: 'totl' is not declared. It may be inaccessible due to its protection level. [C:\\ferry\\ferry.vbproj]\n\nBuild FAILED.\n",
    primary: { file: "Module1.vb", line: 4, column: 9, code: "BC30451", stage: "translation" },
    kind: "unknown name",
  },
  {
    what: "typed Basic: the older form with the echoed line",
    language: "basic-forms",
    said: "C:\\ferry\\Module1.vb(4) : error BC30198: ')' expected.\n\n        total = Val(box.Text\n                            ~\n",
    primary: { line: 4, code: "BC30198", excerpt: "total = Val(box.Text" },
    kind: "bracket not closed",
  },
  {
    what: "typed Basic: an exception with its conversion",
    language: "basic-forms",
    said: "Unhandled exception. System.InvalidCastException: Conversion from string \"\" to type 'Integer' is not valid.\n ---> System.FormatException: The input string '' was not in a correct format.\n   at Microsoft.VisualBasic.CompilerServices.Conversions.ToInteger(String Value)\n   --- End of inner exception stack trace ---\n   at Ferry.Form1.Button1_Click(Object sender, EventArgs e) in C:\\ferry\\Form1.vb:line 12\n",
    count: 2,
    primary: { errorName: "InvalidCastException", file: "Form1.vb", line: 12, stage: "run" },
    kind: "conversion",
  },
  {
    what: "a macro's window: number and words",
    language: "basic-macro",
    said: "Run-time error '438':\n\nObject doesn't support this property or method\n",
    primary: { code: "438", stage: "run", line: undefined },
    kind: "unknown member",
  },
  {
    what: "a macro's window as a student types it",
    language: "basic-macro",
    said: "runtime error 9 subscript out of range\n",
    primary: { code: "9", message: "subscript out of range" },
    kind: "index out of range",
  },
  {
    what: "a macro's number alone",
    language: "basic-macro",
    said: "Run time error '1004'\n",
    primary: { code: "1004", message: "Application-defined or object-defined error" },
  },
  {
    what: "a macro that is refused",
    language: "basic-macro",
    said: "Microsoft Visual Basic\n\nCompile error:\n\nSub or Function not defined\n\nOK   Help\n",
    primary: { errorName: "Compile error", message: "Sub or Function not defined", stage: "translation" },
    kind: "unknown name",
  },
  {
    what: "a macro on leaving a line",
    language: "basic-macro",
    said: "Compile error:\nExpected: list separator or )\n",
    primary: { stage: "translation" },
    kind: "sign missing",
  },
  {
    what: "another Pascal compiler",
    language: "pascal",
    said: "[dcc32 Error] Unit1.pas(14): E2003 Undeclared identifier: 'totl'\n[dcc32 Fatal Error] Project1.dpr(5): F2063 Could not compile used unit 'Unit1.pas'\n",
    count: 1,
    primary: { file: "Unit1.pas", line: 14, code: "E2003" },
    kind: "unknown name",
  },
  {
    what: "an older Pascal compiler",
    language: "pascal",
    said: "[Error] Unit1.pas(31): ';' expected but 'END' found\n",
    primary: { line: 31, message: "';' expected but 'END' found" },
    kind: "sign missing",
  },
  {
    what: "a Pascal window: class and words",
    language: "pascal",
    said: "Project Ferry raised exception class EDivByZero with message 'Division by zero'.\n",
    primary: { errorName: "EDivByZero", message: "Division by zero", stage: "run" },
    kind: "division by zero",
  },
  {
    what: "a Pascal window with its place below",
    language: "pascal",
    said: "Project ferry raised exception class 'External: SIGSEGV'.\n\n In file 'unit1.pas' on line 27:\nlabel1.caption := boats[4].name;\n",
    primary: { errorName: "SIGSEGV", file: "unit1.pas", line: 27 },
    kind: "memory misused",
  },
  {
    what: "the matrix language: Error using, Error in",
    language: "octave",
    said: "Error using *\nIncorrect dimensions for matrix multiplication.\n\nError in fares (line 4)\n  total = loads * prices;\n\nError in deck (line 9)\n  fares(3)\n",
    primary: {
      line: 4,
      message: "Incorrect dimensions for matrix multiplication.",
      excerpt: "total = loads * prices;",
    },
  },
  {
    what: "the matrix language: words, then the place",
    language: "octave",
    said: "Unrecognized function or variable 'totl'.\n\nError in deck (line 3)\nx = totl + 1;\n",
    primary: { line: 3, message: "Unrecognized function or variable 'totl'." },
    kind: "unknown name",
  },
  {
    what: "the matrix language: a refusal",
    language: "octave",
    said: "Error: File: deck.m Line: 1 Column: 5\nInvalid expression. Check for missing multiplication operator, missing or unbalanced delimiters, or other syntax error.\n",
    primary: { line: 1, column: 5, stage: "translation" },
  },
  {
    what: "the matrix language's older signs",
    language: "octave",
    said: "??? Undefined function or variable 'totl'.\n",
    primary: { message: "Undefined function or variable 'totl'." },
    kind: "unknown name",
  },
  {
    what: "a sketch: place from 0",
    language: "sketch",
    said: 'Tide.pde:7:4:7:9: The variable "hight" does not exist\n',
    primary: { file: "Tide.sketch", line: 7, column: 5, endColumn: 10 },
    kind: "unknown name",
  },
  {
    what: "a sketch's exception",
    language: "sketch",
    said: "java.lang.ArrayIndexOutOfBoundsException: Index 5 out of bounds for length 5\n\tat Tide.draw(Tide.java:21)\n\tat java.base/java.lang.Thread.run(Thread.java:833)\n",
    primary: { errorName: "ArrayIndexOutOfBoundsException", line: 21 },
    kind: "index out of range",
  },
  {
    what: "an editor's list, row by row",
    language: "csharp",
    said: "Error\tCS0103\tThe name 'totl' does not exist in the current context\tFerry\tC:\\ferry\\Deck.cs\t6\tActive\nWarning\tCS0168\tThe variable 'x' is declared but never used\tFerry\tC:\\ferry\\Deck.cs\t4\tActive\n",
    count: 2,
    primary: { code: "CS0103", file: "Deck.cs", line: 6 },
    kind: "unknown name",
  },
  {
    what: "an editor's list with words first",
    language: "java",
    said: "Description\tResource\tPath\tLocation\tType\ntotl cannot be resolved to a variable\tDeck.java\t/Ferry/src\tline 6\tJava Problem\n",
    primary: { file: "Deck.java", line: 6, message: "totl cannot be resolved to a variable" },
    kind: "unknown name",
  },
  {
    what: "an editor's list with the place last",
    language: "python",
    said: '"totl" is not defined Checker(reportUndefinedVariable) [Ln 3, Col 5]\n',
    primary: { line: 3, column: 5, message: '"totl" is not defined' },
  },
  {
    what: "gcc in German, with colours",
    language: "c",
    said: "\u001b[01m\u001b[Kdeck.c:4:12:\u001b[m\u001b[K \u001b[01;31m\u001b[KFehler: \u001b[m\u001b[K‘totl’ undeclared (first use in this function)\n",
    primary: { line: 4, column: 12, severity: "error" },
    kind: "unknown name",
  },
  {
    what: "javac in German",
    language: "java",
    said: "Deck.java:6: Fehler: ';' erwartet\n        int x = 4\n                 ^\n1 Fehler\n",
    primary: { line: 6, column: 18 },
  },
  {
    what: ".NET in German",
    language: "csharp",
    said: "Unbehandelte Ausnahme: System.IndexOutOfRangeException: Der Index war außerhalb des Arraybereichs.\n   bei Deck.Main() in C:\\ferry\\Deck.cs:Zeile 9.\n",
    primary: { errorName: "IndexOutOfRangeException", line: 9, file: "Deck.cs" },
    kind: "index out of range",
  },
  {
    what: "Python 3.6's wording",
    language: "python",
    said: '  File "deck.py", line 2\n    print("Deck)\n               ^\nSyntaxError: EOL while scanning string literal\n',
    primary: { line: 2, toolVersion: "3.9 or older" },
    kind: "text not closed",
  },
  {
    what: "a learners' editor that shows the last line",
    language: "python",
    said: "NameError: name 'totl' is not defined on line 3\n",
    primary: { errorName: "NameError", line: 3, message: "name 'totl' is not defined" },
    kind: "unknown name",
  },
  {
    what: "a folded recursion",
    language: "python",
    said: 'Traceback (most recent call last):\n  File "sail.py", line 4, in <module>\n    sail(0)\n  File "sail.py", line 2, in sail\n    return sail(n + 1)\n           ^^^^^^^^^^^\n  File "sail.py", line 2, in sail\n    return sail(n + 1)\n           ^^^^^^^^^^^\n  [Previous line repeated 996 more times]\nRecursionError: maximum recursion depth exceeded\n',
    primary: { errorName: "RecursionError", line: 2 },
    kind: "stack exhausted",
  },
  {
    what: "several exceptions at once",
    language: "python",
    said: '  + Exception Group Traceback (most recent call last):\n  |   File "deck.py", line 1, in <module>\n  |     raise ExceptionGroup("both", [ValueError("low tide"), TypeError("no deck")])\n  | ExceptionGroup: both (2 sub-exceptions)\n  +-+---------------- 1 ----------------\n    | ValueError: low tide\n    +---------------- 2 ----------------\n    | TypeError: no deck\n    +------------------------------------\n',
    count: 3,
    primary: { errorName: "TypeError", message: "no deck" },
  },
  {
    what: "doctest",
    language: "python",
    said: '**********************************************************************\nFile "fare.py", line 3, in fare.total\nFailed example:\n    total(3)\nExpected:\n    18\nGot:\n    15\n**********************************************************************\n1 items had failures:\n   1 of   1 in fare.total\n***Test Failed*** 1 failures.\n',
    count: 1,
    primary: { line: 3, stage: "result", message: "total(3): expected 18, got 15" },
    kind: "result differs",
  },
  {
    what: "unittest",
    language: "python",
    said: 'F\n======================================================================\nFAIL: test_child (test_fare.Fares.test_child)\n----------------------------------------------------------------------\nTraceback (most recent call last):\n  File "test_fare.py", line 7, in test_child\n    self.assertEqual(fare(14), 6)\nAssertionError: 12 != 6\n\n----------------------------------------------------------------------\nRan 1 test in 0.001s\n\nFAILED (failures=1)\n',
    count: 1,
    primary: { errorName: "AssertionError", stage: "result", message: "12 != 6" },
    kind: "result differs",
  },
  {
    what: "a truncated paste is used as far as it goes",
    language: "python",
    said: 'Traceback (most recent call last):\n  File "deck.py", line 9, in <module>\n    print(share(12))',
    primary: { line: 9, cut: true },
  },
];

test.each(samples.map((sample) => [sample.what, sample] as const))("%s", (_, sample) => {
  const language = findLanguage(sample.language);
  if (!language) throw new Error("unknown language");
  const found = language.readMessages(sample.said);
  expect(found).toHaveLength(sample.count ?? 1);
  const primary = found.find((each) => each.primary);
  for (const [key, value] of Object.entries(sample.primary))
    expect([key, primary?.[key as keyof Diagnostic]]).toEqual([key, value]);
  if (sample.kind) expect(primary && explain(language, primary)?.kind).toBe(sample.kind);
});
