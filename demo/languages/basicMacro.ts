import type { DemoCase } from "../cases.ts";

const fares = `Crossing,Fare,Cars
north,12,4
south,8.5,6
island,20,3
`;

const deck = `Row,Metres,Cars
1,12,4
2,8.5,6
3,20,3
`;

const metres = `Sub DeckMetres
  Dim sheet As Object
  Dim row As Integer
  Dim total As Double
  sheet = ThisComponent.Sheets.getByName("Deck")
  For row = 1 To 3
    If sheet.getCellByPosition(2, row).Value > 3 Then
      total = total + sheet.getCellByPosition(1, row).Value * sheet.getCellByPosition(2, row).Value
  Next row
  sheet.getCellRangeByName("B6").Value = total
End Sub
`;

const raise = `Sub RaiseFares
  Dim sheet As Object
  Dim row As Integer
  sheet = ThisComponent.Sheets.getByName("Fares")
  sheet.getCellRangeByName("D1").String = "New fare"
  For row = 1 To 3
    sheet.getCellByPosition(3, row).Valeu = sheet.getCellByPosition(1, row).Value + 1
  Next row
End Sub
`;
const raised = raise.replace("Valeu", "Value");

const cars = `Sub CountCars
  Dim sheet As Object
  Dim row As Integer
  Dim total As Integer
  sheet = ThisComponent.Sheets.getByName("Fares")
  For row = 1 To 3
    total = total + sheet.getCellByPosition(2, row).Value
  Next row
  sheet.getCellRangeByName("C6").Value = totl
  MsgBox "Counted"
End Sub
`;

const half = `Sub HalfFares
  Dim sheet As Object
  Dim row As Integer
  sheet = ThisComponent.Sheets.getByName("Fares")
  For row = 1 To 2
    sheet.getCellByPosition(3, row).Value = Haf(sheet.getCellByPosition(1, row).Value)
  Next row
End Sub

Function Half(fare As Double) As Double
  Half = fare / 2
End Function
`;
const halfSecond = half.replace("Haf(", "Half(");

/**
 * Basic macros on a sheet: a block whose end is missing above the reported line, a property that is misspelt and a run that is
 * half done, a misspelt name that is a new empty variable, and two faults one behind the other.
 */
export const basicMacroCases: readonly DemoCase[] = [
  {
    language: "basic-macro",
    name: "deck_metres.bas",
    title: "Deck metres, a macro",
    intent: "Add up metres times cars of every row with more than three cars, into B6.",
    student: "T-21",
    program: metres,
    files: { "Deck.csv": deck },
    input: "",
    expected: "cell B6 = 99\n",
    mended: [],
  },
  {
    language: "basic-macro",
    name: "raise_fares.bas",
    title: "New fares, a macro",
    intent: "Write every fare, one higher, into column D under the heading New fare.",
    student: "T-22",
    program: raise,
    files: { "Fares.csv": fares },
    input: "",
    expected: "cell D1 = New fare\ncell D2 = 13\ncell D3 = 9.5\ncell D4 = 21\n",
    mended: [raised],
  },
  {
    language: "basic-macro",
    name: "count_cars.bas",
    title: "Cars of the day, a macro",
    intent: "Write how many cars there were into C6 and say that they are counted.",
    student: "T-23",
    program: cars,
    files: { "Fares.csv": fares },
    input: "",
    expected: "Counted\ncell C6 = 13\n",
    mended: [],
  },
  {
    language: "basic-macro",
    name: "half_fares.bas",
    title: "Half fares, a macro",
    intent: "Write half of every fare into column D.",
    student: "T-24",
    program: half,
    files: { "Fares.csv": fares },
    input: "",
    expected: "cell D2 = 6\ncell D3 = 4.25\ncell D4 = 10\n",
    mended: [halfSecond, halfSecond.replace("1 To 2", "1 To 3")],
  },
];
