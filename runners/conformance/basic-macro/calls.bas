Sub Main  '> -
  Dim both As Integer
  both = Load(3) + Load(4)  '> - ; - ; Main.both=14
  MsgBox both  '> out=14\n
End Sub

Function Load(cars As Integer) As Integer  '> Load.cars=3 ; Load.cars=4
  Dim weight As Integer
  weight = cars * 2  '> Load.weight=6 ; Load.weight=8
  Load = weight  '> Load.Load=6 ; Load.Load=8
End Function
