Sub Main
  MsgBox "begins"
  sheet = ThisComponent.Sheets.getByIndex(0)
  For row = 0 To 999
    For column = 0 To 999
      sheet.getCellByPosition(column, row).Value = row
    Next column
  Next row
  MsgBox "filled"
End Sub
