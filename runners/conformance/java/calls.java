public class Main {
    static int load(int cars) {  //> load.cars=3 ; load.cars=4
        int weight = cars * 2;  //> load.weight=6 ; load.weight=8
        return weight;  //> - ; -
    }

    public static void main(String[] args) {  //> -
        int both = load(3) + load(4);  //> - ; - ; main.both=14
        System.out.println(both);  //> out=14\n
    }
}
