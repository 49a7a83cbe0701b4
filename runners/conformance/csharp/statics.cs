class Deck
{
    static int count = 0;  //> count=0
    static int[] log = new int[2];  //> log=[0, 0]

    static void Board(int name)  //> Board.name=7 ; Board.name=8
    {
        log[count] = name;  //> log=[7, 0] ; log=[7, 8]
        count++;  //> count=1 ; count=2
    }

    static void Main()  //> -
    {
        Board(7);  //> - ; -
        Board(8);  //> - ; -
    }
}
