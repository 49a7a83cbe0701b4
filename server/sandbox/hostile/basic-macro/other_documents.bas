Sub Main
  On Error Resume Next
  Dim none()
  other = StarDesktop.loadComponentFromURL("file:///etc/passwd", "_blank", 0, none())
  MsgBox "passwords " & IsNull(other)
  other = StarDesktop.loadComponentFromURL("private:factory/scalc", "_blank", 0, none())
  other.storeToURL("file:///case/left.ods", none())
  other.storeToURL("file:///root/left.ods", none())
  other = StarDesktop.loadComponentFromURL("http://192.0.2.1/tide.ods", "_blank", 0, none())
  MsgBox "left"
End Sub
