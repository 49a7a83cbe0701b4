import java.util.ArrayList;
import java.util.List;

public class Main {
    public static void main(String[] args) {  //> -
        List<Integer> deck = new ArrayList<>();  //> main.deck=[]
        {
            List<Integer> inner = deck;  //> main.inner=[]
            inner.add(1);  //> main.deck=[1] & main.inner=[1]
        }
        deck.add(2);  //> main.deck=[1, 2]
        for (int k = 0; k < 2; k++) {  //> main.k=0 ; main.k=1 ; main.k=2
            int half = k + 3;  //> main.half=3 ; main.half=4
            deck.set(0, half / 9);  //> main.deck=[0, 2] ; -
        }
    }
}
