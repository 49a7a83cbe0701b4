enum Tide { Low, High }

class Deck
{
    static void Main()  //> -
    {
        double ratio = 7 / 2.0;  //> Main.ratio=3.5
        float small = 0.1f;  //> Main.small=0.1
        long big = 1L << 40;  //> Main.big=1099511627776
        decimal fare = 12.50m;  //> Main.fare=12.50
        bool full = big > 3;  //> Main.full=true
        byte little = 200;  //> Main.little=200
        little += 100;  //> Main.little=44
        Tide now = Tide.High;  //> Main.now=High
        int? maybe = 5;  //> Main.maybe=5
        maybe = null;  //> Main.maybe=null
    }
}
