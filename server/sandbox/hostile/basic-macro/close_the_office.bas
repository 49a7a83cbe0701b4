Sub Main
  MsgBox "before"
  StarDesktop.terminate()
  ThisComponent.close(True)
  MsgBox "after"
End Sub
