using System.Collections.Generic;

class Deck
{
    static void Main()  //> -
    {
        var deck = new List<int>();  //> Main.deck=[]
        {
            List<int> inner = deck;  //> Main.inner=[]
            inner.Add(1);  //> Main.deck=[1] & Main.inner=[1]
        }
        deck.Add(2);  //> Main.deck=[1, 2]
        for (int k = 0; k < 2; k++)  //> Main.k=0 ; Main.k=1 ; Main.k=2
        {
            int half = k + 3;  //> Main.half=3 ; Main.half=4
        }
    }
}
