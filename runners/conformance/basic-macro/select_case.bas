Sub Main  '> -
  Dim cars As Integer
  Dim lane As String
  For cars = 1 To 4  '> Main.cars=1 ; Main.cars=2 ; Main.cars=3 ; Main.cars=4
    Select Case cars  '> - ; - ; - ; -
      Case 1
        lane = "left"  '> Main.lane="left"
      Case 2 To 3
        lane = "middle"  '> Main.lane="middle" ; -
      Case Else
        lane = "right"  '> Main.lane="right"
    End Select
  Next cars
End Sub
