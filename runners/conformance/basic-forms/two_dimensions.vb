Module Deck
    Sub Main() '> -
        Dim grid(1, 1) As Integer '> Main.grid=[[0, 0], [0, 0]]
        grid(1, 0) = 9 '> Main.grid=[[0, 0], [9, 0]]
        grid(0, 1) += 4 '> Main.grid=[[0, 4], [9, 0]]
        Dim rows()() As Integer = {New Integer() {1, 2}, New Integer() {3, 4}} '> Main.rows=[[1, 2], [3, 4]]
        rows(0)(1) = 7 '> Main.rows=[[1, 7], [3, 4]]
        Console.WriteLine(grid.GetLength(0) & rows.Length) '> out=22\n
    End Sub
End Module
