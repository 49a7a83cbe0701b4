public class Main {
    static int twice(int n) { int m = n * 2; return m; }  //> twice.n=2 ; twice.m=4

    public static void main(String[] args) {  //> -
        int total = twice(2);  //> - ; main.total=4
        for (int i = 1; i < 3; i++) total += i;  //> main.i=1 ; main.total=5 & main.i=2 ; main.total=7 & main.i=3
        while (total > 6) total--;  //> - ; main.total=6
        if (total == 6) total = 9;  //> main.total=9
        int low = 1; int high = 2; low = high;  //> main.low=2 & main.high=2
    }
}
