Sub Main
  found = 0
  If Dir("/case/*.txt") <> "" Then found = found + 1
  If GlobalScope.BasicLibraries.hasByName("Left") Then found = found + 1
  If GlobalScope.BasicLibraries.getByName("Standard").hasByName("Found") Then found = found + 1
  If ThisComponent.Sheets.getByIndex(0).getCellByPosition(0, 0).String <> "" Then found = found + 1
  MsgBox "found " & found
End Sub
