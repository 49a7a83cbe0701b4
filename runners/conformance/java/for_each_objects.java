public class Main {
    public static void main(String[] args) {  //> -
        int[][] deck = {{1}, {5}};  //> main.deck=[[1], [5]]
        for (int[] row : deck) {  //> main.row=[1] ; main.row=[5] ; -
            row[0]++;  //> main.deck=[[2], [5]] & main.row=[2] ; main.deck=[[2], [6]] & main.row=[6]
        }
        deck[1][0] = 9;  //> main.deck=[[2], [9]]
    }
}
