Sub Main  '> -
  Dim name As String
  name = "Kitti" & "wake"  '> Main.name="Kittiwake"
  name = UCase(Left(name, 2)) & Mid(name, 3, 4)  '> Main.name="KIttiw"
  MsgBox Len(name) & " " & InStr(name, "t")  '> out=6 3\n
  name = "say ""sail"""  '> Main.name="say ""sail"""
  MsgBox name  '> out=say "sail"\n
End Sub
