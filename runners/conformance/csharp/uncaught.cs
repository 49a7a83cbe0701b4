class Deck
{
    static int Last(int[] loads)  //> Last.loads=[4]
    {
        return loads[1];  //> raised=IndexOutOfRangeException: Index was outside the bounds of the array.
    }

    static void Main()  //> -
    {
        int[] deck = {4};  //> Main.deck=[4]
        int last = Last(deck);  //> -
    }
}
