Sub Main  '> -
  Dim yes As Boolean
  Dim number As Integer
  yes = 3 > 2  '> Main.yes=True
  number = 4  '> Main.number=4
  number = CInt("12")  '> Main.number=12
  yes = Not yes  '> Main.yes=False
  v = 5  '> Main.v=5
  v = "five"  '> Main.v="five"
End Sub
