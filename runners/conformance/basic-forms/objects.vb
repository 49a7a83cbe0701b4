Class Boat
    Public Cars As Integer
    Public Name As String = "Tern" '> Boat.Me=Boat(Cars=0, Name="Tern")

    Public Sub New(cars As Integer) '> Boat.Me=Boat(Cars=0, Name=Nothing) & Boat.cars=3
        Me.Cars = cars '> Boat.Me=Boat(Cars=3, Name="Tern")
    End Sub

    Public Sub Load(more As Integer) '> Load.Me=Boat(Cars=3, Name="Tern") & Load.more=2
        Cars += more '> Load.Me=Boat(Cars=5, Name="Tern")
    End Sub
End Class

Module Deck
    Sub Main() '> -
        Dim tern As New Boat(3) '> - ; Main.tern=Boat(Cars=3, Name="Tern")
        tern.Load(2) '> - ; Main.tern=Boat(Cars=5, Name="Tern")
        Dim same As Boat = tern '> Main.same=Boat(Cars=5, Name="Tern")
        same.Name = "Gull" '> Main.same=Boat(Cars=5, Name="Gull") & Main.tern=Boat(Cars=5, Name="Gull")
        same.Cars += 1 '> Main.same=Boat(Cars=6, Name="Gull") & Main.tern=Boat(Cars=6, Name="Gull")
    End Sub
End Module
