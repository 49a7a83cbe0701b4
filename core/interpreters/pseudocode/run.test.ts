import fc from "fast-check";
import { describe, expect, test } from "vitest";
import { consoleText } from "../../outcome/outcome.ts";
import { type PseudocodeRun, runPseudocode } from "./run.ts";
import { allSpellings } from "./words.ts";

const run = (program: string, input = "", more: Partial<PseudocodeRun> = {}) =>
  runPseudocode({ program, fileName: "ferry.pseudo", input, ...more });
const printed = (program: string, input = "") => consoleText(run(program, input).outcome.console, ["out"]);

describe("what programs print", () => {
  test.each<[string, string, string, string]>([
    ["values one after another", 'OUTPUT "Load ", 3 + 4, " t"', "", "Load 7 t\n"],
    [
      "DIV and MOD go down, also below zero",
      'OUTPUT 7 DIV 2, " ", -7 DIV 2, " ", -7 MOD 2, " ", 7 MOD -2',
      "",
      "3 -4 1 -1\n",
    ],
    ["a quotient has decimals", "OUTPUT 8 / 2\nOUTPUT 1 / 3", "", "4.0\n0.3333333333333333\n"],
    [
      "whole numbers have no bound",
      "OUTPUT 2 ^ 100\nOUTPUT 9007199254740991 + 2",
      "",
      "1267650600228229401496703205376\n9007199254740993\n",
    ],
    [
      "the counted loop takes its last value in, and its step",
      "FOR i ← 1 TO 3\nOUTPUT i\nNEXT i\nFOR i ← 3 TO 1 STEP -2\nOUTPUT i\nENDFOR",
      "",
      "1\n2\n3\n3\n1\n",
    ],
    ["limit and step are taken once", "n ← 2\nFOR i ← 1 TO n\nn ← 9\nOUTPUT i\nNEXT", "", "1\n2\n"],
    ["a loop that is never entered", 'FOR i ← 2 TO 1\nOUTPUT i\nNEXT i\nOUTPUT "none"', "", "none\n"],
    [
      "while and repeat",
      "n ← 3\nWHILE n > 0 DO\nn ← n - 2\nENDWHILE\nREPEAT\nn ← n + 1\nUNTIL n = 1\nOUTPUT n",
      "",
      "1\n",
    ],
    [
      "else if, ends as two words",
      "t ← 5\nIF t < 3 THEN\nOUTPUT 1\nELSE IF t < 9 THEN\nOUTPUT 2\nELSE\nOUTPUT 3\nEND IF",
      "",
      "2\n",
    ],
    ["IF on one line", 't ← 5\nIF t > 3 THEN OUTPUT "high" ELSE OUTPUT "low"', "", "high\n"],
    [
      "a case with several values, ranges and the rest",
      'FOR n ← 1 TO 7 STEP 2\nCASE OF n\n1, 2: OUTPUT "few"\n3 TO 5: OUTPUT "some"\nOTHERWISE: OUTPUT "many"\nENDCASE\nNEXT n',
      "",
      "few\nsome\nsome\nmany\n",
    ],
    [
      "input is a number where it reads as one",
      'INPUT cars\nINPUT "Name? ", name\nOUTPUT cars + 1, name',
      "4\nTern\n",
      "Name? 5Tern\n",
    ],
    ["a declared text stays one", "DECLARE code : STRING\nINPUT code\nOUTPUT LENGTH(code)", "Tern\n", "4\n"],
    [
      "arrays from a declared position on",
      'DECLARE loads : ARRAY[0:2] OF INTEGER\nFOR i ← 0 TO 2\nloads[i] ← i * 10\nNEXT i\nOUTPUT loads[2], " ", loads',
      "",
      "20 [0, 10, 20]\n",
    ],
    ["elements are of the kind that is declared", "DECLARE a : ARRAY[1:2] OF REAL\na[1] ← 4\nOUTPUT a[1]", "", "4.0\n"],
    ["ARRAY before the name", "ARRAY a[1:2]\na[2] ← 7\nOUTPUT a", "", "[?, 7]\n"],
    [
      "two dimensions, in both ways of writing",
      "DECLARE deck : ARRAY[1:2, 1:3] OF INTEGER\ndeck[2, 3] ← 7\ndeck[1][1] ← 4\nOUTPUT deck[2][3] + deck[1, 1]",
      "",
      "11\n",
    ],
    [
      "lists count from 1, and are given on by value",
      "a ← [3, 5]\nb ← a\nb[1] ← 9\nOUTPUT a, b, LENGTH(a)",
      "",
      "[3, 5][9, 5]2\n",
    ],
    [
      "records",
      'TYPE Ferry\nname : STRING\nload : INTEGER\nENDTYPE\nDECLARE f : Ferry\nf.name ← "Tern"\nf.load ← 4\nOUTPUT f.name, f.load',
      "",
      "Tern4\n",
    ],
    [
      "procedures by value and by reference",
      'PROCEDURE add(BYREF total, by)\ntotal ← total + by\nby ← 0\nENDPROCEDURE\nload ← 1\nmore ← 5\nCALL add(load, more)\nadd(load, 2)\nOUTPUT load, " ", more',
      "",
      "8 5\n",
    ],
    [
      "an element by reference",
      "PROCEDURE swap(BYREF x, BYREF y)\nkept ← x\nx ← y\ny ← kept\nENDPROCEDURE\na ← [1, 2, 3]\nCALL swap(a[1], a[3])\nOUTPUT a",
      "",
      "[3, 2, 1]\n",
    ],
    [
      "a recursive function",
      "FUNCTION levels(n : INTEGER) RETURNS INTEGER\nIF n = 0 THEN\nRETURN 0\nENDIF\nRETURN 1 + levels(n - 1)\nENDFUNCTION\nOUTPUT levels(40)",
      "",
      "40\n",
    ],
    [
      "names of the whole program are known in routines, own ones are not outside",
      "total ← 1\nPROCEDURE go()\ntotal ← total + 1\ninside ← 5\nENDPROCEDURE\nCALL go\nOUTPUT total",
      "",
      "2\n",
    ],
    ["and, or are cut short", 'n ← 0\nIF n = 0 OR 5 / n > 1 THEN\nOUTPUT "safe"\nENDIF', "", "safe\n"],
    [
      "texts: pieces, joining, position",
      't ← "Kittiwake"\nOUTPUT LEFT(t, 3) & RIGHT(t, 2) & MID(t, 4, 2), t[1], POSITION(t, "wake")',
      "",
      "KitketiK6\n",
    ],
    ["other spellings of words and signs", "set n to 2\nprint n <> 3\nx := 4\nx = x + 1\nDISPLAY x", "", "TRUE\n5\n"],
    ["for each", "FOR EACH load IN [4, 9]\nOUTPUT load\nNEXT", "", "4\n9\n"],
    ["rounding", "OUTPUT ROUND(2.5), ROUND(3.14159, 2), INT(-2.7), FLOOR(-2.7)", "", "23.14-2-3\n"],
    ["constants", "CONSTANT limit = 20\nOUTPUT limit * 2", "", "40\n"],
    ["names in any letter case", "Load ← 3\nOUTPUT LOAD", "", "3\n"],
    ["comments", "x ← 1 // one\n# nothing\nOUTPUT x", "", "1\n"],
    ["a program in a frame", "BEGIN\nOUTPUT 1\nEND", "", "1\n"],
  ])("%s", (_, program, input, expected) => {
    const { outcome } = run(program, input);
    expect(outcome.diagnostics.map(({ line, message }) => `${line}: ${message}`)).toEqual([]);
    expect(printed(program, input)).toBe(expected);
  });

  test("files are lists of lines", () => {
    const program =
      'OPENFILE "tides.txt" FOR READ\nOPENFILE "out.txt" FOR WRITE\nWHILE NOT EOF("tides.txt") DO\nREADFILE "tides.txt", tide\nWRITEFILE "out.txt", TO_NUMBER(tide) * 2\nENDWHILE\nCLOSEFILE "tides.txt"\nCLOSEFILE "out.txt"\n';
    const { outcome } = run(program, "", { files: { "tides.txt": "3\n4\n" } });
    expect(outcome.diagnostics).toEqual([]);
    expect(outcome.effects).toEqual([{ name: "out.txt", change: "new", size: 4, text: "6\n8\n" }]);
  });
});

