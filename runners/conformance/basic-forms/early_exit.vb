Module Deck
    Sub Say(cars As Integer) '> Say.cars=1 ; Say.cars=5
        If cars > 3 Then Exit Sub '> - ; -
        Console.WriteLine(cars) '> out=1\n
    End Sub

    Function Room(cars As Integer) As Integer '> Room.cars=2
        If cars > 1 Then '> -
            Exit Function '> -
        End If
        Return 9
    End Function

    Sub Main() '> -
        Say(1) '> - ; -
        Say(5) '> - ; -
        Dim room1 As Integer = Room(2) '> - ; Main.room1=0
    End Sub
End Module
