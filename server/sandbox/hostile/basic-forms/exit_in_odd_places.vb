Module Deck
    Sub Main()
        Try
            Throw New Exception("deck")
        Catch problem As Exception
            Console.WriteLine("caught")
        Finally
            Environment.Exit(7)
        End Try
    End Sub
End Module
