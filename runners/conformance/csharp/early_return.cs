class Deck
{
    static int Find(int[] loads, int wanted)  //> Find.loads=[3, 5, 7] & Find.wanted=5
    {
        for (int place = 0; place < loads.Length; place++)  //> Find.place=0 ; Find.place=1
        {
            if (loads[place] == wanted)  //> - ; -
                return place;  //> -
        }
        return -1;
    }

    static void Main()  //> -
    {
        int at = Find(new[] {3, 5, 7}, 5);  //> - ; Main.at=1
    }
}
