using System;

class Deck
{
    static int count;

    static int Read(string text)  //> Read.text="4"
    {
        try
        {
            return int.Parse(text);  //> -
        }
        finally
        {
            count++;  //> count=1
        }
    }

    static void Main()  //> -
    {
        int first = Read("4");  //> - ; Main.first=4
        do
        {
            first -= 3;  //> Main.first=1 ; Main.first=-2
        } while (first > 0);  //> - ; -
    }
}
