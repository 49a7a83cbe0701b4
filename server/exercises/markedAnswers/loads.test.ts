import { type MarkedExercise, mend, point, predict, put, reason, table } from "./marked.ts";
import { testMarked } from "./testMarked.ts";

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

testMarked(loads);
