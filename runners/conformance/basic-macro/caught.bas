Sub Main  '> -
  Dim cars As Integer
  On Error GoTo Wrong  '> -
  cars = Half("x")  '> - ; -
  MsgBox "after"
  Exit Sub
Wrong:
  MsgBox "caught " & Err  '> out=caught 13\n
End Sub

Function Half(word) As Integer  '> Half.word="x"
  Half = word * 2  '> -
End Function
