Sub Main
  result = Total(3, 4)
  MsgBox result
End Sub

Function Load(cars)
  weight = cars * 2
  Load = weight
End Function

Function Total(first, second)
  both = Load(first) + Load(second)
  Total = both
End Function
