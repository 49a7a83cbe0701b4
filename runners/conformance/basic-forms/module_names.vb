Module Deck
    Const Most As Integer = 3
    Dim total As Integer

    Sub Count() '> - ; -
        total += Most '> Deck.total=3 ; Deck.total=6
    End Sub

    Sub Main() '> -
        Count() '> - ; -
        Count() '> - ; -
    End Sub
End Module
