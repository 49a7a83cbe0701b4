import { example, inMain } from "../example.ts";
import { byEdit, byNotice } from "../grounds.ts";
import type { Pattern } from "../pattern.ts";

/** Two whole numbers are divided and the fraction is lost, or kept where it is not meant. */
export const wholeNumberDivision: Pattern = {
  id: "whole-number-division",
  name: "Whole numbers divided",
  says: "Two whole numbers are divided and the fraction is lost, or kept where it is not meant.",
  mends: "Use the division that is meant.",
  cause: "Between whole numbers the sign of division gives a whole number.",
  avoid: "Make one of them a decimal where the fraction counts.",
  fault: true,
  grounds: [
    byEdit(
      ["conversion", "arithmetic"],
      ({ lineBefore, before, after }, { class: of }) =>
        of === "logic" &&
        /\/|div\b/i.test(lineBefore) &&
        (/\/\/?|div/i.test(before + after) || /\.0|double|float/.test(after)),
      3,
    ),
    // Where one of the two gets a decimal type instead, the division is what it is done for.
    byEdit(
      "declaration",
      ({ after }, { noticed }) =>
        /double|float|decimal/.test(after) && noticed.some(({ id }) => id === "whole-number-division"),
      4,
    ),
    // Made a decimal only when the fraction is lost: `(double) (sum / 5)`.
    byEdit("formula-brackets", ({ lineBefore }) => /\b(?:double|float|decimal)\s*\)?\s*\([^()]*\//.test(lineBefore), 4),
    byNotice("whole-number-division", 4),
  ],
  examples: [
    inMain(
      "java",
      `int total = 7, trips = 2;
double each = total / «(double) ¦»trips;
System.out.println(each);
`,
    ),
    inMain(
      "c",
      `int total = 7, trips = 2;
double each = total / «(double) ¦»trips;
printf("%.1f\\n", each);
`,
    ),
    inMain(
      "csharp",
      `int total = 7, trips = 2;
double each = total / «(double) ¦»trips;
Console.WriteLine(each);
`,
    ),
    example(
      "python",
      `total = 7
trips = 2
print(total «/¦//» trips)
`,
    ),
    example(
      "pseudocode",
      `total <- 7
trips <- 2
OUTPUT total «/¦DIV» trips
`,
    ),
    inMain(
      "basic-macro",
      `cars = 7
MsgBox cars «/¦\\» 2
`,
    ),
    example(
      "sketch",
      `int total = 7, trips = 2;
float each = total / «(float) ¦»trips;
println(each);
`,
    ),
    inMain(
      "basic-forms",
      `Dim loads As Integer = 7
Console.WriteLine(loads «/¦\\» 2)
`,
    ),
  ],
};
