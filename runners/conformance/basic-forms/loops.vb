Module Deck
    Sub Main() '> -
        Dim cars As Integer '> Main.cars=0
        While cars < 2 '> - ; - ; -
            cars = cars + 1 '> Main.cars=1 ; Main.cars=2
        End While
        Do Until cars = 0 '> - ; - ; -
            cars -= 1 '> Main.cars=1 ; Main.cars=0
        Loop
        Do
            cars += 3 '> Main.cars=3 ; Main.cars=6
        Loop While cars < 5 '> - ; -
        For tide As Integer = 3 To 1 Step -1 '> Main.tide=3 ; Main.tide=2 ; Main.tide=1 ; Main.tide=0
            cars *= 2 '> Main.cars=12 ; Main.cars=24 ; Main.cars=48
        Next
    End Sub
End Module
