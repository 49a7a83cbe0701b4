import { describe, expect, test } from "vitest";
import { translateBasic } from "./translate.ts";

/** What is refused in Main: line of Main and column (from 1) of each, with its code; a line of the whole text stands behind the letter L. */
function refused(...lines: string[]): string[] {
  const text = `Module Deck\n  Sub Main()\n${lines.map((line) => `    ${line}\n`).join("")}  End Sub\nEnd Module\n`;
  return translateBasic([{ name: "Deck.vb", text }]).problems.map(({ place, code }) =>
    place.line > 2 && place.line < lines.length + 3
      ? `${place.line - 2}:${place.column - 4} ${code}`
      : `L${place.line} ${code}`,
  );
}

describe("a statement that is not finished is refused where it stops", () => {
  test.each([
    ["nothing behind =", "Dim cars =", "1:11 BC30201"],
    ["nothing behind a sign", "Dim cars As Integer = 3 +", "1:26 BC30201"],
    ["nothing behind Not", "Dim full = Not", "1:15 BC30201"],
    ["nothing in brackets that stay open", "Console.WriteLine(", "1:19 BC30201"],
    ["nothing behind a dot", "Console.", "1:9 BC30203"],
    ["no type behind As", "Dim cars As", "1:12 BC30182"],
    ["a number for a type", "Dim cars As 3", "1:13 BC30182"],
    ["a number for a name", "Dim 3 As Integer", "1:5 BC30203"],
    ["a reserved word for a name", "Dim Integer As Integer", "1:5 BC30183"],
    ["two values beside each other", "Dim cars As Integer = 3 4", "1:25 BC30205"],
    ["a bracket of bounds", "Dim loads(3 As Integer", "1:13 BC30198"],
    ["bounds in the second brackets", "Dim loads(3)(4) As Integer", "1:14 BC30638"],
    ["a bracket of a call", "Console.WriteLine(3", "1:20 BC30198"],
    ["a bracket in a value", "Dim a = (3", "1:11 BC30198"],
    ["the bracket behind Of", "Dim a As New List(Of Integer", "1:29 BC30198"],
    ["a list of values", "Dim a() As Integer = {1, 2", "1:27 BC30370"],
    ["a text", 'Dim a = "Tern', "1:9 BC30648"],
    ["a sign of two letters", 'Dim a = "ab"c', "1:9 BC30004"],
    ["a value within a text", 'Dim a = $"{3"', "1:9 BC30370"],
    ["nothing between the braces of a text", 'Dim a = $"{}"', "1:9 BC30201"],
    ["one value for If( )", "Dim a = If(3)", "1:9 BC33104"],
    ["no type for CType", "Dim a = CType(3)", "1:16 BC30196"],
    ["TypeOf without Is", "Dim a = TypeOf 3 Integer", "1:18 BC30201"],
    ["a comma too many in a value", 'Console.WriteLine("a" & )', "1:25 BC30201"],
    ["a call without its brackets", "Console.WriteLine 3", "1:19 BC30800"],
    ["a number that begins a statement", "3 = 4", "1:1 BC30035"],
  ])("%s", (_, line, where) => {
    expect(refused(line)).toEqual([where]);
  });

  test("what goes on in the next line is one statement, and the next one is not swallowed", () => {
    expect(refused("Dim a = 3 +", "4")).toEqual([]);
    expect(refused("Dim a = {1,", "2}")).toEqual([]);
    expect(refused("If 3 > 2 And", "2 > 1 Then", "End If")).toEqual([]);
    expect(refused("Dim cars As Integer = 3 +", "Dim full = True")).toEqual(["1:26 BC30201"]);
    expect(refused("Dim full = 3 >", "For car = 1 To 2", "Next")).toEqual(["1:15 BC30201"]);
  });
});

