using System;

class Deck
{
    static int Weigh(int load)  //> Weigh.load=4 ; Weigh.load=0
    {
        try
        {
            return 8 / load;  //> - ; raised=DivideByZeroException: Attempted to divide by zero.
        }
        catch (DivideByZeroException problem)  //> Weigh.problem=DivideByZeroException: Attempted to divide by zero.
        {
            return -1;  //> -
        }
    }

    static void Main()  //> -
    {
        int first = Weigh(4);  //> - ; Main.first=2
        int second = Weigh(0);  //> - ; Main.second=-1
        try {
            first = 3;  //> Main.first=3
        } catch (Exception) {
            first = 4;
        }
    }
}
