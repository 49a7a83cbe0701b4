public class Main {
    public static void main(String[] args) {  //> -
        int total = 0;  //> main.total=0
        for (int car = 0; car < 9; car++) {  //> main.car=0 ; main.car=1 ; main.car=2 ; main.car=3
            if (car == 1) {  //> - ; - ; - ; -
                continue;  //> -
            }
            total += car;  //> - ; main.total=2 ; main.total=5
            if (total > 3) {  //> - ; - ; -
                break;  //> -
            }
        }
    }
}
