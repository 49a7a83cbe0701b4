import java.util.Set;
import java.util.TreeSet;

public class Main {
    public static void main(String[] args) {  //> -
        Set<Integer> ports = new TreeSet<>();  //> main.ports=set()
        ports.add(3);  //> main.ports={3}
        ports.add(1);  //> main.ports={1, 3}
        ports.add(3);  //> -
        ports.remove(1);  //> main.ports={3}
    }
}
