Module Deck
    Structure Load
        Dim Weight As Integer
        Dim Items As Integer
    End Structure

    Sub Main() '> -
        Dim first As Load '> Main.first=Load(Weight=0, Items=0)
        first.Weight = 3 '> Main.first=Load(Weight=3, Items=0)
        Dim other As Load = first '> Main.other=Load(Weight=3, Items=0)
        other.Weight += 1 '> Main.other=Load(Weight=4, Items=0)
        Dim places(1) As Load '> Main.places=[Load(Weight=0, Items=0), Load(Weight=0, Items=0)]
        places(1).Items = 5 '> Main.places=[Load(Weight=0, Items=0), Load(Weight=0, Items=5)]
        places(0) = first '> Main.places=[Load(Weight=3, Items=0), Load(Weight=0, Items=5)]
        With other
            .Weight = 9 '> Main.other=Load(Weight=9, Items=0)
        End With
    End Sub
End Module
