Sub Main  '> -
  Dim cell
  cell = ThisComponent.Sheets.getByIndex(0).getCellRangeByName("C1")  '> Main.cell=cell C1
  With cell  '> -
    .String = "tide"  '> C1="tide"
  End With
End Sub
