Module Deck
    Sub Main()
        Dim cars As Integer = 0
        Dim weight As Integer = 1
        Do While cars < 4
            cars = cars + 1
            If cars Mod 2 = 0 Then
                weight = weight * cars
            End If
        Loop
        Console.WriteLine(cars & " " & weight)
    End Sub
End Module
