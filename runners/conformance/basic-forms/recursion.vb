Module Deck
    Function Ways(steps As Integer) As Integer '> Ways.steps=2 ; Ways.steps=1 ; Ways.steps=0
        If steps < 1 Then '> - ; - ; -
            Return 1 '> -
        End If
        Return steps * Ways(steps - 1) '> - ; - ; Ways.steps=1 ; Ways.steps=2
    End Function

    Sub Main() '> -
        Console.WriteLine(Ways(2)) '> - ; out=2\n
    End Sub
End Module
