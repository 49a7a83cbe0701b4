public class Main {
    public static void main(String[] args) {  //> -
        int cars = 0;  //> main.cars=0
        do {
            cars += 2;  //> main.cars=2 ; main.cars=4
        } while (cars < 3);  //> - ; -
    }
}
