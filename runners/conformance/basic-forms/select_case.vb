Module Deck
    Sub Main() '> -
        Dim tide As Integer = 2 '> Main.tide=2
        Dim height As Integer '> Main.height=0
        Select Case tide '> -
            Case 1 '> -
                height = 10
            Case 2, 3 '> -
                height = 20 '> Main.height=20
            Case Else
                height = 1
        End Select
        Select Case "Gull" '> -
            Case "Tern" '> -
                height = 5
            Case Else
                height = 6 '> Main.height=6
        End Select
        Select Case height '> -
            Case 1 To 5 '> -
                height = 0
            Case Is > 5 '> -
                Exit Select '> -
                height = 0
        End Select
    End Sub
End Module
