Module Deck
    Sub Main() '> Main.count=0
        For car As Integer = 1 To 2 '> Main.car=1 ; Main.car=2 ; Main.car=3
            Dim count As Integer
            count += car '> Main.count=1 ; Main.count=3
        Next
    End Sub
End Module
