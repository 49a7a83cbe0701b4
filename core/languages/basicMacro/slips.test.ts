import { slipsIn, slipsOf } from "../../edits/slipsOf.ts";

const counted = `Sub CountCars
  Dim sheet As Object
  Dim row As Integer
  Dim total As Double
  sheet = ThisComponent.Sheets.getByName("Deck")
  For row = 1 To 3
    If sheet.getCellByPosition(2, row).Value > 3 Then
      total = total + sheet.getCellByPosition(2, row).Value
    Else
      total = total + 1
    End If
  Next row
  Do While total > 10
    total = total - 1
  Loop
  sheet.getCellRangeByName("B6").Value = Fare(total)
End Sub

Function Fare(cars)
  Fare = cars * 2 Mod 7
End Function
`;

// As beginners write them who know another language, or none yet.
slipsOf("basic-macro", [
  ...slipsIn(counted, [
    ["refused", "other-forms", "Dim row As Integer", "Dim row As Int"],
    ["refused", "other-forms", "Dim row As Integer", "Dim row Integer"],
    ["refused", "other-forms", "Dim total As Double", "Dim total As Float"],
    ["refused", "other-forms", "For row = 1 To 3", "For row = 1, 3"],
    ["refused", "other-forms", "For row = 1 To 3", "For row = 1 To 3 Do"],
    ["refused", "other-forms", "For row = 1 To 3", "For row in 1 To 3"],
    ["refused", "other-forms", "For row = 1 To 3", "For Each row = 1 To 3"],
    ["refused", "other-forms", "For row = 1 To 3", "For row = 1 Until 3"],
    ["refused", "word", "Value > 3 Then", "Value > 3"],
    ["refused", "other-forms", "Value > 3 Then", "Value > 3:"],
    ["refused", "other-forms", "Value > 3 Then", "Value > 3 {"],
    ["refused", "other-forms", "Value > 3 Then", "Value > 3 Than"],
    ["refused", "comparison", "Value > 3 Then", "Value < 3 Then"],
    ["refused", "other-forms", "    Else\n", "    Else:\n"],
    ["refused", "other-forms", "    Else\n", "    Else Then\n"],
    ["refused", "other-forms", "    End If\n", "    End\n"],
    ["refused", "other-forms", "    End If\n", "    Next\n"],
    ["refused", "other-forms", "    End If\n", "    End While\n"],
    ["refused", "other-forms", "    End If\n", ""],
    ["refused", "other-forms", "Do While total > 10", "Do While total > 10 Then"],
    ["refused", "other-forms", "Do While total > 10", "Do While total > 10 {"],
    ["refused", "other-forms", "  Loop\n", "  Next\n"],
    ["refused", "other-forms", "  Loop\n", "  End While\n"],
    ["refused", "other-forms", "  Loop\n", "  Wend\n"],
    ["refused", "block-end", "  Loop\n", ""],
    ["refused", "other-forms", "total = total - 1", "total--"],
    ["refused", "other-forms", "total = total - 1", "total - 1"],
    ["refused", "sign", "total = total - 1", "total := total - 1"],
    ["refused", "sign", "total = total - 1", "total == total - 1"],
    ["refused", "arithmetic", "total = total - 1", "total = total + 1"],
    ["refused", "other-forms", "total = total + 1\n", "total += 1\n"],
    ["refused", "other-forms", "total = total + 1\n", "total++\n"],
    ["refused", "other-forms", "Fare(total)", "Fare[total]"],
    ["refused", "name", "Fare(total)", "Fare(totl)"],
    ["refused", "bracket", "Fare(total)", "Fare(total"],
    ["refused", "other-forms", "Function Fare(cars)", "def Fare(cars):"],
    ["refused", "other-forms", "Fare = cars * 2 Mod 7", "Fare = cars * 2 % 7"],
    ["refused", "sign", "Fare = cars * 2 Mod 7", "Fare == cars * 2 Mod 7"],
    ["refused", "other-forms", "End Function", "End Sub"],
    ["refused", "other-forms", "End Sub\n", "End Function\n"],
    ["refused", "other-forms", "End Sub\n", "End\n"],
    ["refused", "text-or-number", '"B6"', "B6"],
    ["refused", "other-forms", '"B6"', "'B6'"],
    ["refused", "name", ".Value = Fare", ".Valeu = Fare"],
  ]),
]);
