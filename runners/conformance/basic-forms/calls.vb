Module Deck
    Function Load(cars As Integer) As Integer '> Load.cars=3 ; Load.cars=4
        Dim weight As Integer = cars * 2 '> Load.weight=6 ; Load.weight=8
        Return weight '> - ; -
    End Function

    Sub Main() '> -
        Dim both As Integer = Load(3) + Load(4) '> - ; - ; Main.both=14
        Console.WriteLine(both) '> out=14\n
    End Sub
End Module
