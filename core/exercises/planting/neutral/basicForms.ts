import { type Neutral, neutral } from "./neutral.ts";

export const basicFormsNeutral: readonly Neutral[] = [
  neutral(
    1,
    "Bill of a crossing",
    `
    Module Crossing
      Sub Main()
        Console.WriteLine("Fare of a car?")
        Dim fare As Integer = CInt(Console.ReadLine())
        Console.WriteLine("Cars?")
        Dim cars As Integer = CInt(Console.ReadLine())
        Console.WriteLine("Bill: " & fare * cars)
      End Sub
    End Module
  `,
  ),
  neutral(
    1,
    "Crossing time",
    `
    Module Crossing
      Sub Main()
        Console.WriteLine("Minutes?")
        Dim minutes As Integer = CInt(Console.ReadLine())
        Dim hours As Integer = minutes \\ 60
        Console.WriteLine(hours & " hours and " & minutes - hours * 60 & " minutes")
      End Sub
    End Module
  `,
  ),
  neutral(
    2,
    "Room on the deck",
    `
    Module Crossing
      Sub Main()
        Dim places As Integer = 40
        Console.WriteLine("Booked cars?")
        Dim booked As Integer = CInt(Console.ReadLine())
        Dim free As Integer = places - booked
        If free > 0 Then
          Console.WriteLine("Free places: " & free)
        Else
          Console.WriteLine("The deck is full")
        End If
      End Sub
    End Module
  `,
  ),
  neutral(
    2,
    "Fare by age",
    `
    Module Crossing
      Sub Main()
        Console.WriteLine("Age?")
        Dim age As Integer = CInt(Console.ReadLine())
        Dim fare As Integer
        If age < 4 Then
          fare = 0
        ElseIf age < 15 Then
          fare = 3
        ElseIf age >= 65 Then
          fare = 5
        Else
          fare = 8
        End If
        Console.WriteLine("Fare: " & fare)
      End Sub
    End Module
  `,
  ),
  neutral(
    2,
    "Before the ramp closes",
    `
    Module Crossing
      Sub Main()
        Console.WriteLine("Minutes until departure?")
        Dim minutes As Integer = CInt(Console.ReadLine())
        Do While minutes > 0
          Console.WriteLine("Closes in " & minutes)
          minutes = minutes - 5
        Loop
        Console.WriteLine("The ramp is closed")
      End Sub
    End Module
  `,
  ),
  neutral(
    3,
    "Loads of a day",
    `
    Module Crossing
      Sub Main()
        Dim loads() As Integer = {12, 30, 7, 25}
        Dim total As Integer = 0
        Dim largest As Integer = 0
        For place As Integer = 0 To loads.Length - 1
          total = total + loads(place)
          If loads(place) > largest Then
            largest = loads(place)
          End If
        Next
        Console.WriteLine("Total: " & total)
        Console.WriteLine("Largest: " & largest)
      End Sub
    End Module
  `,
  ),
  neutral(
    3,
    "Crossings that were full",
    `
    Module Crossing
      Sub Main()
        Dim crossings() As Integer = {38, 40, 22, 41, 40}
        Console.WriteLine("Limit?")
        Dim limit As Integer = CInt(Console.ReadLine())
        Dim full As Integer = 0
        For Each booked As Integer In crossings
          If booked >= limit Then
            full = full + 1
          End If
        Next
        Console.WriteLine(full & " of 5 were full")
      End Sub
    End Module
  `,
  ),
  neutral(
    3,
    "Tide by the hour",
    `
    Module Crossing
      Sub Main()
        Console.WriteLine("Height at noon?")
        Dim height As Integer = CInt(Console.ReadLine())
        For turn As Integer = 1 To 6
          If turn <= 3 Then
            height = height + 2
          Else
            height = height - 1
          End If
          Console.WriteLine(turn & ": " & height)
        Next
      End Sub
    End Module
  `,
  ),
  neutral(
    4,
    "Bills of a family",
    `
    Module Crossing
      Sub Main()
        Console.WriteLine("People?")
        Dim people As Integer = CInt(Console.ReadLine())
        Dim total As Integer = 0
        For person As Integer = 1 To people
          Dim age As Integer = CInt(Console.ReadLine())
          Dim card As Integer = CInt(Console.ReadLine())
          total = total + FareFor(age, card)
        Next
        Console.WriteLine("Total: " & total)
      End Sub

      Function FareFor(age As Integer, card As Integer) As Integer
        Dim fare As Integer = 8
        If age < 15 Then
          fare = 3
        End If
        If card = 1 Then
          fare = fare - 1
        End If
        Return fare
      End Function
    End Module
  `,
  ),
  neutral(
    4,
    "On the list of boats",
    `
    Module Crossing
      Sub Main()
        Dim boats() As Integer = {17, 4, 23, 11}
        Console.WriteLine("Boat?")
        Dim wanted As Integer = CInt(Console.ReadLine())
        Dim place As Integer = 0
        Dim found As Boolean = False
        Do While place < boats.Length And Not found
          If boats(place) = wanted Then
            found = True
          Else
            place = place + 1
          End If
        Loop
        If found Then
          Console.WriteLine("Boat " & wanted & " is at place " & place + 1)
        Else
          Console.WriteLine("Boat " & wanted & " is not there")
        End If
      End Sub
    End Module
  `,
  ),
  neutral(
    5,
    "Lanes of the deck",
    `
    Module Crossing
      Sub Main()
        Console.WriteLine("Lanes?")
        Dim lanes As Integer = CInt(Console.ReadLine())
        Console.WriteLine("Rows?")
        Dim rows As Integer = CInt(Console.ReadLine())
        Dim free As Integer = 0
        For lane As Integer = 0 To lanes - 1
          For row As Integer = 0 To rows - 1
            If (lane + row) Mod 3 <> 0 And row <= lane Then
              free = free + 1
              Console.WriteLine("Lane " & lane & " row " & row & " is free")
            End If
          Next
        Next
        Console.WriteLine("Free: " & free)
      End Sub
    End Module
  `,
  ),
  neutral(
    5,
    "Waiting times in order",
    `
    Module Crossing
      Sub Main()
        Dim waits() As Integer = {14, 3, 27, 10}
        Console.WriteLine("Limit?")
        Dim limit As Integer = CInt(Console.ReadLine())
        For first As Integer = 0 To waits.Length - 2
          For place As Integer = 0 To waits.Length - 2 - first
            If waits(place) > waits(place + 1) Then
              Dim kept As Integer = waits(place)
              waits(place) = waits(place + 1)
              waits(place + 1) = kept
            End If
          Next
        Next
        Dim late As Integer = 0
        For Each wait As Integer In waits
          If wait > limit Then
            late = late + 1
          End If
          Console.WriteLine(wait)
        Next
        Console.WriteLine("Late: " & late)
      End Sub
    End Module
  `,
  ),
];
