Public Class Form1
    Private Sub btnWork_Click(sender As Object, e As EventArgs)
        lblTide.Text = "high"
    End Sub
End Class
