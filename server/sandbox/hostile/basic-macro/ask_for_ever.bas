Sub Main
  MsgBox "asks"
  Do While True
    x = InputBox("Cars?")
  Loop
End Sub
