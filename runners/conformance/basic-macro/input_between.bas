Sub Main  '> -
  Dim cars As Integer
  MsgBox "Deck"  '> out=Deck\n
  cars = CInt(InputBox("Cars?"))  '> Main.cars=4 & in=4 & out=Cars?\s
  cars = cars + CInt(InputBox("Vans?"))  '> Main.cars=6 & in=2 & out=Vans?\s
  MsgBox cars  '> out=6\n
End Sub
