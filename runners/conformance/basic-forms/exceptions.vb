Module Deck
    Function Weigh(load As Integer) As Integer '> Weigh.load=4 ; Weigh.load=0
        Try
            Return 8 \ load '> - ; raised=DivideByZeroException: Attempted to divide by zero.
        Catch problem As DivideByZeroException '> Weigh.problem=DivideByZeroException: Attempted to divide by zero.
            Return -1 '> -
        End Try
    End Function

    Sub Main() '> -
        Dim first As Integer = Weigh(4) '> - ; Main.first=2
        Dim second As Integer = Weigh(0) '> - ; Main.second=-1
        Try
            first = 3 '> Main.first=3
        Catch ex As Exception
            first = 4
        End Try
    End Sub
End Module