/** A learner's mistake: what is said of it, where, and whether the program starts. */
type Mistake = [program: string, line: number, name: string, words: string];

const refused: Mistake[] = [
  ["IF cars > 3\nOUTPUT cars\nENDIF", 1, "THEN missing", "there should be THEN"],
  ["IF 1 = 1 THEN\nOUTPUT 1", 1, "ENDIF missing", "The IF of line 1 is never closed"],
  ["WHILE 1 = 2 DO\nOUTPUT 1", 1, "ENDWHILE missing", "the end of the program"],
  ["FOR i ← 1 TO 3\nOUTPUT i", 1, "NEXT missing", "The FOR of line 1"],
  ["REPEAT\nOUTPUT 1", 1, "UNTIL missing", "never closed"],
  ["OUTPUT 1\nENDIF", 2, "end without begin", "no IF is open"],
  ["OUTPUT 1\nENDWHILE", 2, "end without begin", "no WHILE is open"],
  ["ELSE\nOUTPUT 1", 1, "end without begin", "nothing to close"],
  ["FOR i ← 1 TO 3\nIF i = 2 THEN\nOUTPUT i\nNEXT i", 2, "ENDIF missing", "The IF of line 2"],
  ["FOR i ← 1 TO 3\nOUTPUT i\nNEXT j", 3, "other counter", "names j"],
  ["FOR i 1 TO 3\nNEXT i", 1, "first value missing", "its first value"],
  ["FOR i ← 1 3\nNEXT i", 1, "TO missing", "there should be TO"],
  ['OUTPUT "Load', 1, "text not closed", "no closing"],
  ["OUTPUT 3 +", 1, "expression missing", "Here should be a value"],
  ["x ← (3 + 4", 1, ") missing", "there should be )"],
  ["x ← [1, 2", 1, "] missing", "there should be ]"],
  ["3 ← x", 1, "no statement", "No statement begins with 3"],
  ["x + 1 ← 2", 1, "no statement", "there should be ←"],
  ["x 5", 1, "no statement", "there should be ←"],
  ["OUTPT 5", 1, "no statement", "there should be ←"],
  ["ouput x", 1, "no statement", "a word misspelt"],
  ["2cars ← 4", 1, "name begins with a digit", "cannot begin with a digit"],
  ["x ← 5 @ 3", 1, "sign not known", "@ means nothing"],
  ["DECLARE a : ARRAY OF INTEGER", 1, "bounds missing", "the first and the last position"],
  ["DECLARE a : ARRAY[] OF INTEGER", 1, "bounds missing", "as in [1:5]"],
  ["IF 1 < 2 && 2 < 3 THEN\nENDIF", 1, "sign of elsewhere", "write AND here"],
  ["x ← 7 % 2", 1, "sign of elsewhere", "write MOD here"],
  ["x ← 7 ** 2", 1, "sign of elsewhere", "write ^ here"],
  ["x ← 7\nx += 2", 2, "sign of elsewhere", "write x ← x + … here"],
  ["x ← 7\nx++", 2, "sign of elsewhere", "write x ← x + 1 here"],
  ["IF ← 3", 1, "word as name", "is a word of the language"],
  ["end ← 3", 1, "word as name", "end is a word of the language"],
  ["to = 4", 1, "no statement", "No statement begins with to"],
  ["x ← next", 1, "expression missing", "Here should be a value"],
  ["IF x ← 3 THEN\nENDIF", 1, "arrow in condition", "compares with ="],
  ["x ← 1 < 2 < 3", 1, "comparisons in a chain", "join them with AND"],
  ["PROCEDURE go\nOUTPUT 1", 1, "ENDPROCEDURE missing", "never closed"],
  ["FUNCTION twice(n)\nRETURN\nENDFUNCTION", 2, "return without value", "behind RETURN it is missing"],
  ["PROCEDURE go()\nRETURN 3\nENDPROCEDURE", 2, "return without value", "A procedure gives no value back"],
  ["RETURN 3", 1, "return outside", "no function"],
  ["FUNCTION twice(n)\nRETURN n * 2\nENDFUNCTION\nOUTPUT twice(1, 2)", 4, "number of values", "takes 1 value"],
  ["OUTPUT LENGTH()", 1, "number of values", "is given nothing"],
  ["PROCEDURE go()\nOUTPUT 1\nENDPROCEDURE\nx ← go()", 4, "procedure as value", "gives nothing back"],
  ["FUNCTION go()\nRETURN 1\nENDFUNCTION\nFUNCTION go()\nRETURN 2\nENDFUNCTION", 4, "routine twice", "two routines"],
  ["FUNCTION length(t)\nRETURN 1\nENDFUNCTION", 1, "name of the language", "call yours otherwise"],
  ["CONSTANT limit = 20\nlimit ← 21", 2, "constant changed", "is a constant"],
  ["DECLARE loads : ARAY[1:3]", 1, "more on the line", "complete before ["],
  ["DECLARE f : Ferry", 1, "type not known", "no type Ferry"],
  ["DECLARE x INTEGER", 1, ": missing", "there should be :"],
  ["PROCEDURE go(BYREF x)\nx ← 1\nENDPROCEDURE\nCALL go(3)", 4, "no target", "by reference"],
  ["PROCEDURE go(BYREF n)\nFOR n ← 1 TO 3\nENDFOR\nENDPROCEDURE", 2, "counter by reference", "cannot count a loop"],
  ["FUNCTION sum(a, A)\nRETURN a\nENDFUNCTION", 1, "parameter twice", "two parameters with the name A"],
  ["IF 1 = 1 THEN\nPROCEDURE go()\nENDPROCEDURE\nENDIF", 2, "routine inside", "inside another block"],
  ["CASE OF 3\nOUTPUT 1\nENDCASE", 2, "expression missing", "Here should be a value"],
  ["OUTPUT 1, , 2", 1, "expression missing", "here is ,"],
  ["IF 1 = 1 THEN\nOUTPUT 1\nELSE\nOUTPUT 2\nELSE\nOUTPUT 3\nENDIF", 5, "second else", "has its ELSE already"],
];

