Sub Main  '> -
  Dim load As Integer
  load = 4  '> Main.load=4
  Fill load  '> - ; Main.load=5
  Keep load  '> - ; -
  MsgBox load  '> out=5\n
End Sub

Sub Fill(amount As Integer)  '> Fill.amount=4
  amount = amount + 1  '> Fill.amount=5
End Sub

Sub Keep(ByVal amount As Integer)  '> Keep.amount=5
  amount = amount + 1  '> Keep.amount=6
End Sub
