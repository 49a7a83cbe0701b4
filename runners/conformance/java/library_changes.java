import java.util.Arrays;

public class Main {
    public static void main(String[] args) {  //> -
        int[] loads = {4, 2, 9};  //> main.loads=[4, 2, 9]
        Arrays.sort(loads);  //> main.loads=[2, 4, 9]
        int[] copy = Arrays.copyOf(loads, 2);  //> main.copy=[2, 4]
        System.arraycopy(loads, 1, copy, 0, 2);  //> main.copy=[4, 9]
        Arrays.fill(loads, 7);  //> main.loads=[7, 7, 7]
    }
}
