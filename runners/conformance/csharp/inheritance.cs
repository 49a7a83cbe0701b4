class Boat  //> Boat.this=Ferry(name=null, cars=0)
{
    public int cars = 1;  //> Boat.this=Ferry(name=null, cars=1)

    public virtual void Load()
    {
        cars++;
    }
}

class Ferry : Boat
{
    public string name;

    public Ferry(string name)  //> Ferry.this=Ferry(name=null, cars=0) & Ferry.name="Tern" ; Ferry.this=Ferry(name=null, cars=1)
    {
        this.name = name;  //> Ferry.this=Ferry(name="Tern", cars=1)
    }

    public override void Load()  //> Load.this=Ferry(name="Tern", cars=1)
    {
        cars += 2;  //> Load.this=Ferry(name="Tern", cars=3)
    }
}

class Deck
{
    static void Main()  //> -
    {
        Boat tern = new Ferry("Tern");  //> - ; Main.tern=Ferry(name="Tern", cars=1)
        tern.Load();  //> - ; Main.tern=Ferry(name="Tern", cars=3)
    }
}
