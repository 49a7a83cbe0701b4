Sub Main
  cars = CInt(InputBox("Cars?"))
  weight = cars * 2
  MsgBox "Load " & weight
End Sub
