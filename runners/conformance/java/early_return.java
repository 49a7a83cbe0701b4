public class Main {
    static int find(int[] loads, int wanted) {  //> find.loads=[3, 5, 7] & find.wanted=5
        for (int place = 0; place < loads.length; place++) {  //> find.place=0 ; find.place=1
            if (loads[place] == wanted) {  //> - ; -
                return place;  //> -
            }
        }
        return -1;
    }

    public static void main(String[] args) {  //> -
        int at = find(new int[] {3, 5, 7}, 5);  //> - ; main.at=1
    }
}
