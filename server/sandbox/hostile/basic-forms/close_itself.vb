Public Class Form1
    Private Sub Form1_Load(sender As Object, e As EventArgs) Handles MyBase.Load
        AddHandler lblTide.TextChanged, AddressOf Turn
        lblTide.Text = "1"
        Me.Close()
    End Sub

    Private Sub Turn(sender As Object, e As EventArgs)
        lblTide.Text = lblTide.Text & "1"
    End Sub
End Class
