import fc from "fast-check";
import { describe, expect, test } from "vitest";
import { chartsOf } from "../interpreters/pseudocode/charts.ts";
import { usualMachineLimits } from "../interpreters/pseudocode/machine.ts";
import { parseProgram } from "../interpreters/pseudocode/parser.ts";
import { showExpression, showStatement } from "../interpreters/pseudocode/print.ts";
import { runPseudocode } from "../interpreters/pseudocode/run.ts";
import { programs } from "../interpreters/pseudocode/testPrograms.ts";
import { consoleText } from "../outcome/outcome.ts";
import { isChartText, writeChartText } from "./chartText.ts";
import { programOfChart } from "./structured.ts";

const words = { statement: showStatement, expression: showExpression };
const textOfMain = (program: string): string => {
  const [main] = chartsOf(parseProgram(program).tree, words);
  return main ? writeChartText(main) : "";
};
const printed = (program: string): string =>
  consoleText(
    runPseudocode({ program, fileName: "chart.pseudo", input: "", files: {}, limits: usualMachineLimits }).outcome
      .console,
    ["out"],
  );

test("a decision, a loop that asks first and one that asks last are read into words", () => {
  const text = `1: INPUT cars
2? cars > 4
3: OUTPUT "full"
4: cars ← cars - 1
5? cars < 1   
begin -> 1
1 → 2
2 yes -> 3
2 no -> 4
3 -> 4
4 -> 5
5 no -> 4
5 yes -> end
`;
  expect(isChartText(text)).toBe(true);
  expect(programOfChart(text)).toEqual({
    problems: [],
    program: `INPUT cars
IF cars > 4 THEN
    OUTPUT "full"
ENDIF
REPEAT
    cars ← cars - 1
UNTIL cars < 1
`,
  });
  const asked = `a? load < 9
b: load ← load + 4
begin -> a
a yes -> b
b -> a
a no -> end
`;
  expect(programOfChart(asked).program).toBe("WHILE load < 9 DO\n    load ← load + 4\nENDWHILE\n");
});

test("programs by chance, drawn as charts and read back, print the same", () => {
  let read = 0;
  fc.assert(
    fc.property(programs, (program) => {
      const { tree } = parseProgram(program);
      const back = programOfChart(textOfMain(program));
      // What goes over all elements has no box of its own that could be read.
      if (/another \w+ in/.test(textOfMain(program))) return;
      expect(back.problems).toEqual([]);
      read += 1;
      // Routines and declarations have no box in the main chart.
      const own = program.split("\n");
      const above = tree.routines.flatMap((routine) => own.slice(routine.line - 1, routine.endLine));
      const declared = own.filter((line) => /^\s*(?:DECLARE|CONSTANT)\b/.test(line));
      expect(printed([...above, ...declared, back.program ?? ""].join("\n"))).toBe(printed(program));
    }),
    { numRuns: process.env.BENT_NAIL_LONG ? 1000 : 40 },
  );
  expect(read).toBeGreaterThan(10);
});

describe("what is wrong with a chart is said by its line", () => {
  test.each<[string, string, number, string]>([
    ["an arrow without an end", "1: OUTPUT 2\nbegin -> 1\n1 ->\n", 3, "leads to nothing"],
    ["an arrow to no box", "1: OUTPUT 2\nbegin -> 1\n1 -> 7\n", 3, "There is no box 7."],
    ["a box without an arrow", "1: OUTPUT 2\n2: OUTPUT 3\nbegin -> 1\n1 -> 2\n", 2, "No arrow leads away from 2."],
    ["a question with one answer", "1? a > 2\nbegin -> 1\n1 yes -> end\n", 1, "has no arrow for no"],
    ["a question whose arrow says nothing", "1? a > 2\nbegin -> 1\n1 -> end\n", 3, "says yes or no"],
    ["a step that answers", "1: OUTPUT 2\nbegin -> 1\n1 yes -> end\n", 3, "asks nothing"],
    ["a box that nothing leads to", "1: OUTPUT 2\n2: OUTPUT 3\nbegin -> 1\n1 -> end\n2 -> end\n", 2, "never reached"],
    ["a chart without an end", "1: OUTPUT 2\nbegin -> 1\n1 -> 1\n", 1, "goes round for ever"],
    ["two boxes of one name", "1: OUTPUT 2\n1: OUTPUT 3\nbegin -> 1\n1 -> end\n", 2, "already"],
    ["no beginning", "1: OUTPUT 2\n1 -> end\n", 1, "begin"],
    ["a line of neither kind", "hello there\n1: OUTPUT 2\nbegin -> 1\n1 -> end\n", 1, "A line is a box"],
    ["a statement that is none", "1: OUTPUT (2\nbegin -> 1\n1 -> end\n", 1, "there should be )"],
    [
      "a jump into the middle of a loop",
      "1? a > 2\n2: OUTPUT 1\n3? a > 5\n4: OUTPUT 2\nbegin -> 1\n1 yes -> 2\n1 no -> 4\n2 -> 3\n3 yes -> 4\n3 no -> end\n4 -> 2\n",
      4,
      "no decision or loop brings together",
    ],
  ])("%s", (_, text, line, words) => {
    const { program, problems } = programOfChart(text);
    expect(program).toBeNull();
    expect(
      problems.some((each) => each.line === line && each.says.includes(words)),
      JSON.stringify(problems),
    ).toBe(true);
  });

  test("any text is read or refused in words", () => {
    const piece = fc.constantFrom(
      "1",
      "2",
      "begin",
      "end",
      ":",
      "?",
      "->",
      "yes",
      "no",
      "a > 2",
      "OUTPUT 1",
      "\n",
      " ",
    );
    fc.assert(
      fc.property(fc.array(piece, { maxLength: 40 }), (pieces) => {
        const { program, problems } = programOfChart(pieces.join(" "));
        expect(program === null).toBe(problems.length > 0);
      }),
      { numRuns: 300 },
    );
  });
});
