Sub Main  '> -
  Dim tide As Double
  tide = 2.5  '> Main.tide=2.5
  If tide > 3 Then  '> -
    MsgBox "high"
  ElseIf tide > 2 Then  '> -
    MsgBox "middle"  '> out=middle\n
  Else
    MsgBox "low"
  End If
  If tide < 0 Then tide = 0 Else tide = 1  '> Main.tide=1
End Sub