const stopped: Mistake[] = [
  ["OUTPUT loda", 1, "name not known", "given no value anywhere"],
  ["IF 1 = 2 THEN\nload ← 1\nENDIF\nOUTPUT load", 4, "no value", "load has no value here"],
  ["FOR i ← 1 TO 3\nNEXT i\nOUTPUT i", 3, "no value", "its loop is over"],
  ['load ← "3"\nOUTPUT load + 1', 2, "wrong kind", "make a number of it with TO_NUMBER"],
  ['OUTPUT "Load " + 3', 1, "wrong kind", "Texts are joined with &"],
  ["n ← 0\nOUTPUT 5 / n", 2, "division by zero", "cannot be divided by 0"],
  ["OUTPUT 5 MOD 0", 1, "division by zero", "cannot be divided by 0"],
  ["OUTPUT 5.5 DIV 2", 1, "wrong kind", "DIV needs whole numbers"],
  ["loads ← [1, 2]\nOUTPUT loads[3]", 2, "position outside", "positions 1 to 2, and none 3"],
  ["loads ← [1, 2]\nOUTPUT loads[0]", 2, "position outside", "none 0"],
  ["DECLARE loads : ARRAY[1:3] OF INTEGER\nOUTPUT loads[2]", 2, "no value", "loads[2] has no value"],
  ["load ← 3\nOUTPUT load[1]", 2, "wrong kind", "load is no array"],
  ["IF 3 THEN\nENDIF", 1, "wrong kind", "needs TRUE or FALSE"],
  ['IF "5" = 5 THEN\nENDIF', 1, "wrong kind", "cannot be compared"],
  ['DECLARE cars : INTEGER\ncars ← "four"', 2, "wrong kind", "is declared for a whole number"],
  ['DECLARE a : ARRAY[1:2] OF INTEGER\na[1] ← "four"', 2, "wrong kind", "a is declared for a whole number"],
  ["INPUT a\nINPUT b", 2, "no more input", "nothing more was typed in"],
  ["PROCEDURE go()\nCALL go\nENDPROCEDURE\nCALL go", 2, "too many calls", "nothing ends the recursion"],
  [
    "FUNCTION f(n)\nIF n > 0 THEN\nRETURN 1\nENDIF\nENDFUNCTION\nOUTPUT f(0)",
    5,
    "nothing given back",
    "without RETURN",
  ],
  ["CALL gone(3)", 1, "name not known", "no procedure with the name gone"],
  ['OUTPUT MID("Tern", 3, 4)', 1, "position outside", "the text has 4"],
  ['OUTPUT TO_NUMBER("Tern")', 1, "no number", "is no number"],
  ["OUTPUT SQRT(-4)", 1, "no result", "no square root"],
  ["FOR i ← 1 TO 3 STEP 0\nNEXT i", 1, "step of zero", "never comes to its last value"],
  ['READFILE "tides.txt", t', 1, "file not open", "not open for reading"],
  ['OPENFILE "tides.txt" FOR READ', 1, "no such file", "There is no file"],
  ["TYPE Ferry\nname : STRING\nENDTYPE\nDECLARE f : Ferry\nf.load ← 3", 5, "no such field", "has no field load"],
  ["DECLARE a : ARRAY[5:1] OF INTEGER", 1, "no such array", "cannot go from 5 to 1"],
  // Words that mean something to what the interpreter itself is written in mean nothing here.
  ['OPENFILE "constructor" FOR READ', 1, "no such file", "no file constructor"],
  ["TYPE Ferry\nload : INTEGER\nENDTYPE\nDECLARE f : Ferry\nOUTPUT f.constructor", 5, "no such field", "constructor"],
  ["TYPE Ferry\nconstructor : STRING\nENDTYPE\nDECLARE f : Ferry\nOUTPUT f.constructor", 5, "no value", "constructor"],
];

