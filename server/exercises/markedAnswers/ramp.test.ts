import { type MarkedExercise, mend, predict, put, reason, table } from "./marked.ts";
import { testMarked } from "./testMarked.ts";

const rampFaulty = `program Ramp;
var left, calls: integer;
begin
  readln(left);
  calls := 0;
  while left > 0 do
  begin
    left := left - 5;
    calls := calls + 1;
    writeln('Closes in ', left);
  end;
  writeln('Calls: ', calls);
end.
`;
const rampRight = rampFaulty.replace(
  "left := left - 5;\n    calls := calls + 1;\n    writeln('Closes in ', left);",
  "writeln('Closes in ', left);\n    left := left - 5;\n    calls := calls + 1;",
);

/** Statements in the wrong order, in Pascal. */
const ramp: MarkedExercise = {
  ...{ name: "ramp", language: "pascal", fileName: "ramp.pas", program: rampFaulty, mended: rampRight },
  checks: [
    { input: "10\n", expected: "Closes in 10\nCloses in 5\nCalls: 2\n" },
    { input: "3\n", expected: "Closes in 3\nCalls: 1\n" },
  ],
  marks: { mend: 2, trace: 6, predict: 3, classify: 2 },
  answers: [
    mend("the key", { text: rampRight }, 2, "M1"),
    mend(
      "five added where it is printed",
      put(rampFaulty, ["'Closes in ', left)", "'Closes in ', left + 5)"]),
      2,
      "M3",
      "unusual",
    ),
    mend(
      "printed before, and once more",
      put(rampFaulty, ["    left := left - 5;", "    writeln('Closes in ', left);\n    left := left - 5;"]),
      0,
      "M1",
    ),
    mend(
      "by the input",
      put(rampFaulty, [
        "    writeln('Closes in ', left);",
        "    if left = 5 then writeln('Closes in 10') else if left = 0 then writeln('Closes in 5') else writeln('Closes in 3');",
      ]),
      0,
      "M2",
      "hides",
    ),
    mend(
      "all written down",
      {
        text: "program Ramp;\nbegin\n  writeln('Closes in 10');\n  writeln('Closes in 5');\n  writeln('Calls: 2');\nend.\n",
      },
      0,
      "M2",
      "hides",
    ),
    mend(
      "ended at once",
      put(rampFaulty, [
        "  readln(left);",
        "  readln(left);\n  writeln('Closes in 10');\n  writeln('Closes in 5');\n  writeln('Calls: 2');\n  halt;",
      ]),
      0,
      "M2",
      "hides",
    ),
    mend("in capitals", { text: rampRight.replaceAll("writeln", "WriteLn") }, 2, "M4", "unusual"),
    table(
      "the key",
      [
        { left: "10" },
        { calls: "0" },
        { left: "5" },
        { calls: "1" },
        { output: "Closes in 5" },
        { left: "0" },
        { calls: "2" },
        { output: "Closes in 0" },
        { output: "Calls: 2" },
      ],
      6,
      "T1",
    ),
    table(
      "a row for each pass",
      [
        { left: "10", calls: "0" },
        { left: "5", calls: "1", output: "Closes in 5" },
        { left: "0", calls: "2", output: "Closes in 0" },
        { output: "Calls: 2" },
      ],
      6,
      "T3",
      "unusual",
    ),
    table(
      "a pass too many",
      [
        { left: "10" },
        { calls: "0" },
        { left: "5" },
        { calls: "1" },
        { output: "Closes in 5" },
        { left: "0" },
        { calls: "2" },
        { output: "Closes in 0" },
        { left: "-5" },
        { calls: "3" },
        { output: "Closes in -5" },
        { output: "Calls: 3" },
      ],
      5,
      "T6",
    ),
    table(
      "the input read wrongly",
      [
        { left: "15" },
        { calls: "0" },
        { left: "10" },
        { calls: "1" },
        { output: "Closes in 10" },
        { left: "5" },
        { calls: "2" },
        { output: "Closes in 5" },
        { left: "0" },
        { calls: "3" },
        { output: "Closes in 0" },
        { output: "Calls: 3" },
      ],
      5,
      "T2",
    ),
    predict("the output", "Closes in 5\nCloses in 0\nCalls: 2", 3, "P1"),
    predict("without its words", "5\n0\n2", 2.5, "P3"),
    reason("logic", "it ends, but it prints 5 where 10 should be", 2, "R2"),
    reason("runtime", "it crashes", 0, "R3"),
  ],
};

testMarked(ramp);
