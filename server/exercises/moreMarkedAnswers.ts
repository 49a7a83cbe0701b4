import { type MarkedExercise, mend, point, predict, put, reason, table } from "./markedAnswers.ts";

const loadsFaulty = `#include <stdio.h>

int main(void) {
    int loads[4] = {12, 30, 7, 25};
    int total = 0;
    for (int i = 1; i < 4; i++) {
        total = total + loads[i];
    }
    printf("Total %d\\n", total);
    printf("Mean %d\\n", total / 4);
    return 0;
}
`;
const loadsRight = loadsFaulty.replace("int i = 1", "int i = 0");

/** A loop that begins too late, in C. */
const loads: MarkedExercise = {
  ...{ name: "loads", language: "c", fileName: "loads.c", program: loadsFaulty, mended: loadsRight },
  checks: [{ input: "", expected: "Total 74\nMean 18\n" }],
  marks: { mend: 2, trace: 6, predict: 3, point: 1, classify: 2 },
  answers: [
    mend("the key", { text: loadsRight }, 2, "M1"),
    mend("nothing", { text: loadsFaulty }, 0, "M1"),
    mend("printed", put(loadsFaulty, ["total);", "74);"], ["total / 4", "18"]), 0, "M2", "hides"),
    mend("the first load as a start", put(loadsFaulty, ["int total = 0", "int total = 12"]), 0, "M2", "hides"),
    mend(
      "the total put in",
      put(loadsFaulty, ['    printf("Total', '    total = 74;\n    printf("Total']),
      0,
      "M2",
      "hides",
    ),
    mend("an offset", put(loadsFaulty, ['    printf("Total', '    total += 12;\n    printf("Total']), 0, "M2", "hides"),
    mend(
      "another main",
      { text: '#include <stdio.h>\nint main(void) { puts("Total 74"); puts("Mean 18"); return 0; }\n' },
      0,
      "M2",
      "hides",
    ),
    mend(
      "the start as the first element",
      put(loadsFaulty, ["int total = 0", "int total = loads[0]"]),
      2,
      "M3",
      "unusual",
    ),
    mend(
      "added behind the loop",
      put(loadsFaulty, ['    printf("Total', '    total = total + loads[0];\n    printf("Total']),
      2,
      "M3",
      "unusual",
    ),
    mend("counted down", put(loadsFaulty, ["int i = 1; i < 4; i++", "int i = 3; i >= 0; i--"]), 2, "M3", "unusual"),
    mend(
      "a place before",
      put(loadsFaulty, ["int i = 1; i < 4", "int i = 1; i <= 4"], ["loads[i]", "loads[i - 1]"]),
      2,
      "M3",
      "unusual",
    ),
    mend("pointers", put(loadsFaulty, ["int i = 1", "int i = 0"], ["loads[i]", "*(loads + i)"]), 2, "M3", "unusual"),
    mend("braces laid out otherwise", { text: loadsRight.replaceAll(" {\n", "\n{\n") }, 2, "M4", "unusual"),
    mend("on few lines", { text: loadsRight.replace(/\n {4,}/g, " ") }, 2, "M4", "unusual"),
    table(
      "the key",
      [
        { loads: "{12, 30, 7, 25}" },
        { total: "0" },
        { i: "1" },
        { total: "30" },
        { i: "2" },
        { total: "37" },
        { i: "3" },
        { total: "62" },
        { i: "4" },
        { output: "Total 62" },
        { output: "Mean 15" },
      ],
      6,
      "T1",
    ),
    table(
      "a wrong sum in the middle",
      [
        { loads: "{12, 30, 7, 25}" },
        { total: "0" },
        { i: "1" },
        { total: "30" },
        { i: "2" },
        { total: "36" },
        { i: "3" },
        { total: "61" },
        { i: "4" },
        { output: "Total 61" },
        { output: "Mean 15" },
      ],
      5,
      "T2",
    ),
    table(
      "left before the last",
      [
        { loads: "{12, 30, 7, 25}" },
        { total: "0" },
        { i: "1" },
        { total: "30" },
        { i: "2" },
        { total: "37" },
        { output: "Total 37" },
        { output: "Mean 9" },
      ],
      4.5,
      "T6",
    ),
    predict("the output", "Total 62\nMean 15", 3, "P1"),
    predict("as it is meant", "Total 74\nMean 18", 1, "P1"),
    predict("one of two", "Total 62\nMean 18", 2, "P1"),
    point("the header", [6], 1, "Z1"),
    reason("logic", "the loop starts at 1, so loads[0] is never added", 2, "R2"),
    reason("logic", "the answer is not right", 1.5, "R1"),
  ],
};

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

