Class Boat
    Private _cars As Integer

    Public Property Cars As Integer '> Cars (set).Me=Boat(_cars=0) & Cars (set).value=2 ; Cars.Me=Boat(_cars=2)
        Get
            Return _cars '> -
        End Get
        Set(value As Integer)
            _cars = value '> Cars (set).Me=Boat(_cars=2)
        End Set
    End Property
End Class

Module Deck
    Sub Main() '> -
        Dim tern As New Boat '> Main.tern=Boat(_cars=0)
        tern.Cars = 2 '> - ; Main.tern=Boat(_cars=2)
        Console.WriteLine(tern.Cars) '> - ; out=2\n
    End Sub
End Module
