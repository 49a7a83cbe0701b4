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

/** A module whose Main has these lines (from line 3 on); `more` stands behind it. All are to print 12 at last. */
const main = (lines: readonly string[], more: readonly string[] = []) =>
  `Module Deck\n  Sub Main()\n${lines.map((line) => `    ${line}\n`).join("")}  End Sub\n${more.map((line) => `  ${line}\n`).join("")}End Module\n`;
const say = "Console.WriteLine(12)";
type Said = [what: string, line: number | null, program: string];
const all = (of: SaidBefore["class"], list: readonly Said[]): SaidBefore[] =>
  list.map(([what, line, program]) => ({ what, class: of, line, program }));

/** Refused before they run. */
const refused = all("syntax", [
  ["a bracket left out", 3, main(["Console.WriteLine(12"])],
  ["a quote that is not closed", 3, main(['Console.WriteLine("load)', say])],
  ["an If without its end", 3, main(["If 3 > 2 Then", say])],
  ["a For without its Next", 3, main(["For car As Integer = 1 To 3", say])],
  ["a Do without its Loop", 4, main(["Dim cars As Integer = 3", "Do While cars > 0", "cars -= 1", say])],
  ["a Next without its For", 4, main([say, "Next"])],
  ["an Else without its If", 4, main([say, "Else", say])],
  ["a misspelt beginning of a declaration", 3, main(["Dmi cars As Integer", say])],
  ["a type that is left out behind As", 3, main(["Dim cars As", say])],
  ["a reserved word as a name", 3, main(["Dim next As Integer = 12", say])],
  ["a value left out, for which the next line is taken", 4, main(["Dim cars As Integer = ", say])],
  ["a sub that is not closed", 2, "Module Deck\n  Sub Main()\n    Console.WriteLine(12)\nEnd Module\n"],
  ["a name that is not declared", 4, main(["Dim cars As Integer = 12", "Console.WriteLine(crs)"])],
  ["a declaration that is left out", 3, main(["cars = 12", say])],
  ["a member that is misspelt", 3, main(["Console.WriteLin(12)"])],
  ["a type that is not known", 3, main(["Dim cars As Intger = 12", say])],
  ["a routine that nothing defines", 3, main(["Console.WriteLine(Total(12))"])],
  [
    "a value too few for a routine",
    3,
    main(
      ["Console.WriteLine(Twice())"],
      ["Function Twice(cars As Integer) As Integer", "Return cars * 2", "End Function"],
    ),
  ],
  ["a Sub as a value", 3, main(["Dim cars As Integer = Show()"], ["Sub Show()", say, "End Sub"])],
  ["a name that is declared twice", 4, main(["Dim cars As Integer = 12", "Dim cars As Double = 1", say])],
  [
    "a silent conversion under strict rules",
    4,
    `Option Strict On\n${main(['Dim cars As Integer = "12"', "Console.WriteLine(cars)"])}`,
  ],
  ["a constant that is given a value", 4, main(["Const Most As Integer = 3", "Most = 12", say])],
  ["no Sub Main", 1, "Module Deck\n  Sub Begin()\n    Console.WriteLine(12)\n  End Sub\nEnd Module\n"],
  ["a constant that is too large for its type", 3, main(["Dim cars As Byte = 300", say])],
  ["a Case outside of a choice", 3, main(["Case 3", say])],
]);

/** Stopped when a line is reached. */
const stopped = all("runtime", [
  ["a place past the end", 4, main(["Dim loads(2) As Integer", "loads(3) = 1", say])],
  ["a place below the first", 5, main(["Dim loads(2) As Integer", "Dim at As Integer = 0", "loads(at - 1) = 1", say])],
  ["a whole division by nothing", 4, main(["Dim boats As Integer = 0", "Console.WriteLine(12 \\ boats)"])],
  ["a rest of a division by nothing", 4, main(["Dim boats As Integer = 0", "Console.WriteLine(12 Mod boats)"])],
  ["a text that is no number", 4, main(['Dim typed As String = "twelve"', "Console.WriteLine(CInt(typed))"])],
  ["an empty text as a number", 3, main(['Dim cars As Integer = ""', say])],
  ["a text parsed that is no number", 3, main(['Console.WriteLine(Integer.Parse("12x"))'])],
  ["an object that was never made", 4, main(["Dim names As List(Of String) = Nothing", 'names.Add("Tern")', say])],
  ["a text that is Nothing", 4, main(["Dim name As String", "Console.WriteLine(name.Length)"])],
  ["an overflow of a sum", 4, main(["Dim most As Integer = 2147483647", "most += 1", say])],
  [
    "a conversion that does not fit",
    4,
    main(["Dim load As Double = 3000000000.0", "Dim cars As Integer = CInt(load)", say]),
  ],
  ["a small type that overflows", 5, main(["Dim cars As Byte", "cars = 255", "cars += 1", say])],
  [
    "a key that is not there",
    4,
    main(["Dim seats As New Dictionary(Of String, Integer)", 'Console.WriteLine(seats("Tern"))']),
  ],
  ["a place in a list that is empty", 4, main(["Dim loads As New List(Of Integer)", "Console.WriteLine(loads(0))"])],
  ["a part of a text past its end", 3, main(['Console.WriteLine("Tern".Substring(3, 5))'])],
  [
    "calls without an end",
    null,
    main(
      ["Console.WriteLine(Ways(3))"],
      ["", "Function Ways(steps As Integer) As Integer", "Return Ways(steps + 1)", "End Function"],
    ),
  ],
  ["an exception of one's own", 3, main(['Throw New Exception("the deck is full")'])],
  ["a file that is not there", 3, main(['Console.WriteLine(System.IO.File.ReadAllText("loads.txt"))'])],
  ["a value of another kind", 4, main(['Dim thing As Object = "Tern"', "Dim cars As Integer = thing", say])],
  ["a position before the first of a text", 3, main(['Console.WriteLine(Mid("Tern", 0, 2))'])],
  ["an array that was never made", 4, main(["Dim loads() As Integer", "loads(0) = 3", say])],
  ["a type that two texts do not have", 4, main(['Dim one As Object = "Tern"', "Console.WriteLine(one * 3)"])],
]);

