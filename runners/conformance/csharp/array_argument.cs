class Deck
{
    static void Fill(int[] loads, int count)  //> Fill.loads=[0, 0, 9] & Fill.count=2
    {
        for (int car = 0; car < count; car++)  //> Fill.car=0 ; Fill.car=1 ; Fill.car=2
            loads[car] += car + 5;  //> Fill.loads=[5, 0, 9] ; Fill.loads=[5, 6, 9]
    }

    static void Main()  //> -
    {
        int[] deck = {0, 0, 9};  //> Main.deck=[0, 0, 9]
        int[] same = deck;  //> Main.same=[0, 0, 9]
        Fill(deck, 2);  //> - ; Main.deck=[5, 6, 9] & Main.same=[5, 6, 9]
        same[2]++;  //> Main.deck=[5, 6, 10] & Main.same=[5, 6, 10]
        deck[0] = 1;  //> Main.deck=[1, 6, 10] & Main.same=[1, 6, 10]
    }
}
