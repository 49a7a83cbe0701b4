Sub Main
  MsgBox "begins"
  Sail 1
End Sub

Sub Sail(n)
  Sail n + 1
End Sub
