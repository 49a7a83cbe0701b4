public class Main {
    static int count = 0;  //> count=0
    static int[] log = new int[2];  //> log=[0, 0]

    static void board(int name) {  //> board.name=7 ; board.name=8
        log[count] = name;  //> log=[7, 0] ; log=[7, 8]
        count++;  //> count=1 ; count=2
    }

    public static void main(String[] args) {  //> -
        board(7);  //> - ; -
        board(8);  //> - ; -
    }
}
