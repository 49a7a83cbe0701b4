public class Main {
    public static void main(String[] args) {  //> -
        int load = 5;  //> main.load=5
        int kind = load > 3 ? 1 : 2;  //> main.kind=1
        load = kind = 7;  //> main.kind=7 & main.load=7
        load <<= 1;  //> main.load=14
        load %= 4;  //> main.load=2
        int[] two = {load++, ++load};  //> main.load=4 & main.two=[2, 4]
        boolean both = load > 3 && kind < 3;  //> main.both=false
    }
}
