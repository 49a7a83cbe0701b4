import { expect, test } from "vitest";
import type { Diagnostic } from "../outcome/outcome.ts";
import { explain, type MessageMeaning } from "../reading/explain.ts";
import { findLanguage } from "./languages.ts";

const words = (meaning: MessageMeaning | null) => `${meaning?.says} ${meaning?.usually} ${meaning?.unsaid}`;

/** Output of the real tools on programs of our own, and what must be read in it. */
type Sample = {
  tool: string;
  language: string;
  said: string;
  program?: Record<string, string>;
  count: number;
  primary: Partial<Diagnostic>;
  kind?: "form" | "meaning";
  meaning?: RegExp;
};

const samples: Sample[] = [
  {
    tool: "gcc: a file as a whole, without a line",
    language: "c",
    said: "deck.c: error: file is not valid UTF-8\ncc1: warning: unrecognized command-line option ‘-Wdeck’\n",
    count: 2,
    primary: { file: "deck.c", message: "file is not valid UTF-8", stage: "translation" },
  },
  {
    tool: "gcc: a semicolon, a warning with its option, an unknown name",
    language: "c",
    said: 'a.c: In function ‘twice’:\na.c:2:32: error: expected ‘;’ before ‘}’ token\n    2 | int twice(int n) { return n * 2 }\n      |                                ^~\n      |                                ;\na.c:6:13: warning: format ‘%d’ expects argument of type ‘int *’, but argument 2 has type ‘int’ [-Wformat=]\n    6 |     scanf("%d", total);\na.c:7:26: error: ‘totl’ undeclared (first use in this function); did you mean ‘total’?\na.c:7:26: note: each undeclared identifier is reported only once\n',
    count: 4,
    primary: { line: 2, column: 32, file: "a.c", excerpt: "int twice(int n) { return n * 2 }", stage: "translation" },
    kind: "form",
    meaning: /not ended/,
  },
  {
    tool: "the linker: nothing called main",
    language: "c",
    said: "/usr/bin/ld: /usr/lib/gcc/x86_64-linux-gnu/12/../../../x86_64-linux-gnu/Scrt1.o: in function `_start':\n(.text+0x17): undefined reference to `main'\ncollect2: error: ld returned 1 exit status\n",
    count: 1,
    primary: { message: "undefined reference to `main'", code: "link" },
    kind: "meaning",
    meaning: /no function main/,
  },
  {
    tool: "the linker: a function that is nowhere, with its line",
    language: "c",
    said: "/usr/bin/ld: /tmp/ccRgDe1d.o: in function `main':\n/home/s07/l.c:1: undefined reference to `helper'\ncollect2: error: ld returned 1 exit status\n",
    count: 1,
    primary: { file: "l.c", line: 1 },
    kind: "meaning",
  },
  {
    tool: "a shell about a signal: no line is invented",
    language: "c",
    said: "Deck: 4\nSegmentation fault (core dumped)\n",
    count: 1,
    primary: { errorName: "SIGSEGV", stage: "run", line: undefined },
  },
  {
    tool: "javac: an unknown name with its details, and counts",
    language: "java",
    said: "Deck.java:6: error: cannot find symbol\n        System.out.println(totl);\n                           ^\n  symbol:   variable totl\n  location: class Deck\nDeck.java:7: warning: [rawtypes] found raw type: List\n        List l = new ArrayList();\n        ^\n  missing type arguments for generic class List<E>\n1 error\n1 warning\n",
    count: 2,
    primary: { line: 6, column: 28, excerpt: "System.out.println(totl);" },
    kind: "meaning",
    meaning: /“totl” is not known/,
  },
  {
    tool: "javac: the end of the file",
    language: "java",
    said: "Deck.java:8: error: reached end of file while parsing\n}\n ^\n1 error\n",
    count: 1,
    primary: { line: 8, column: 2 },
    kind: "form",
    meaning: /closing brace is missing/,
  },
  {
    tool: "java: a cause, its frames newest first, library frames not the student's",
    language: "java",
    said: 'Cars: 3\nException in thread "main" java.lang.IllegalStateException: bad deck\n\tat Ok.main(Ok.java:9)\nCaused by: java.lang.NumberFormatException: For input string: "x"\n\tat java.base/java.lang.Integer.parseInt(Integer.java:652)\n\tat Ok.load(Ok.java:3)\n\tat Ok.main(Ok.java:7)\n\t... 1 more\n',
    program: { "Ok.java": "" },
    count: 2,
    primary: { errorName: "NumberFormatException", line: 3, file: "Ok.java", stage: "run" },
  },
  {
    tool: "java: no main",
    language: "java",
    said: "Error: Main method not found in class Z, please define the main method as:\n   public static void main(String[] args)\n",
    count: 1,
    primary: { stage: "translation" },
    kind: "meaning",
  },
  {
    tool: "mcs: place, code, words",
    language: "csharp",
    said: "A.cs(5,17): error CS0029: Cannot implicitly convert type `string' to `int'\nA.cs(6,27): error CS0103: The name `totl' does not exist in the current context\nCompilation failed: 2 error(s), 0 warnings\n",
    count: 2,
    primary: { line: 5, column: 17, code: "CS0029" },
    kind: "meaning",
    meaning: /type string stands where int/,
  },
  {
    tool: "mcs: grammar",
    language: "csharp",
    said: "A.cs(3,42): error CS1525: Unexpected symbol `}', expecting `;'\n",
    count: 1,
    primary: { line: 3, column: 42 },
    kind: "form",
  },
  {
    tool: "mono: an exception told twice counts once",
    language: "csharp",
    said: "\nUnhandled Exception:\nSystem.IndexOutOfRangeException: Index was outside the bounds of the array.\n  at Deck.Load (System.Int32 n) [0x0000a] in /tmp/s/B.cs:4 \n  at Deck.Main () [0x00022] in /tmp/s/B.cs:9 \n[ERROR] FATAL UNHANDLED EXCEPTION: System.IndexOutOfRangeException: Index was outside the bounds of the array.\n  at Deck.Load (System.Int32 n) [0x0000a] in /tmp/s/B.cs:4 \n",
    count: 1,
    primary: { errorName: "IndexOutOfRangeException", line: 4, file: "B.cs", stage: "run" },
    meaning: /Positions start at 0/,
  },
  {
    tool: "mono: without debug information no line is invented",
    language: "csharp",
    said: "Unhandled Exception:\nSystem.DivideByZeroException: Attempted to divide by zero.\n  at Deck.Main () [0x00021] in <0dd52a24493e4e84acd87351315f7ec9>:0 \n",
    count: 1,
    primary: { errorName: "DivideByZeroException", line: undefined },
  },
  {
    tool: "fpc: a terminator, reported on the line below",
    language: "pascal",
    said: 'p.pas(6,3) Fatal: Syntax error, ";" expected but "FOR" found\nFatal: Compilation aborted\nError: /usr/bin/ppcx64 returned an error exitcode\n',
    count: 1,
    primary: { line: 6, column: 3 },
    kind: "form",
    meaning: /missing before “FOR”/,
  },
  {
    tool: "fpc: hints and warnings are no errors",
    language: "pascal",
    said: 'q.pas(4,5) Note: Local variable "a" not used\nq.pas(4,35) Warning: Variable "z" read but nowhere assigned\nq.pas(9,3) Error: Identifier not found "minuts"\n',
    count: 3,
    primary: { line: 9, severity: "error" },
    kind: "meaning",
  },
  {
    tool: "Pascal's run-time library: a number and its calls",
    language: "pascal",
    said: "Runtime error 200 at $00000000004010B1\n  $00000000004010B1  HALF,  line 7 of q.pas\n  $00000000004011CF  main,  line 13 of q.pas\n  $0000000000422FDC\n",
    count: 1,
    primary: { errorName: "Runtime error 200", message: "Division by zero", line: 7 },
    meaning: /divided by zero/,
  },
  {
    tool: "Pascal's run-time library: a number without a line",
    language: "pascal",
    said: "Runtime error 201 at $00000000004010B1\n  $00000000004010B1\n",
    count: 1,
    primary: { line: undefined, message: "Range check error" },
  },
  {
    tool: "Pascal's exceptions",
    language: "pascal",
    said: "An unhandled exception occurred at $00000000004010AE:\nEDivByZero: Division by zero\n  $00000000004010AE  HALF,  line 7 of q.pas\n",
    count: 1,
    primary: { errorName: "EDivByZero", line: 7 },
  },
  {
    tool: "Octave: a refusal with its arrow",
    language: "octave",
    said: "error: parse error near line 4 of file /tmp/s/m2.m\n\n  syntax error\n\n>>> end\n      ^\n",
    count: 1,
    primary: { line: 4, file: "m2.m", stage: "translation", excerpt: "end" },
    kind: "form",
  },
  {
    tool: "Octave: a stop inside a function",
    language: "octave",
    said: "error: 'fares' undefined near line 4, column 7\nerror: called from\n    half at line 4 column 5\n    m1 at line 13 column 1\n",
    program: { "m1.m": "total = 0;\nfunction r = half(n)\n  r = n / 2;\nend\n" },
    count: 1,
    primary: { message: "'fares' undefined", line: 4, column: 7, stage: "run" },
    meaning: /“fares” has no value/,
  },
  {
    tool: "Octave: a stop inside its own library leads back to the program's line",
    language: "octave",
    said: "error: no graphics toolkits are available!\nerror: called from\n    figure at line 96 column 7\n    win at line 1 column 1\n",
    program: { "win.m": "figure; plot(1:3);\n" },
    count: 1,
    primary: { line: 1, file: "win.m", stage: "run" },
  },
  {
    tool: "the matrix language's other wording",
    language: "octave",
    said: "Error: File: deck.m Line: 1 Column: 5\nInvalid expression.\n",
    count: 1,
    primary: { line: 1, column: 5, file: "deck.m", stage: "translation" },
  },
];

test.each(samples.map((sample) => [sample.tool, sample] as const))("%s", (_, sample) => {
  const language = findLanguage(sample.language);
  if (!language) throw new Error("unknown language");
  const found = language.readMessages(sample.said, sample.program);
  expect(found).toHaveLength(sample.count);
  const primary = found.find((diagnostic) => diagnostic.primary);
  for (const [key, value] of Object.entries(sample.primary))
    expect([key, primary?.[key as keyof Diagnostic]]).toEqual([key, value]);
  if (sample.kind && primary) expect(language.kindOfRefusal(primary)).toBe(sample.kind);
  if (sample.meaning && primary) expect(words(explain(language, primary))).toMatch(sample.meaning);
});

test("of a stack trace with calls the oldest comes first, so that callers are named in order", () => {
  const java = findLanguage("java");
  const [found] =
    java?.readMessages('Exception in thread "main" java.lang.Error\n\tat A.inner(A.java:3)\n\tat A.main(A.java:9)\n') ??
    [];
  expect(found?.frames?.map((frame) => [frame.name, frame.line])).toEqual([
    ["A.main", 9],
    ["A.inner", 3],
  ]);
});
