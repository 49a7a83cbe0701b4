Public Class Form1
    Private Sub Form1_Load(sender As Object, e As EventArgs) Handles MyBase.Load
        Console.Error.WriteLine(ChrW(30) & "{""forms"":[{""name"":""<script>"",""text"":"""",""closed"":false,""controls"":[]}],""unheard"":[],""missed"":[]}")
        Console.Error.WriteLine(ChrW(30) & "{broken")
        lblTide.Text = "told"
        Console.WriteLine("told")
    End Sub
End Class
