Sub Main  '> -
  Dim half As Double
  half = 1 / 2  '> Main.half=0.5
  Print "half"; half  '> out=half 0.5\n
  Print 1, True  '> out= 1\tTrue\n
  MsgBox 10 / 3  '> out=3.33333333333333\n
  MsgBox 12345678.5 & " " & 100000 * 100000  '> out=12345678.5 10000000000\n
End Sub
