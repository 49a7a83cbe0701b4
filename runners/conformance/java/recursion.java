public class Main {
    static int climb(int step) {  //> climb.step=2 ; climb.step=1 ; climb.step=0
        if (step == 0) {  //> - ; - ; -
            return 1;  //> -
        }
        int below = climb(step - 1);  //> - ; - ; climb.below=1 & climb.step=1 ; climb.below=2 & climb.step=2
        return below * 2;  //> - ; -
    }

    public static void main(String[] args) {  //> -
        int top = climb(2);  //> - ; main.top=4
    }
}
