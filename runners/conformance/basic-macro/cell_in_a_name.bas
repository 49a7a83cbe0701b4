Sub Main  '> -
  Dim cell As Object
  cell = ThisComponent.Sheets.getByIndex(0).getCellByPosition(0, 2)  '> Main.cell=cell A3
  cell.Value = 2.5  '> A3=2.5 & Main.cell.Value=2.5
  cell.Value = cell.Value * 2  '> A3=5 & Main.cell.Value=5
End Sub
