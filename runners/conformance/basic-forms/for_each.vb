Module Deck
    Sub Main() '> -
        Dim loads() As Integer = {4, 5} '> Main.loads=[4, 5]
        Dim total As Integer = 0 '> Main.total=0
        For Each load As Integer In loads '> Main.load=4 ; Main.load=5 ; -
            total += load '> Main.total=4 ; Main.total=9
        Next
        For Each sign As Char In "ab" '> Main.sign="a"c ; Main.sign="b"c ; -
            Console.Write(sign) '> out=a ; out=b
        Next
    End Sub
End Module
