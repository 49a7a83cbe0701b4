Module Deck
    Sub Add(loads As List(Of Integer)) '> Add.loads=[1]
        loads.Add(2) '> Add.loads=[1, 2]
    End Sub

    Sub Main() '> -
        Dim loads As New List(Of Integer) '> Main.loads=[]
        loads.Add(1) '> Main.loads=[1]
        Add(loads) '> - ; Main.loads=[1, 2]
        loads(0) = 9 '> Main.loads=[9, 2]
        loads.RemoveAt(1) '> Main.loads=[9]
    End Sub
End Module
