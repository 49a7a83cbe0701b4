Sub Main  '> -
  Dim a As Integer, b As String
  a = totl + 1  '> Main.a=1
  b = b & "x"  '> Main.b="x"
  c = 7  '> Main.c=7
  MsgBox a & b & c & missing  '> out=1x7\n
End Sub
