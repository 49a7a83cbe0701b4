import type { RightProgram } from "./program.ts";

/** Right macros. */
export const basicMacroPrograms: readonly RightProgram[] = [
  {
    name: "fares",
    language: "basic-macro",
    text: `Sub Main
    Dim people As Integer, person As Integer, age As Integer
    Dim fare As Integer, total As Integer
    people = CInt(InputBox("People?"))
    For person = 1 To people
        age = CInt(InputBox("Age?"))
        If age < 6 Then
            fare = 0
        ElseIf age < 16 Then
            fare = 3
        Else
            fare = 7
        End If
        total = total + fare
    Next person
    MsgBox "Total " & total
    If total > 20 And people > 2 Then
        MsgBox "Group"
    Else
        MsgBox "Single"
    End If
End Sub
`,
    inputs: ["2\n30\n12\n", "3\n5\n6\n16\n", "4\n20\n30\n15\n60\n", "2\n60\n70\n"],
  },
  {
    name: "deck rows",
    language: "basic-macro",
    text: `Option Explicit

Sub Main
    Dim sheet As Object
    Dim row As Integer, heavy As Integer
    Dim load As Double
    sheet = ThisComponent.Sheets.getByIndex(0)
    Do
        load = Val(InputBox("Load?"))
        If load > 0 Then
            sheet.getCellByPosition(0, row).Value = load
            If IsHeavy(load) Then
                heavy = heavy + 1
                sheet.getCellByPosition(1, row).String = "heavy"
            End If
            row = row + 1
        End If
    Loop Until load <= 0
    sheet.getCellByPosition(3, 0).Value = heavy
    Select Case heavy
        Case 0
            MsgBox "light"
        Case 1, 2
            MsgBox "mixed"
        Case Else
            MsgBox "heavy deck"
    End Select
End Sub

Function IsHeavy(load As Double) As Boolean
    IsHeavy = load >= 2.5
End Function
`,
    inputs: ["1\n2.5\n0\n", "0\n", "3\n4\n2.4\n5\n0\n", "2\n-1\n"],
  },
];
