Sub Main  '> -
  Dim d As Integer
  d = Twice(Twice(2))  '> - ; - ; Main.d=8
End Sub

Function Twice(n)  '> Twice.n=2 ; Twice.n=4
  Twice = n * 2  '> Twice.Twice=4 ; Twice.Twice=8
End Function
