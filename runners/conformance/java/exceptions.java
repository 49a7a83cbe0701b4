public class Main {
    static int weigh(int load) {  //> weigh.load=4 ; weigh.load=0
        try {
            return 8 / load;  //> - ; raised=ArithmeticException: / by zero
        } catch (ArithmeticException problem) {  //> weigh.problem=ArithmeticException: / by zero
            return -1;  //> -
        }
    }

    public static void main(String[] args) {  //> -
        int first = weigh(4);  //> - ; main.first=2
        int second = weigh(0);  //> - ; main.second=-1
    }
}
