class Boat
{
    public int cars;
    public string name = "Tern";  //> Boat.this=Boat(cars=0, name="Tern")

    public Boat(int cars)  //> Boat.this=Boat(cars=0, name=null) & Boat.cars=3
    {
        this.cars = cars;  //> Boat.this=Boat(cars=3, name="Tern")
    }

    public void Load(int more)  //> Load.this=Boat(cars=3, name="Tern") & Load.more=2
    {
        cars += more;  //> Load.this=Boat(cars=5, name="Tern")
    }
}

class Deck
{
    static void Main()  //> -
    {
        Boat tern = new Boat(3);  //> - ; Main.tern=Boat(cars=3, name="Tern")
        tern.Load(2);  //> - ; Main.tern=Boat(cars=5, name="Tern")
        Boat same = tern;  //> Main.same=Boat(cars=5, name="Tern")
        same.name = "Gull";  //> Main.same=Boat(cars=5, name="Gull") & Main.tern=Boat(cars=5, name="Gull")
        same.cars++;  //> Main.same=Boat(cars=6, name="Gull") & Main.tern=Boat(cars=6, name="Gull")
    }
}
