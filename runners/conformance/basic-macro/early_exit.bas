Sub Main  '> -
  Check 3  '> - ; -
  Check 30  '> - ; -
  MsgBox "done"  '> out=done\n
End Sub

Sub Check(load)  '> Check.load=3 ; Check.load=30
  If load > 20 Then  '> - ; -
    MsgBox "too heavy"  '> out=too heavy\n
    Exit Sub  '> -
  End If
  MsgBox "may sail"  '> out=may sail\n
End Sub
