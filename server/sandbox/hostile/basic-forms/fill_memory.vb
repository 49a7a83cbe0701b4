Module Deck
    Sub Main()
        Console.WriteLine("begins")
        Dim all As New List(Of Integer())
        Do
            Dim part(1000000) As Integer
            For at As Integer = 0 To 1000000
                part(at) = at
            Next
            all.Add(part.Clone())
        Loop
    End Sub
End Module
