class Deck
{
    static void Main()  //> -
    {
        int[,] grid = new int[2, 2];  //> Main.grid=[[0, 0], [0, 0]]
        grid[1, 0] = 9;  //> Main.grid=[[0, 0], [9, 0]]
        grid[0, 1] += 4;  //> Main.grid=[[0, 4], [9, 0]]
        grid[1, 1]++;  //> Main.grid=[[0, 4], [9, 1]]
        int[][] rows = {new[] {1, 2}, new[] {3, 4}};  //> Main.rows=[[1, 2], [3, 4]]
        rows[0][1]++;  //> Main.rows=[[1, 3], [3, 4]]
        int[] row = rows[1];  //> Main.row=[3, 4]
        row[0] = 8;  //> Main.row=[8, 4] & Main.rows=[[1, 3], [8, 4]]
    }
}
