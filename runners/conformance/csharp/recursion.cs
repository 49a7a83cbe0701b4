class Deck
{
    static int Climb(int step)  //> Climb.step=2 ; Climb.step=1 ; Climb.step=0
    {
        if (step == 0)  //> - ; - ; -
            return 1;  //> -
        int below = Climb(step - 1);  //> - ; - ; Climb.below=1 & Climb.step=1 ; Climb.below=2 & Climb.step=2
        return below * 2;  //> - ; -
    }

    static void Main()  //> -
    {
        int top = Climb(2);  //> - ; Main.top=4
    }
}
