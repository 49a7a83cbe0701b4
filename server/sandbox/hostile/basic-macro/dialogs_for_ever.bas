Sub Main
  Do
    MsgBox "Sail?"
  Loop
End Sub
