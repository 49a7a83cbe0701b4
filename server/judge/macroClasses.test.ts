import { afterAll, beforeAll, expect, test } from "vitest";
import { todaysShare } from "../../tools/share.ts";
import { sharedToolchains } from "../testToolchains.ts";
import type { Toolchains } from "../toolchains/toolchains.ts";
import { differing, type SaidBefore } from "./saidBefore.ts";

let toolchains: Toolchains;
beforeAll(() => {
  toolchains = sharedToolchains();
});
afterAll(() => toolchains.close());

/** A macro whose second line is the first of these. */
const main = (...lines: string[]) => `Sub Main\n${lines.join("\n")}\nEnd Sub\n`;
const sheet = "sheet = ThisComponent.Sheets.getByIndex(0)";

/** Faulty macros with what they are, said before they were run: the class, and the line that is reported (from 1). All are to write 21 into A1. */
const faulty: readonly SaidBefore[] = [
  {
    what: "Then left out",
    class: "syntax",
    line: 4,
    program: main(sheet, "fare = 21", "If fare > 3", 'sheet.getCellRangeByName("A1").Value = fare', "End If"),
  },
  {
    what: "a loop that is not closed",
    class: "syntax",
    line: 6,
    program: main(sheet, "For n = 1 To 21", 'sheet.getCellRangeByName("A1").Value = n', "x = n"),
  },
  {
    what: "the end of another block",
    class: "syntax",
    line: 5,
    program: main(sheet, "While n < 21", "n = n + 1", "Next"),
  },
  {
    what: "a quote that is not closed",
    class: "syntax",
    line: 3,
    program: main(sheet, 'sheet.getCellRangeByName("A1).Value = 21'),
  },
  {
    what: "a routine that nothing defines",
    class: "syntax",
    line: 3,
    program: main(sheet, 'Fill sheet.getCellRangeByName("A1"), 21'),
  },
  {
    what: "a function that nothing defines",
    class: "syntax",
    line: 3,
    program: main(sheet, 'sheet.getCellRangeByName("A1").Value = Twise(10.5)'),
  },
  {
    what: "an undeclared name under the strict option",
    class: "syntax",
    line: 5,
    program: `Option Explicit\n${main("Dim sheet As Object", sheet, "fare = 21", 'sheet.getCellRangeByName("A1").Value = fare')}`,
  },
  { what: "an unknown type", class: "syntax", line: 2, program: main("Dim fare As Intger", sheet, "fare = 21") },
  {
    what: "a property that is misspelt",
    class: "runtime",
    line: 3,
    program: main(sheet, 'sheet.getCellRangeByName("A1").Vlaue = 21'),
  },
  {
    what: "a sheet that is not there",
    class: "runtime",
    line: 2,
    program: main('sheet = ThisComponent.Sheets.getByName("Fares")', 'sheet.getCellRangeByName("A1").Value = 21'),
  },
  {
    what: "a variable that holds no object",
    class: "runtime",
    line: 3,
    program: main("Dim sheet As Object", 'sheet.getCellRangeByName("A1").Value = 21'),
  },
  {
    what: "a position the array does not have",
    class: "runtime",
    line: 4,
    program: main(sheet, "Dim fares(2) As Integer", "fares(3) = 21", 'sheet.getCellRangeByName("A1").Value = fares(3)'),
  },
  {
    what: "nothing to divide by, since a cell is empty",
    class: "runtime",
    line: 3,
    program: main(sheet, 'sheet.getCellRangeByName("A1").Value = 42 / sheet.getCellRangeByName("B1").Value'),
  },
  {
    what: "a text that is no number",
    class: "runtime",
    line: 3,
    program: main(sheet, 'fare = CDbl(InputBox("Fare?"))', 'sheet.getCellRangeByName("A1").Value = fare'),
    input: "twenty-one\n",
  },
  {
    what: "a number too large for its type",
    class: "runtime",
    line: 4,
    program: main(sheet, "Dim metres As Integer", "metres = 40000", 'sheet.getCellRangeByName("A1").Value = 21'),
  },
  {
    what: "calls without an end",
    class: "runtime",
    line: 7,
    program: `${main(sheet, 'sheet.getCellRangeByName("A1").Value = Down(21)')}\nFunction Down(n)\nDown = Down(n - 1)\nEnd Function\n`,
  },
  {
    what: "a misspelt name that is empty",
    class: "logic",
    line: null,
    program: main(sheet, "fare = 21", 'sheet.getCellRangeByName("A1").Value = faer'),
  },
  {
    what: "a limit one too small",
    class: "logic",
    line: null,
    program: main(
      sheet,
      "For n = 1 To 5",
      "total = total + n",
      "Next n",
      'sheet.getCellRangeByName("A1").Value = total',
    ),
  },
  {
    what: "column and row swapped",
    class: "logic",
    line: null,
    program: main(sheet, "sheet.getCellByPosition(0, 1).Value = 21"),
  },
  {
    what: "a text where a number is meant",
    class: "logic",
    line: null,
    program: main(sheet, 'sheet.getCellRangeByName("A1").String = "2" & "1.0"'),
  },
];

test("faulty macros, each of the class and the line that was said of it before", async () => {
  // Each needs an office of its own: a quarter of them each day.
  expect(await differing(toolchains, "basic-macro", "cell A1 = 21\n", todaysShare(faulty, 8))).toEqual([]);
  expect(faulty).toHaveLength(20);
});
