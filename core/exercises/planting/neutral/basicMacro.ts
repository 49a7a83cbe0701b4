import { type Neutral, neutral } from "./neutral.ts";

export const basicMacroNeutral: readonly Neutral[] = [
  neutral(
    1,
    "Bill of a crossing",
    `
    Sub Main
      Dim fare As Integer, cars As Integer
      fare = CInt(InputBox("Fare of a car?"))
      cars = CInt(InputBox("Cars?"))
      MsgBox "Bill: " & fare * cars
    End Sub
  `,
  ),
  neutral(
    1,
    "Crossing time",
    `
    Sub Main
      Dim minutes As Integer, hours As Integer
      minutes = CInt(InputBox("Minutes?"))
      hours = minutes \\ 60
      MsgBox hours & " hours and " & (minutes - hours * 60) & " minutes"
    End Sub
  `,
  ),
  neutral(
    2,
    "Room on the deck",
    `
    Sub Main
      Dim places As Integer, booked As Integer, free As Integer
      places = 40
      booked = CInt(InputBox("Booked cars?"))
      free = places - booked
      If free > 0 Then
        MsgBox "Free places: " & free
      Else
        MsgBox "The deck is full"
      End If
    End Sub
  `,
  ),
  neutral(
    2,
    "Fare by age",
    `
    Sub Main
      Dim age As Integer, fare As Integer
      age = CInt(InputBox("Age?"))
      If age < 4 Then
        fare = 0
      ElseIf age < 15 Then
        fare = 3
      ElseIf age >= 65 Then
        fare = 5
      Else
        fare = 8
      End If
      MsgBox "Fare: " & fare
    End Sub
  `,
  ),
  neutral(
    2,
    "Before the ramp closes",
    `
    Sub Main
      Dim minutes As Integer
      minutes = CInt(InputBox("Minutes until departure?"))
      Do While minutes > 0
        MsgBox "Closes in " & minutes
        minutes = minutes - 5
      Loop
      MsgBox "The ramp is closed"
    End Sub
  `,
  ),
  neutral(
    3,
    "Loads of a day",
    `
    Sub Main
      Dim sheet As Object
      Dim row As Integer, total As Integer, largest As Integer, load As Integer
      sheet = ThisComponent.Sheets.getByIndex(0)
      sheet.getCellRangeByName("A1").Value = 12
      sheet.getCellRangeByName("A2").Value = 30
      sheet.getCellRangeByName("A3").Value = 7
      sheet.getCellRangeByName("A4").Value = 25
      For row = 0 To 3
        load = sheet.getCellByPosition(0, row).Value
        total = total + load
        If load > largest Then largest = load
      Next row
      sheet.getCellRangeByName("B1").Value = total
      sheet.getCellRangeByName("B2").Value = largest
    End Sub
  `,
  ),
  neutral(
    3,
    "Crossings that were full",
    `
    Sub Main
      Dim limit As Integer, full As Integer
      limit = CInt(InputBox("Limit?"))
      For Each booked In Array(38, 40, 22, 41, 40)
        If booked >= limit Then
          full = full + 1
        End If
      Next booked
      MsgBox full & " of 5 were full"
    End Sub
  `,
  ),
  neutral(
    3,
    "Tide by the hour",
    `
    Sub Main
      Dim sheet As Object
      Dim height As Integer, turn As Integer
      sheet = ThisComponent.Sheets.getByIndex(0)
      height = CInt(InputBox("Height at noon?"))
      For turn = 1 To 6
        If turn <= 3 Then
          height = height + 2
        Else
          height = height - 1
        End If
        sheet.getCellByPosition(0, turn).Value = turn
        sheet.getCellByPosition(1, turn).Value = height
      Next turn
    End Sub
  `,
  ),
  neutral(
    4,
    "Bills of a family",
    `
    Sub Main
      Dim people As Integer, person As Integer, total As Integer
      Dim age As Integer, card As Integer
      people = CInt(InputBox("People?"))
      For person = 1 To people
        age = CInt(InputBox("Age?"))
        card = CInt(InputBox("Card?"))
        total = total + FareFor(age, card)
      Next person
      MsgBox "Total: " & total
    End Sub

    Function FareFor(age As Integer, card As Integer) As Integer
      FareFor = 8
      If age < 15 Then FareFor = 3
      If card = 1 Then FareFor = FareFor - 1
    End Function
  `,
  ),
  neutral(
    4,
    "On the list of boats",
    `
    Sub Main
      Dim wanted As Integer, place As Integer
      Dim found As Boolean
      boats = Array(17, 4, 23, 11)
      wanted = CInt(InputBox("Boat?"))
      Do While place <= UBound(boats) And Not found
        If boats(place) = wanted Then
          found = True
        Else
          place = place + 1
        End If
      Loop
      If found Then
        MsgBox "Boat " & wanted & " is at place " & (place + 1)
      Else
        MsgBox "Boat " & wanted & " is not there"
      End If
    End Sub
  `,
  ),
  neutral(
    5,
    "Lanes of the deck",
    `
    Sub Main
      Dim lanes As Integer, rows As Integer, lane As Integer, row As Integer, free As Integer
      lanes = CInt(InputBox("Lanes?"))
      rows = CInt(InputBox("Rows?"))
      For lane = 0 To lanes - 1
        For row = 0 To rows - 1
          If (lane + row) Mod 3 <> 0 And row <= lane Then
            free = free + 1
            MsgBox "Lane " & lane & " row " & row & " is free"
          End If
        Next row
      Next lane
      MsgBox "Free: " & free
    End Sub
  `,
  ),
  neutral(
    5,
    "Waiting times in order",
    `
    Sub Main
      Dim late As Integer, last As Integer, place As Integer, other As Integer, count As Integer
      waits = Array(14, 3, 27, 9)
      late = CInt(InputBox("Late from?"))
      For last = UBound(waits) To 1 Step -1
        For place = 0 To last - 1
          If waits(place) > waits(place + 1) Then
            other = waits(place)
            waits(place) = waits(place + 1)
            waits(place + 1) = other
          End If
        Next place
      Next last
      For place = 0 To UBound(waits)
        MsgBox waits(place)
        If waits(place) >= late Then count = count + 1
      Next place
      MsgBox "Late: " & count
    End Sub
  `,
  ),
];
