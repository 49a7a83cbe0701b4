Sub Main  '> -
  Dim car As Integer
  For car = 1 To 9  '> Main.car=1 ; Main.car=2 ; Main.car=3
    If car = 3 Then Exit For  '> - ; - ; -
    MsgBox car  '> out=1\n ; out=2\n
  Next car
  Do While True  '> - ; -
    car = car + 1  '> Main.car=4 ; Main.car=5
    If car > 4 Then  '> - ; -
      Exit Do  '> -
    End If
  Loop
  MsgBox "over"  '> out=over\n
End Sub
