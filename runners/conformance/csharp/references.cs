class Deck
{
    static void Raise(ref int load, out int before)  //> Raise.load=4
    {
        before = load;  //> Raise.before=4
        load += 3;  //> Raise.load=7
    }

    static void Main()  //> -
    {
        int deck = 4;  //> Main.deck=4
        int old;
        Raise(ref deck, out old);  //> - ; Main.deck=7 & Main.old=4
        int[] loads = {1, 2};  //> Main.loads=[1, 2]
        Swap(ref loads[0], ref loads[1]);  //> - ; Main.loads=[2, 1]
    }

    static void Swap(ref int one, ref int other)  //> Swap.one=1 & Swap.other=2
    {
        int held = one;  //> Swap.held=1
        one = other;  //> Swap.one=2
        other = held;  //> Swap.other=1
    }
}
