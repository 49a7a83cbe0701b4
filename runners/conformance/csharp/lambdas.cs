using System;
using System.Linq;

class Deck
{
    static void Main()  //> -
    {
        int extra = 3;  //> Main.extra=3
        Func<int, int> more = n => n + extra;  //> Main.more=(function) ; lambda.n=4 ; -
        int load = more(4);  //> - ; Main.load=7
        int[] loads = {1, 2};  //> Main.loads=[1, 2]
        int total = loads.Sum();  //> Main.total=3
    }
}
