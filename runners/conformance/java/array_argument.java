public class Main {
    static void fill(int[] loads, int count) {  //> fill.loads=[0, 0, 9] & fill.count=2
        for (int car = 0; car < count; car++) {  //> fill.car=0 ; fill.car=1 ; fill.car=2
            loads[car] += car + 5;  //> fill.loads=[5, 0, 9] ; fill.loads=[5, 6, 9]
        }
    }

    public static void main(String[] args) {  //> -
        int[] deck = {0, 0, 9};  //> main.deck=[0, 0, 9]
        int[] same = deck;  //> main.same=[0, 0, 9]
        fill(deck, 2);  //> - ; main.deck=[5, 6, 9] & main.same=[5, 6, 9]
        same[2]++;  //> main.deck=[5, 6, 10] & main.same=[5, 6, 10]
    }
}
