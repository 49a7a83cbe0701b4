Dim sailed As Integer
Const most = 2

Sub Main  '> -
  Sail  '> - ; -
  Sail  '> - ; -
  MsgBox sailed & " of " & most  '> out=2 of 2\n
End Sub

Sub Sail  '> - ; -
  sailed = sailed + 1  '> sailed=1 ; sailed=2
End Sub
