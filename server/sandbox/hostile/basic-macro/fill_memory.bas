Sub Main
  MsgBox "begins"
  word = "tide"
  Dim all(5000) As String
  For n = 0 To 5000
    If n < 18 Then word = word & word
    all(n) = word & n
  Next n
  MsgBox "holds all"
End Sub
