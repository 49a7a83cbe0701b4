public class Main {
    static int deeper(int level) { return deeper(level + 1) + 1; }
    public static void main(String[] a) { System.out.println("begins"); deeper(0); }
}
