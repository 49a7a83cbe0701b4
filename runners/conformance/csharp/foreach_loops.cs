using System.Collections.Generic;

class Deck
{
    static void Main()  //> -
    {
        int total = 0;  //> Main.total=0
        var loads = new List<int> {4, 9};  //> Main.loads=[4, 9]
        foreach (int load in loads)  //> Main.load=4 ; Main.load=9 ; -
        {
            total += load;  //> Main.total=4 ; Main.total=13
        }
        int[] more = {1, 2};  //> Main.more=[1, 2]
        foreach (int extra in more)  //> Main.extra=1 ; Main.extra=2 ; -
            total += extra;  //> Main.total=14 ; Main.total=16
        foreach (char letter in "ab")  //> Main.letter='a' ; Main.letter='b' ; -
            total++;  //> Main.total=17 ; Main.total=18
    }
}
