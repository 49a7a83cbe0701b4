using System;

class Deck
{
    static void Main()  //> -
    {
        Console.Write("Cars? ");  //> out=Cars?\s
        int cars = int.Parse(Console.ReadLine());  //> Main.cars=4 & in=4
        while (cars > 3)  //> - ; -
        {
            Console.Write("Less: ");  //> out=Less:\s
            cars = int.Parse(Console.ReadLine());  //> Main.cars=1 & in=1
        }
        Console.WriteLine(cars);  //> out=1\n
    }
}
