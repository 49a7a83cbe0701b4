Class Boat
    Public Overridable Function Load() As Integer '> Load.Me=Ferry(cars=2)
        Return 1 '> -
    End Function
End Class

Class Ferry
    Inherits Boat
    Public cars As Integer = 2 '> Ferry.Me=Ferry(cars=2)

    Public Overrides Function Load() As Integer '> Load.Me=Ferry(cars=2)
        Return cars + MyBase.Load() '> - ; -
    End Function
End Class

Module Deck
    Sub Main() '> -
        Dim one As Boat = New Ferry() '> - ; Main.one=Ferry(cars=2)
        Console.WriteLine(one.Load()) '> - ; out=3\n
    End Sub
End Module
