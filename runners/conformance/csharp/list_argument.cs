using System.Collections.Generic;

class Deck
{
    static void Add(List<int> loads, int load)  //> Add.loads=[] & Add.load=4
    {
        loads.Add(load);  //> Add.loads=[4]
    }

    static void Wrap(List<int> loads)  //> Wrap.loads=[]
    {
        Add(loads, 4);  //> - ; Wrap.loads=[4]
        loads.Add(7);  //> Wrap.loads=[4, 7]
    }

    static void Main()  //> -
    {
        var deck = new List<int>();  //> Main.deck=[]
        Wrap(deck);  //> - ; Main.deck=[4, 7]
        deck.RemoveAt(0);  //> Main.deck=[7]
        deck[0] = 1;  //> Main.deck=[1]
        deck[0] += 2;  //> Main.deck=[3]
    }
}
