Public Class Form1
    Private Sub Form1_Load(sender As Object, e As EventArgs) Handles MyBase.Load
        Dim long1 As String = StrDup(100000, "x")
        For at As Integer = 1 To 1000000
            lstBoats.Items.Add(at)
        Next
        lblTide.Text = long1
    End Sub
End Class
