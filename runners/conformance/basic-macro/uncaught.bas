Sub Main  '> -
  Dim cars As Integer
  cars = 4  '> Main.cars=4
  MsgBox "before"  '> out=before\n
  cars = cars / (cars - 4)  '> raised=BASIC runtime error: Division by zero.
  MsgBox "after"
End Sub
