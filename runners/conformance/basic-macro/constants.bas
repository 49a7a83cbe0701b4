Sub Main  '> -
  Const most As Integer = 20
  Static trips As Integer
  trips = trips + 1  '> Main.trips=1
  MsgBox most - trips  '> out=19\n
End Sub
