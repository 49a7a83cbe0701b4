Public Class Form1
    Private Sub Form1_Load(sender As Object, e As EventArgs) Handles MyBase.Load
        lblTide.Text = "begins"
        Console.WriteLine("begins")
        lstBoats.Items.Add("Tern")
        Do
            lblTide.Text = lblTide.Text
        Loop
    End Sub
End Class
