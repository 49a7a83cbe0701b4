Module Deck
    Sub Main() '> -
        Dim found As Integer '> Main.found=0
        Do While True '> -
            For car As Integer = 1 To 3 '> Main.car=1 ; Main.car=2
                found = car '> Main.found=1 ; Main.found=2
                If car = 2 Then Exit Do '> - ; -
            Next
        Loop
        Console.WriteLine(found) '> out=2\n
    End Sub
End Module
