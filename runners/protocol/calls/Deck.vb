Module Deck
    Function Load(cars As Integer) As Integer
        Dim weight As Integer = cars * 2
        Return weight
    End Function

    Function Total(first As Integer, second As Integer) As Integer
        Dim both As Integer = Load(first) + Load(second)
        Return both
    End Function

    Sub Main()
        Dim result As Integer = Total(3, 4)
        Console.WriteLine(result)
    End Sub
End Module
