Sub Main
  first = Share(8, 2)
  MsgBox first
  other = Share(8, 0)
  MsgBox other
End Sub

Function Share(weight, boats)
  part = weight \ boats
  Share = part
End Function
