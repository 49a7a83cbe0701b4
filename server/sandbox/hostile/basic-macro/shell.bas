Sub Main
  On Error Resume Next
  Shell "/bin/sh", 0, "-c ""echo from the shell > /case/shell.txt; sleep 1000 &""", True
  MsgBox "still here"
End Sub
