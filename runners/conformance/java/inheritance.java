public class Main {
    static class Boat {  //> Boat.this=Ferry(name=null, cars=0)
        int cars = 1;  //> Boat.this=Ferry(name=null, cars=1)

        void load() {  //> load.this=Ferry(name="Tern", cars=1)
            cars++;  //> load.this=Ferry(name="Tern", cars=2)
        }
    }

    static class Ferry extends Boat {
        String name;

        Ferry(String name) {  //> Ferry.name="Tern" ; Ferry.this=Ferry(name=null, cars=1)
            this.name = name;  //> Ferry.this=Ferry(name="Tern", cars=1)
        }
    }

    public static void main(String[] args) {  //> -
        Boat tern = new Ferry("Tern");  //> - ; main.tern=Ferry(name="Tern", cars=1)
        tern.load();  //> - ; main.tern=Ferry(name="Tern", cars=2)
    }
}
