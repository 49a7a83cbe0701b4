Module Deck
    Sub Main()
        Do
            Console.WriteLine("kittiwake")
        Loop
    End Sub
End Module
