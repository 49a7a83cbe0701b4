Module Deck
    Sub Main()
        Dim found As Integer = 0
        For Each path As String In {"/tmp/left_behind", "/case/left_behind", "/dev/shm/left_behind"}
            If System.IO.File.Exists(path) Then found += 1
        Next
        Console.WriteLine("found " & found)
    End Sub
End Module
