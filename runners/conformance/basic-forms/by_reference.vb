Module Deck
    Sub Turn(ByRef first As Integer, ByVal second As Integer) '> Turn.first=1 & Turn.second=2
        first = second '> Turn.first=2
        second = 9 '> Turn.second=9
    End Sub

    Sub Main() '> -
        Dim one As Integer = 1 '> Main.one=1
        Dim two As Integer = 2 '> Main.two=2
        Turn(one, two) '> - ; Main.one=2
    End Sub
End Module
