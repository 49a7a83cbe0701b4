import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;

public class Main {
    public static void main(String[] args) {  //> -
        Map<String, Integer> seats = new TreeMap<>();  //> main.seats={}
        seats.put("Tern", 2);  //> main.seats={"Tern": 2}
        seats.merge("Tern", 3, Integer::sum);  //> main.seats={"Tern": 5}
        Map<Integer, List<String>> by = new TreeMap<>();  //> main.by={}
        by.computeIfAbsent(1, key -> new ArrayList<>()).add("Auk");  //> - ; lambda.key=1 ; - ; main.by={1: ["Auk"]}
        by.get(1).add("Gull");  //> main.by={1: ["Auk", "Gull"]}
        seats.remove("Tern");  //> main.seats={}
    }
}
