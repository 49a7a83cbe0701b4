Module Deck
    Function Share(weight As Integer, boats As Integer) As Integer
        Dim part As Integer = weight \ boats
        Return part
    End Function

    Sub Main()
        Dim first As Integer = Share(8, 2)
        Console.WriteLine(first)
        Dim second As Integer = Share(8, 0)
        Console.WriteLine(second)
    End Sub
End Module
