Module Deck
    Sub Main() '> -
        Dim seats As New Dictionary(Of String, Integer) '> Main.seats={}
        seats("Tern") = 4 '> Main.seats={"Tern": 4}
        seats.Add("Skua", 5) '> Main.seats={"Tern": 4, "Skua": 5}
        seats("Tern") += 1 '> Main.seats={"Tern": 5, "Skua": 5}
        seats.Remove("Skua") '> Main.seats={"Tern": 5}
    End Sub
End Module
