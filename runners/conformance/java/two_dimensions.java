public class Main {
    public static void main(String[] args) {  //> -
        int[][] deck = {{1, 2}, {3, 4}};  //> main.deck=[[1, 2], [3, 4]]
        deck[1][0] = 9;  //> main.deck=[[1, 2], [9, 4]]
        int[] row = deck[0];  //> main.row=[1, 2]
        row[1] += 5;  //> main.deck=[[1, 7], [9, 4]] & main.row=[1, 7]
        deck[0] = deck[1];  //> main.deck=[[9, 4], [9, 4]]
        deck[0][1]++;  //> main.deck=[[9, 5], [9, 5]]
    }
}
