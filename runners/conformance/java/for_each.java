import java.util.List;

public class Main {
    public static void main(String[] args) {  //> -
        List<Integer> loads = List.of(4, 9);  //> main.loads=[4, 9]
        int total = 0;  //> main.total=0
        for (int load : loads) {  //> main.load=4 ; main.load=9 ; -
            total += load;  //> main.total=4 ; main.total=13
        }
        int[] more = {1, 2};  //> main.more=[1, 2]
        for (int load : more) {  //> main.load=1 ; main.load=2 ; -
            total += load;  //> main.total=14 ; main.total=16
        }
    }
}
