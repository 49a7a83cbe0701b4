import { expect, test } from "vitest";
import { entryOf, lookBefore } from "./look.ts";

const found = (statement: string, head = "") => lookBefore([`${head}Sub Main\n  ${statement}\nEnd Sub\n`]);

test("a routine that nothing defines is found, whichever way it is called", () => {
  for (const call of ["MesageBox 3", 'x = Lenght("tide")', "Call Fil(3)", "If a Then Fil 3", "Fil"])
    expect(found(call)?.message, call).toMatch(/^Routine “(?:MesageBox|Lenght|Fil)” is not defined\.$/);
  expect(found("Fill 3")?.line).toBe(2);
});

test("what is defined, declared, given a value or of the library is none", () => {
  for (const statement of [
    'MsgBox Len("tide")',
    "Dim loads(3)\n  loads(1) = 4\n  x = loads(1)",
    "all = Array(1, 2)\n  x = all(0)",
    "For Each row In rows\n  x = row(0)\n  Next row",
    'sheet.getCellRangeByName("A1").Value = 4',
    "Again:\n  GoTo Again",
    "x = ThisComponent.Sheets(0)",
    "MsgBox x : y = 4",
  ])
    expect(found(statement), statement).toBeNull();
  expect(lookBefore(["Sub Main\n  Fill 3\nEnd Sub\n", "Sub Fill(n)\nEnd Sub\n"])).toBeNull();
});

test("under the strict option a name without a declaration is found; without the option it is a new empty variable", () => {
  expect(found("totl = 4", "Option Explicit\n")).toEqual({ line: 3, message: "“totl” is not declared." });
  expect(found("totl = 4")).toBeNull();
  const declared = "Dim total As Double, cars%\n  total = cars + 1\n  Const most = 4\n  x.total = most";
  expect(found(declared, "Option Explicit\n")?.message).toBe("“x” is not declared.");
  expect(
    lookBefore([
      "Option Explicit\nType Deck\n  load As Integer\nEnd Type\nSub Main(a, b)\n  a = b\nEnd Sub\nSub Go\nEnd Sub\n",
    ]),
  ).toBeNull();
});

test("it starts in Main, else in the first Sub or Function that needs no values; where there is none that is said", () => {
  expect(entryOf("Sub First\nEnd Sub\nSub main()\nEnd Sub\n")).toBe("main");
  expect(entryOf("Function Twice(n)\nEnd Function\nPublic Sub Loads\nEnd Sub\n")).toBe("Loads");
  expect(lookBefore(["Sub Fill(n)\nEnd Sub\n"])?.message).toMatch(/^Nothing to start/);
});
