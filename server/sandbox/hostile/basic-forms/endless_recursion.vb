Module Deck
    Sub Main()
        Console.WriteLine("begins")
        Console.WriteLine(Down(1))
    End Sub

    Function Down(depth As Integer) As Integer
        Return Down(depth + 1) + 1
    End Function
End Module
