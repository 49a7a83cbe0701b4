Function Twice(n)  '> Twice.n=4
  Twice = n * 2  '> Twice.Twice=8
End Function

Sub Loads  '> -
  Dim a
  a = Twice(4)  '> - ; Loads.a=8
End Sub
