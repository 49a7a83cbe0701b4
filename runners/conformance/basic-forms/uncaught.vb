Module Deck
    Sub Main() '> -
        Dim loads(1) As Integer '> Main.loads=[0, 0]
        For place As Integer = 0 To 2 '> Main.place=0 ; Main.place=1 ; Main.place=2
            loads(place) = place '> - ; Main.loads=[0, 1] ; raised=IndexOutOfRangeException: Index was outside the bounds of the array.
        Next
    End Sub
End Module
