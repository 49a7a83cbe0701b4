class Deck
{
    static int Twice(int n) { int m = n * 2; return m; }  //> Twice.n=2 ; Twice.m=4

    static void Main()  //> -
    {
        int total = Twice(2);  //> - ; Main.total=4
        for (int i = 1; i < 3; i++) total += i;  //> Main.i=1 ; Main.total=5 & Main.i=2 ; Main.total=7 & Main.i=3
        while (total > 6) total--;  //> - ; Main.total=6
        if (total == 6) total = 9;  //> Main.total=9
        int low = 1; int high = 2; low = high;  //> Main.low=2 & Main.high=2
    }
}
