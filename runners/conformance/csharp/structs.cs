struct Load
{
    public int Weight;
    public int Items;
}

class Deck
{
    static void Main()  //> -
    {
        Load first;
        first.Weight = 3;  //> Main.first=Load(Weight=3, Items=0)
        first.Items = 1;  //> Main.first=Load(Weight=3, Items=1)
        Load other = first;  //> Main.other=Load(Weight=3, Items=1)
        other.Weight++;  //> Main.other=Load(Weight=4, Items=1)
        Load[] deck = new Load[2];  //> Main.deck=[Load(Weight=0, Items=0), Load(Weight=0, Items=0)]
        deck[1].Items = 5;  //> Main.deck=[Load(Weight=0, Items=0), Load(Weight=0, Items=5)]
        deck[0] = first;  //> Main.deck=[Load(Weight=3, Items=1), Load(Weight=0, Items=5)]
        deck[1].Weight += 2;  //> Main.deck=[Load(Weight=3, Items=1), Load(Weight=2, Items=5)]
    }
}
