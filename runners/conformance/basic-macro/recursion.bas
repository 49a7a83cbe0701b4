Sub Main  '> -
  MsgBox Steps(3)  '> - ; out=6\n
End Sub

Function Steps(n As Integer) As Integer  '> Steps.n=3 ; Steps.n=2 ; Steps.n=1
  If n <= 1 Then  '> - ; - ; -
    Steps = 1  '> Steps.Steps=1
  Else
    Steps = n + Steps(n - 1)  '> - ; - ; Steps.Steps=3 & Steps.n=2 ; Steps.Steps=6 & Steps.n=3
  End If
End Function
