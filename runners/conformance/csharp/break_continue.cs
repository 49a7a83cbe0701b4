class Deck
{
    static void Main()  //> -
    {
        int total = 0;  //> Main.total=0
        for (int car = 0; car < 9; car++)  //> Main.car=0 ; Main.car=1 ; Main.car=2 ; Main.car=3
        {
            if (car == 1)  //> - ; - ; - ; -
                continue;  //> -
            total += car;  //> - ; Main.total=2 ; Main.total=5
            if (total > 3)  //> - ; - ; -
                break;  //> -
        }
    }
}
