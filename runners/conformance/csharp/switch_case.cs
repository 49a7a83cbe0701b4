class Deck
{
    static void Main()  //> -
    {
        int tide = 2;  //> Main.tide=2
        int height = 0;  //> Main.height=0
        switch (tide)  //> -
        {
            case 1:
                height = 10;
                break;
            case 2:
                height = 20;  //> Main.height=20
                break;  //> -
            default:
                height = 1;
                break;
        }
        string ship = "Gull";  //> Main.ship="Gull"
        switch (ship)  //> -
        {
            case "Tern":
                height = 5;
                break;
            case "Gull":
                height = 6;  //> Main.height=6
                break;  //> -
        }
    }
}
