Sub Main  '> -
  Dim sheet As Object
  sheet = ThisComponent.Sheets.getByIndex(0)  '> Main.sheet=sheet Sheet1
  sheet.getCellByPosition(1, 0).Value = 4  '> B1=4
  sheet.getCellRangeByName("B2").Value = 6  '> B2=6
  sheet.getCellRangeByName("B3").Formula = "=B1+B2"  '> B3=10
  sheet.getCellRangeByName("B1").String = "four"  '> B1="four" & B3="#VALUE!"
  MsgBox sheet.getCellRangeByName("B3").Value  '> out=0\n
End Sub