/** Come to their end with another result. */
const wrong = all("logic", [
  ["a plus for a times", null, main(["Console.WriteLine(3 + 4)"])],
  [
    "a limit one too low",
    null,
    main(["Dim total As Integer", "For car As Integer = 3 To 4", "total += car", "Next", "Console.WriteLine(total)"]),
  ],
  ["a wrong comparison", null, main(["If 3 < 2 Then", say, "End If"])],
  ["a beginning that is wrong", null, main(["Dim total As Integer = 1", "total += 12", "Console.WriteLine(total)"])],
  ["Or for And", null, main(["If 3 > 2 And 2 > 3 Then", say, "Else", "Console.WriteLine(0)", "End If"])],
  ["texts that are joined for a sum", null, main(['Console.WriteLine("1" & 1 + 1)', "Console.WriteLine(10 & 2)"])],
  ["a rounding that nobody wanted", null, main(["Dim cars As Integer = 12.5 - 1", "Console.WriteLine(cars + 1)"])],
  ["brackets left out", null, main(["Console.WriteLine(2 + 4 * 2)"])],
  ["a wrong variable", null, main(["Dim one As Integer = 12", "Dim other As Integer = 3", "Console.WriteLine(other)"])],
  [
    "a result that is never given",
    null,
    main(["Console.WriteLine(Twice(6))"], ["Function Twice(cars As Integer) As Integer", "cars *= 2", "End Function"]),
  ],
  [
    "a change by value",
    null,
    main(
      ["Dim cars As Integer = 6", "Twice(cars)", "Console.WriteLine(cars)"],
      ["Sub Twice(ByVal cars As Integer)", "cars *= 2", "End Sub"],
    ),
  ],
  [
    "a count that begins anew in each turn",
    null,
    main([
      "Dim total As Integer",
      "For car As Integer = 1 To 3",
      "total = 0",
      "total += 4",
      "Next",
      "Console.WriteLine(total)",
    ]),
  ],
  [
    "a step the wrong way round",
    null,
    main(["Dim total As Integer", "For car As Integer = 3 To 1", "total += 4", "Next", "Console.WriteLine(total)"]),
  ],
  ["a loop without an end", null, main(["Dim cars As Integer = 3", "Do While cars > 0", "cars += 0", "Loop", say])],
  [
    "a text for a number in a comparison",
    null,
    main(['If "9" > "12" Then', "Console.WriteLine(9)", "Else", say, "End If"]),
  ],
  ["an output in the wrong form", null, main(['Console.WriteLine(12.0.ToString("0.00"))'])],
  ["a decimal division for a whole one", null, main(["Console.WriteLine(25 / 2)"])],
  [
    "a case that is never met",
    null,
    main(["Select Case 12", "Case 1 To 11", say, "Case Else", "Console.WriteLine(0)", "End Select"]),
  ],
  ["a wrong text", null, main(['Console.WriteLine("I2")'])],
  ["a value that is printed too early", null, main(["Dim cars As Integer", "Console.WriteLine(cars)", "cars = 12"])],
]);

const taken = (programs: readonly SaidBefore[]) =>
  differing(toolchains, "basic-forms", "12\n", todaysShare(programs, 3));

test("what is refused before it runs", async () => {
  expect(await taken(refused)).toEqual([]);
});

test("what is stopped when its line is reached", async () => {
  expect(await taken(stopped)).toEqual([]);
});

test("what comes to its end with another result", async () => {
  expect(await taken(wrong)).toEqual([]);
});
