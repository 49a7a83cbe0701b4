public class Main {
    static int last(int[] loads) {  //> last.loads=[4]
        return loads[1];  //> raised=ArrayIndexOutOfBoundsException: Index 1 out of bounds for length 1
    }

    public static void main(String[] args) {  //> -
        int[] deck = {4};  //> main.deck=[4]
        System.out.println(last(deck));  //> -
    }
}
