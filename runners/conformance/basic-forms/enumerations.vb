Module Deck
    Enum Tide
        Low
        High = 5
    End Enum

    Sub Main() '> -
        Dim now1 As Tide '> Main.now1=Low
        now1 = Tide.High '> Main.now1=High
        Dim number As Integer = now1 '> Main.number=5
        If now1 = Tide.High Then number += 1 '> Main.number=6
    End Sub
End Module