describe("learners' mistakes", () => {
  test.each(refused)("refused: %j", (program, line, name, words) => {
    const { outcome } = run(program);
    expect(outcome.stoppedBy).toBe("refused");
    expect(outcome.started).toBe(false);
    expect(outcome.diagnostics[0]).toMatchObject({ line, errorName: name, stage: "translation", primary: true });
    expect(outcome.diagnostics[0]?.message).toContain(words);
  });
  test.each(stopped)("stopped: %j", (program, line, name, words) => {
    const { outcome } = run(program, "1\n");
    expect(outcome.stoppedBy).toBe("fault");
    expect(outcome.diagnostics[0]).toMatchObject({ line, errorName: name, stage: "run", primary: true });
    expect(outcome.diagnostics[0]?.message).toContain(words);
    expect(consoleText(outcome.console, ["err"])).toBe(
      `Stopped, line ${line} (${name}): ${outcome.diagnostics[0]?.message}\n`,
    );
  });

  test("every problem of a program is said, in the order of its lines, and no more than twenty", () => {
    const { outcome } = run("OUTPUT 3 +\nx ← 1\ny ← )\nIF x THEN\n");
    expect(outcome.diagnostics.map(({ line }) => line)).toEqual([1, 3, 4]);
    expect(run("x 1\n".repeat(500)).outcome.diagnostics).toHaveLength(20);
  });

  test("names are looked for before anything runs where a course has it so", () => {
    const rules = { equalsAssigns: true, namesBefore: true };
    const { outcome } = run("OUTPUT 1\nOUTPUT loda", "", { rules });
    expect(outcome.stoppedBy).toBe("refused");
    expect(outcome.diagnostics[0]).toMatchObject({ line: 2, errorName: "name not known" });
  });

  test("where a course has the arrow alone, an equals sign is told to compare", () => {
    const { outcome } = run("load = 3", "", { rules: { equalsAssigns: false, namesBefore: false } });
    expect(outcome.diagnostics[0]).toMatchObject({ line: 1, errorName: "= for ←" });
  });
});

