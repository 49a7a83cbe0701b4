Sub Main
  On Error Resume Next
  GlobalScope.BasicLibraries.createLibrary("Left")
  GlobalScope.BasicLibraries.getByName("Standard").insertByName("Found", "Sub Found" & Chr(10) & "End Sub")
  MsgBox "left"
End Sub