const fareFaulty = `def fare_for(age, cars):
    if age < 15:
        return 3
    return 8 + cars * 2


print("Child", fare_for(14, 0))
print("Adult", fare_for(30, 1))
print("Family", fare_for(40, 2) + fare_for(12, 0)
`;
const fareRight = fareFaulty.replace("fare_for(12, 0)\n", "fare_for(12, 0))\n");

/** A bracket that is missing, in a program with a function. */
const fare: MarkedExercise = {
  ...{ name: "fare", language: "python", fileName: "fare.py", program: fareFaulty, mended: fareRight },
  checks: [{ input: "", expected: "Child 3\nAdult 10\nFamily 15\n" }],
  marks: { mend: 2, predict: 3, classify: 2, point: 1 },
  answers: [
    mend("the key", { text: fareRight }, 2, "M1"),
    mend("the line taken out", put(fareFaulty, ['print("Family", fare_for(40, 2) + fare_for(12, 0)\n', ""]), 0, "M1"),
    mend(
      "the result written down",
      put(fareFaulty, ["fare_for(40, 2) + fare_for(12, 0)\n", "15)\n"]),
      0,
      "M2",
      "hides",
    ),
    mend(
      "a handler around it",
      {
        text: `try:\n    print("Child", 3)\n    print("Adult", 10)\n    print("Family", 15)\nexcept Exception:\n    pass\n`,
      },
      0,
      "M2",
      "hides",
    ),
    mend("a text of all lines", { text: 'print("""Child 3\nAdult 10\nFamily 15""")\n' }, 0, "M2", "hides"),
    mend(
      "in brackets of its own",
      put(fareFaulty, ["fare_for(40, 2) + fare_for(12, 0)\n", "(fare_for(40, 2) + fare_for(12, 0)))\n"]),
      2,
      "M3",
      "unusual",
    ),
    mend(
      "by a name",
      put(fareFaulty, [
        'print("Family", fare_for(40, 2) + fare_for(12, 0)\n',
        'both = fare_for(40, 2) + fare_for(12, 0)\nprint("Family", both)\n',
      ]),
      2,
      "M3",
      "unusual",
    ),
    mend("closed on the next line", put(fareFaulty, ["fare_for(12, 0)\n", "fare_for(12, 0)\n)\n"]), 2, "M3", "unusual"),
    predict("the output of the mended one", "Child 3\nAdult 10\nFamily 15", 3, "P1"),
    predict("one value wrong", "Child 3\nAdult 8\nFamily 15", 2, "P1"),
    predict("values with a sign of money", "Child £3\nAdult £10\nFamily £15", 2.5, "P3"),
    point("the last line", [9], 1, "Z1"),
    point("three lines", [7, 8, 9], 0, "Z2"),
    reason("syntax", "the bracket that print opens on line 9 is not closed", 2, "R2"),
    reason("syntax", "it cannot be translated, so nothing runs", 1.5, "R1"),
    reason("syntax", "no bracket is missing", 1, "R4"),
    reason("logic", "the result is wrong", 0, "R3"),
  ],
};

export const moreMarkedExercises: readonly MarkedExercise[] = [loads, ramp, fare];
