import java.util.Scanner;

public class Main {
    public static void main(String[] args) {  //> -
        Scanner in = new Scanner(System.in);  //> main.in=(Scanner)
        System.out.print("Cars? ");  //> out=Cars?\s
        int cars = in.nextInt();  //> main.cars=4 & in=4
        while (cars > 3) {  //> - ; -
            System.out.print("Less: ");  //> out=Less:\s
            cars = in.nextInt();  //> main.cars=1 & in=1
        }
        System.out.println(cars);  //> out=1\n
    }
}
