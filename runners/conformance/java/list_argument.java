import java.util.ArrayList;
import java.util.List;

public class Main {
    static void add(List<Integer> loads, int load) {  //> add.loads=[] & add.load=4
        loads.add(load);  //> add.loads=[4]
    }

    static void wrap(List<Integer> loads) {  //> wrap.loads=[]
        add(loads, 4);  //> - ; wrap.loads=[4]
        loads.add(7);  //> wrap.loads=[4, 7]
    }

    public static void main(String[] args) {  //> -
        List<Integer> deck = new ArrayList<>();  //> main.deck=[]
        wrap(deck);  //> - ; main.deck=[4, 7]
        deck.remove(0);  //> main.deck=[7]
        deck.set(0, 1);  //> main.deck=[1]
    }
}
