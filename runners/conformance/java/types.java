public class Main {
    enum Tide { LOW, HIGH }

    public static void main(String[] args) {  //> -
        double ratio = 7 / 2.0;  //> main.ratio=3.5
        float small = 0.1f;  //> main.small=0.1
        long big = 1L << 40;  //> main.big=1099511627776
        int whole = Integer.MAX_VALUE;  //> main.whole=2147483647
        whole++;  //> main.whole=-2147483648
        boolean full = whole < 0;  //> main.full=true
        byte little = (byte) 200;  //> main.little=-56
        Tide now = Tide.HIGH;  //> main.now=HIGH
        Integer boxed = 5;  //> main.boxed=5
    }
}
