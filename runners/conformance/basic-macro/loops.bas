Sub Main  '> -
  Dim n As Integer
  Dim total As Integer
  For n = 10 To 4 Step -3  '> Main.n=10 ; Main.n=7 ; Main.n=4
    total = total + n  '> Main.total=10 ; Main.total=17 ; Main.total=21
  Next
  n = 0  '> Main.n=0
  While n < 2  '> - ; - ; -
    n = n + 1  '> Main.n=1 ; Main.n=2
  Wend
  Do
    n = n - 1  '> Main.n=1 ; Main.n=0
  Loop Until n = 0  '> - ; -
  Do Until n >= 1  '> - ; -
    n = n + 1  '> Main.n=1
  Loop
  Do
    n = n + 1  '> Main.n=2 ; Main.n=3
  Loop While n < 3  '> - ; -
End Sub
