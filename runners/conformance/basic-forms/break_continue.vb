Module Deck
    Sub Main() '> -
        Dim total As Integer = 0 '> Main.total=0
        For car As Integer = 0 To 8 '> Main.car=0 ; Main.car=1 ; Main.car=2 ; Main.car=3
            If car = 1 Then '> - ; - ; - ; -
                Continue For '> -
            End If
            total += car '> - ; Main.total=2 ; Main.total=5
            If total > 3 Then '> - ; - ; -
                Exit For '> -
            End If
        Next
    End Sub
End Module
