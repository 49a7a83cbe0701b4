Module Deck
    Sub Fill(loads() As Integer) '> Fill.loads=[0, 0]
        loads(1) = 5 '> Fill.loads=[0, 5]
    End Sub

    Sub Main() '> -
        Dim loads(1) As Integer '> Main.loads=[0, 0]
        Fill(loads) '> - ; Main.loads=[0, 5]
        ReDim Preserve loads(2) '> Main.loads=[0, 5, 0]
        Dim same() As Integer = loads '> Main.same=[0, 5, 0]
        same(0) = 1 '> Main.loads=[1, 5, 0] & Main.same=[1, 5, 0]
    End Sub
End Module
