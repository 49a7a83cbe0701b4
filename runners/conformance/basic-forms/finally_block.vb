Module Deck
    Sub Main() '> -
        Dim cars As Integer = 1 '> Main.cars=1
        Try
            cars = 2 '> Main.cars=2
        Finally
            cars = 3 '> Main.cars=3
        End Try
        Try
            cars = CInt("x") '> raised=InvalidCastException: Conversion from string "x" to type 'Integer' is not valid.
        Catch ex As Exception When cars = 3 '> Main.ex=InvalidCastException: Conversion from string "x" to type 'Integer' is not valid.
            cars = 4 '> Main.cars=4
        End Try
    End Sub
End Module
