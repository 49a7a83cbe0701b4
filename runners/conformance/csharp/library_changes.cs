using System;

class Boat
{
    public static int Made { get; private set; }
    public int Cars { get; private set; }
    public Boat(int cars)  //> Boat.this=Boat(Cars=0) & Boat.cars=3
    {
        Cars = cars;  //> Boat.this=Boat(Cars=3)
        Made++;  //> Boat.Made=1
    }
    public int Twice  //> Twice.this=Boat(Cars=3)
    {
        get
        {
            return Cars * 2;  //> -
        }
    }
}

class Deck
{
    static bool Find(int[] loads, int wanted)  //> Find.loads=[2, 4, 9] & Find.wanted=4
    {
        foreach (int load in loads)  //> Find.load=2 ; Find.load=4
        {
            if (load == wanted)  //> - ; -
                return true;  //> -
        }
        return false;
    }

    static void Main()  //> -
    {
        int[] loads = {4, 2, 9};  //> Main.loads=[4, 2, 9]
        Array.Sort(loads);  //> Main.loads=[2, 4, 9]
        bool found = Find(loads, 4);  //> - ; Main.found=true
        Array.Reverse(loads);  //> Main.loads=[9, 4, 2]
        var boat = new Boat(3);  //> - ; Main.boat=Boat(Cars=3)
        int twice = boat.Twice;  //> - ; Main.twice=6
    }
}
