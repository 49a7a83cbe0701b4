Module Deck
    Sub Main() '> -
        Console.Write("Cars? ") '> out=Cars?\s
        Dim cars As Integer = CInt(Console.ReadLine()) '> Main.cars=3 & in=3
        Console.Write("Name? ") '> out=Name?\s
        Dim name As String = Console.ReadLine() '> Main.name="Tern" & in=Tern
        Console.WriteLine(name & cars) '> out=Tern3\n
    End Sub
End Module
