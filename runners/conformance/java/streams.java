import java.util.List;

public class Main {
    public static void main(String[] args) {  //> -
        List<Integer> loads = List.of(1, 2);  //> main.loads=[1, 2]
        int total = loads.stream().mapToInt(n -> n * 3).sum();  //> - ; lambda.n=1 ; - ; - ; lambda.n=2 ; - ; main.total=9
    }
}
