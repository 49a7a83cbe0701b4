using System;

class Deck
{
    static int Load(int cars)  //> Load.cars=3 ; Load.cars=4
    {
        int weight = cars * 2;  //> Load.weight=6 ; Load.weight=8
        return weight;  //> - ; -
    }

    static void Main()  //> -
    {
        int both = Load(3) + Load(4);  //> - ; - ; Main.both=14
        Console.WriteLine(both);  //> out=14\n
    }
}
