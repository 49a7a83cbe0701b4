Module Deck
    Sub Main() '> -
        Dim small As Byte = 7 '> Main.small=7
        Dim large As Long = 3000000000 '> Main.large=3000000000
        Dim part As Double = 1 / 4 '> Main.part=0.25
        Dim exact As Decimal = 2.5D '> Main.exact=2.5
        Dim sign As Char = "t"c '> Main.sign="t"c
        Dim right As Boolean = large > small '> Main.right=True
        Dim name As String '> Main.name=Nothing
        name = "Tern" & small '> Main.name="Tern7"
        Dim half As Integer = CInt(2.5) '> Main.half=2
        Dim single1 As Single = 0.5 '> Main.single1=0.5
        Dim thing As Object = 4 '> Main.thing=4
        thing = "four" '> Main.thing="four"
    End Sub
End Module
