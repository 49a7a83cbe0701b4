import { expect, test } from "vitest";
import { instrumentMacro } from "./instrument.ts";
import { lookBefore } from "./look.ts";
import { isForOtherOffice } from "./otherNames.ts";

const main = (statement: string) => `Sub Main\n  ${statement}\nEnd Sub\n`;

test("a macro that asks for another office's objects is known by it; one with such names of its own is not", () => {
  for (const statement of [
    'Range("A1").Value = 4',
    "Cells(2, 1) = 4",
    "x = ActiveSheet.Name",
    'Worksheets("Fares").Range("A1") = 3',
  ])
    expect(isForOtherOffice([main(statement)]), statement).toBe(true);
  for (const statement of [
    "rows = 4",
    "sheet = ThisComponent.Sheets.getByIndex(0)",
    'cell = sheet.Range("A1")',
    "columns = rows + 1",
    '\' Range("A1") is not meant',
  ])
    expect(isForOtherOffice([main(statement)]), statement).toBe(false);
});

test("its objects are no routines that are missing, and no variables that are recorded", () => {
  expect(lookBefore([main('Range("A1").Value = Cells(1, 2).Value')])).toBeNull();
  expect(instrumentMacro(main("Cells(2, 1) = 4"), 0, true)).not.toContain("Put");
});