describe("limits", () => {
  test("a program that never ends is cut off", () => {
    const limits = { steps: 100_000, mostCalls: 500, outputCharacters: 1000 };
    expect(run("WHILE TRUE DO\nx ← 1\nENDWHILE", "", { limits }).outcome.stoppedBy).toBe("steps");
    expect(run('WHILE TRUE DO\nOUTPUT "again and again"\nENDWHILE', "", { limits }).outcome.stoppedBy).toBe("output");
  });
  test("5 000 lines are read and run", () => {
    const program = Array.from({ length: 5000 }, (_, at) => `load${at} ← ${at}`).join("\n");
    expect(run(`${program}\nOUTPUT load4999`).outcome.console.at(-1)?.text).toBe("4999\n");
  });
  test("deep nesting and deep brackets use none of our own stack", () => {
    const deep = `${"IF TRUE THEN\n".repeat(300)}OUTPUT 1\n${"ENDIF\n".repeat(300)}`;
    expect(run(deep).outcome.stoppedBy).toBe("none");
    const brackets = `OUTPUT ${"(".repeat(100)}1${")".repeat(100)}`;
    expect(run(brackets).outcome.console.at(-1)?.text).toBe("1\n");
    expect(run(`OUTPUT 1${" + 1".repeat(400)}`).outcome.console.at(-1)?.text).toBe("401\n");
    expect(run(`OUTPUT 1${" + 1".repeat(50_000)}`).outcome.diagnostics[0]?.errorName).toBe("too long");
    for (const tooDeep of [
      `OUTPUT ${"(".repeat(50_000)}1`,
      "IF TRUE THEN\n".repeat(3000),
      `x ← ${"-".repeat(50_000)}1`,
    ])
      expect(run(tooDeep).outcome.diagnostics.map(({ errorName }) => errorName)).toContain("nested too deeply");
  });
});

