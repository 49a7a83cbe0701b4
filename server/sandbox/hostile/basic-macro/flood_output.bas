Sub Main
  Do While True
    MsgBox "a long line of the deck list, again and again, until nobody wants it any more, and then once more"
  Loop
End Sub
