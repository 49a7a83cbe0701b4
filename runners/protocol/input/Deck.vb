Module Deck
    Sub Main()
        Console.Write("Cars? ")
        Dim cars As Integer = CInt(Console.ReadLine())
        Dim weight As Integer = cars * 2
        Console.WriteLine("Load " & weight)
    End Sub
End Module
