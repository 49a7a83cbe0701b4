Sub Main  '> -
  Dim a, b
  a = 1 : b = a + 1  '> Main.a=1 & Main.b=2
  If a < b Then a = b : b = 9  '> Main.a=2 & Main.b=9
  For a = 1 To 2 : b = b + a : Next a  '> Main.a=1 & Main.b=10 ; Main.a=2 & Main.b=12
End Sub
