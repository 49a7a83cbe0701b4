Sub Main
  On Error Resume Next
  BentNail.Write("pretended", 2)
  BentNail.Enter(0, 1, "x")
  BentNail.Leave(99)
  BentNail = Nothing
  BentNailLine = -5
  MsgBox "still here"
End Sub
