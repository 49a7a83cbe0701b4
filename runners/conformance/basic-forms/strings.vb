Module Deck
    Sub Main() '> -
        Dim name As String = "kittiwake" '> Main.name="kittiwake"
        Dim up As String = UCase(Left(name, 1)) & Mid(name, 2) '> Main.up="Kittiwake"
        Dim at As Integer = name.IndexOf("w") '> Main.at=5
        Dim parts() As String = "a;b".Split(";"c) '> Main.parts=["a", "b"]
        Dim quote As String = "say ""hi""" '> Main.quote="say \\"hi\\""
        Console.WriteLine($"{up} has {up.Length:00}") '> out=Kittiwake has 09\n
    End Sub
End Module