describe("blocks that do not pair off", () => {
  test.each([
    ["If 3 > 2 Then", "1:1 BC30081"],
    ["Select Case 3", "1:1 BC30095"],
    ["For car = 1 To 3", "1:1 BC30084"],
    ["Do", "1:1 BC30083"],
    ["While 3 > 2", "1:1 BC30082"],
    ["With 3", "1:1 BC30085"],
  ])("%s is never closed", (line, where) => {
    expect(refused(line)).toEqual([where]);
  });

  test.each([
    ["End If", "1:1 BC30087"],
    ["End Select", "1:1 BC30088"],
    ["Next", "1:1 BC30092"],
    ["Loop", "1:1 BC30091"],
    ["End While", "1:1 BC30090"],
    ["End With", "1:1 BC30093"],
    ["End Try", "1:1 BC30383"],
    ["End Using", "1:1 BC36007"],
    ["ElseIf 3 > 2 Then", "1:1 BC30086"],
    ["Case 3", "1:1 BC30072"],
    ["Catch", "1:1 BC30380"],
  ])("%s closes or parts nothing", (line, where) => {
    expect(refused(line)).toEqual([where]);
  });

  test.each([
    [["Exit For"], "1:1 BC30096"],
    [["Exit Do"], "1:1 BC30089"],
    [["Exit While"], "1:1 BC30097"],
    [["Continue For"], "1:1 BC30782"],
    [["For car = 1 To 3", "Exit While", "Next"], "2:1 BC30097"],
    [["If 3 > 2 Then", "Else", "Else", "End If"], "3:1 BC30086"],
    [["Select Case 3", "cars = 3", "Case 1", "End Select"], "2:1 BC30058"],
    [["For car As Integer = 1 To 3", "Next deck"], "2:6 BC30070"],
    [["Do While 3 > 2", "Loop Until 3 > 2"], "2:6 BC30238"],
    [["Try", "End Try"], "1:1 BC30030"],
  ])("%j", (lines, where) => {
    expect(refused(...lines)).toEqual([where]);
  });
});

describe("names, types and values that do not fit", () => {
  test.each([
    ["a name that nothing declares", ["crs = 3"], "1:1 BC30451"],
    ["the same, added to", ["crs += 1"], "1:1 BC30451"],
    ["a routine that is not there", ["Call Board()"], "1:6 BC30451"],
    ["a type that is not known", ["Dim a As Intger"], "1:10 BC30002"],
    ["a module made an object", ["Dim a = New Deck()"], "1:13 BC30002"],
    ["two types for one", ["Dim a As List(Of Integer, Integer)"], "1:10 BC32045"],
    ["a member that is not there", ["Console.Writ(3)"], "1:9 BC30456"],
    ["a member of a text", ["Dim boat As String = Nothing", "boat.Sail()"], "2:6 BC30456"],
    ["a length that is given a value", ["Dim a As Integer", "a.Length = 3"], "2:3 BC30456"],
    ["a name twice", ["Dim cars As Integer", "Dim cars As Integer"], "2:5 BC30288"],
    ["a constant that is changed", ["Const most As Integer = 3", "most = 4"], "2:1 BC30074"],
    ["a constant too large", ["Dim a As Byte = 300"], "1:17 BC30439"],
    ["a number too large", ["Dim a As Integer = 99999999999"], "1:20 BC30439"],
    ["a whole division by nothing", ["Dim a As Integer = 3 \\ 0"], "1:20 BC30542"],
    ["a rest by nothing", ["Dim a = 3 Mod 0"], "1:9 BC30542"],
    ["a date of a number", ["Dim a As Date = 3"], "1:17 BC30311"],
    ["too many brackets", ["Dim a(3) As Integer", "a(1, 2) = 3"], "2:1 BC30106"],
    ["brackets behind a number", ["Dim a As Integer", "a(1) = 3"], "2:1 BC30471"],
    ["nothing for what is asked", ["Dim a = Len()"], "1:9 BC30455"],
    ["more than is asked", ["Dim a = Len(1, 2)"], "1:16 BC30057"],
    ["something for a routine that takes nothing", ["Main(3)"], "1:6 BC30057"],
    ["a value given back by a Sub", ["Return 3"], "1:1 BC30647"],
  ])("%s", (_, lines, where) => {
    expect(refused(...lines)).toEqual([where]);
  });

  test.each([
    ["a decimal for a whole number is rounded", ["Dim a As Integer = 3.7"]],
    ["a text that is a number", ['Dim a As Integer = "3"']],
    ["a number for a text", ["Dim a As String = 3"]],
    ["a decimal division by nothing", ["Dim a As Double = 3 / 0"]],
    ["two names of one type", ["Dim a, b As Integer"]],
    ["a call with and without its word", ["Call Console.WriteLine(3)", "Console.WriteLine(3)"]],
    ["Else on one line", ["If 3 > 2 Then Console.WriteLine(3) Else Console.WriteLine(4)"]],
    ["names in other letters", ["Dim Cars As Integer = 3", "cars += 1", "CONSOLE.WRITELINE(CARS)"]],
  ])("%s is no refusal", (_, lines) => {
    expect(refused(...lines)).toEqual([]);
  });
});
