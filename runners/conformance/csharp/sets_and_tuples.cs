using System.Collections.Generic;

class Deck
{
    static void Main()  //> -
    {
        var ports = new HashSet<int>();  //> Main.ports=set()
        ports.Add(3);  //> Main.ports={3}
        ports.Add(3);  //> -
        ports.Add(1);  //> Main.ports={3, 1}
        var pair = (4, "a");  //> Main.pair=(4, "a")
        pair.Item1 = 5;  //> Main.pair=(5, "a")
        var line = new Queue<int>();  //> Main.line=[]
        line.Enqueue(2);  //> Main.line=[2]
        int next = line.Dequeue();  //> Main.line=[] & Main.next=2
    }
}
