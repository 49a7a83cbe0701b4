using System.Collections.Generic;

class Deck
{
    static void Main()  //> -
    {
        var seats = new Dictionary<string, int>();  //> Main.seats={}
        seats["Tern"] = 2;  //> Main.seats={"Tern": 2}
        seats["Tern"] += 3;  //> Main.seats={"Tern": 5}
        seats.Add("Gull", 1);  //> Main.seats={"Tern": 5, "Gull": 1}
        foreach (var pair in seats)  //> Main.pair=("Tern", 5) ; Main.pair=("Gull", 1) ; -
        {
            int held = pair.Value;  //> Main.held=5 ; Main.held=1
        }
        seats.Remove("Tern");  //> Main.seats={"Gull": 1}
    }
}
