Module Deck
    Sub Main() '> -
        Dim cars As Integer = 1 : Dim boats As Integer = 2 '> Main.boats=2 & Main.cars=1
        If cars < boats Then cars = 5 Else boats = 6 '> Main.cars=5
        If cars < boats Then cars = 7 '> -
        If cars > 4 Then cars = 8 : boats = 9 '> Main.boats=9 & Main.cars=8
    End Sub
End Module
