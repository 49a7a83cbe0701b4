Public Class Form1
    Private Sub Form1_Load(sender As Object, e As EventArgs) Handles MyBase.Load
        Do
            MsgBox("again")
        Loop
    End Sub
End Class
