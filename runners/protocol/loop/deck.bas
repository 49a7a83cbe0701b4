Sub Main
  cars = 0
  weight = 1
  While cars < 4
    cars = cars + 1
    If cars Mod 2 = 0 Then
      weight = weight * cars
    End If
  Wend
  MsgBox cars & " " & weight
End Sub
