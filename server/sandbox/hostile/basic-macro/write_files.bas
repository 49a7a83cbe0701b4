Sub Main
  On Error GoTo Full
  Open "/case/big.txt" For Output As #1
  For n = 1 To 2000000
    Print #1, "a long line of the deck list, again and again, until nobody wants it any more"
  Next n
Full:
  MsgBox "written"
End Sub
