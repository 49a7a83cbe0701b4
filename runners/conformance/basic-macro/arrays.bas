Sub Main  '> -
  Dim loads(2) As Integer
  Dim at As Integer
  For at = 0 To UBound(loads())  '> Main.at=0 ; Main.at=1 ; Main.at=2
    loads(at) = at * 5  '> Main.loads=[0, 0, 0] ; Main.loads=[0, 5, 0] ; Main.loads=[0, 5, 10]
  Next at
  MsgBox loads(0) + loads(2)  '> out=10\n
End Sub
