class Gate
{
    public int Count { get; set; }
    public string Name { get; private set; }

    public Gate(string name)  //> Gate.this=Gate(Count=0, Name=null) & Gate.name="Tern"
    {
        Name = name;  //> Gate.this=Gate(Count=0, Name="Tern")
    }
}

class Deck
{
    static void Main()  //> -
    {
        var gate = new Gate("Tern");  //> - ; Main.gate=Gate(Count=0, Name="Tern")
        gate.Count++;  //> Main.gate=Gate(Count=1, Name="Tern")
        gate.Count = gate.Count + 4;  //> Main.gate=Gate(Count=5, Name="Tern")
        string name = gate.Name;  //> Main.name="Tern"
    }
}
