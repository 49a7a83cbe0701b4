public class Main {
    int cars;
    String name = "Tern";  //> Main.this=Main(cars=0, name="Tern")

    Main(int cars) {  //> Main.this=Main(cars=0, name=null) & Main.cars=3
        this.cars = cars;  //> Main.this=Main(cars=3, name="Tern")
    }

    void load(int more) {  //> load.this=Main(cars=3, name="Tern") & load.more=2
        cars += more;  //> load.this=Main(cars=5, name="Tern")
    }

    public static void main(String[] args) {  //> -
        Main tern = new Main(3);  //> - ; main.tern=Main(cars=3, name="Tern")
        tern.load(2);  //> - ; main.tern=Main(cars=5, name="Tern")
        Main same = tern;  //> main.same=Main(cars=5, name="Tern")
        same.name = "Gull";  //> main.same=Main(cars=5, name="Gull") & main.tern=Main(cars=5, name="Gull")
    }
}