test("whatever is written, it is read or refused in words, and run to some end", () => {
  const pieces = [
    ...allSpellings,
    ..."←=<>≠+-*/()[],:.&".split(""),
    "\n",
    "\n",
    "cars",
    "load",
    "3",
    "4.5",
    '"Tern"',
    "“",
    "//",
    "é",
    "@",
  ];
  fc.assert(
    fc.property(fc.array(fc.constantFrom(...pieces), { maxLength: 60 }), (all) => {
      const limits = { steps: 2000, mostCalls: 50, outputCharacters: 10_000 };
      const { outcome } = run(all.join(" "), "4\nTern\n", { limits, record: 2000 });
      expect(outcome.diagnostics.length === 0).toBe(outcome.stoppedBy === "none" || outcome.stoppedBy === "steps");
      for (const { line, message } of outcome.diagnostics) {
        expect(line).toBeGreaterThan(0);
        expect(message.length).toBeGreaterThan(10);
      }
    }),
    { numRuns: 400 },
  );
});

describe("recordings", () => {
  const recorded = (program: string, input = "") => run(program, input, { record: 2000 }).steps;
  test("a step for every line that runs, with what it writes, asks and prints", () => {
    const steps = recorded("load ← 3\nIF load > 2 THEN\nOUTPUT load\nENDIF\nINPUT name", "Tern\n");
    expect(steps.map(({ line }) => line)).toEqual([1, 2, 3, 5]);
    expect(steps[0]?.writes).toEqual([
      { scope: "global", owner: 0, path: ["load"], value: { type: "INTEGER", text: "3" } },
    ]);
    expect(steps[1]).toMatchObject({ condition: true, writes: [] });
    expect(steps[2]).toMatchObject({ out: "3\n" });
    expect(steps[3]).toMatchObject({
      in: "Tern\n",
      writes: [{ path: ["name"], value: { type: "STRING", text: '"Tern"' } }],
    });
  });
  test("the header of a counted loop stands once for each pass, and its counter is gone at the end", () => {
    const steps = recorded("FOR i ← 1 TO 2\nOUTPUT i\nNEXT i");
    expect(steps.map(({ line, condition }) => [line, condition])).toEqual([
      [1, true],
      [2, undefined],
      [1, true],
      [2, undefined],
      [1, false],
    ]);
    expect(steps[4]?.writes).toEqual([{ scope: "global", owner: 0, path: ["i"], value: null }]);
  });
  test("calls: entered, given back, gone on with", () => {
    const steps = recorded("FUNCTION twice(n)\nRETURN n * 2\nENDFUNCTION\nx ← twice(4)");
    expect(steps.map(({ line, call, calls, resumes, depth }) => ({ line, call, calls, resumes, depth }))).toEqual([
      { line: 4, call: undefined, calls: true, resumes: undefined, depth: 0 },
      { line: 1, call: "twice", calls: undefined, resumes: undefined, depth: 1 },
      { line: 2, call: undefined, calls: undefined, resumes: undefined, depth: 1 },
      { line: 4, call: undefined, calls: undefined, resumes: true, depth: 0 },
    ]);
    expect(steps[2]?.returned).toEqual({ type: "INTEGER", text: "8" });
    expect(steps[3]?.writes[0]?.value).toEqual({ type: "INTEGER", text: "8" });
  });
  test("elements are told one by one, and what stops a run stands on its line", () => {
    const steps = recorded("loads ← [1, 2]\nloads[2] ← 5\nOUTPUT loads[3]");
    expect(steps[1]?.writes).toEqual([
      { scope: "object", owner: expect.any(Number), path: [1], value: { type: "INTEGER", text: "5" } },
    ]);
    expect(steps[2]?.raised?.errorName).toBe("position outside");
  });
});
