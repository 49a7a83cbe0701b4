Sub Main  '> -
  Dim deck(1, 1) As Integer
  deck(0, 1) = 7  '> Main.deck=[[0, 7], [0, 0]]
  deck(1, 0) = deck(0, 1) + 1  '> Main.deck=[[0, 7], [8, 0]]
  MsgBox deck(1, 0)  '> out=8\n
End Sub
