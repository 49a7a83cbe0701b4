Module Deck
    Function Heavier(one As Integer, other As Integer) As Integer '> Heavier.Heavier=0 & Heavier.one=4 & Heavier.other=7
        Heavier = one '> Heavier.Heavier=4
        If other > Heavier Then '> -
            Heavier = other '> Heavier.Heavier=7
        End If
    End Function '> -

    Sub Main() '> -
        Dim top As Integer = Heavier(4, 7) '> - ; Main.top=7
    End Sub
End Module
