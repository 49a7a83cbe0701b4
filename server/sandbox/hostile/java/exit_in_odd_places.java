public class Main {
    static { Runtime.getRuntime().addShutdownHook(new Thread(() -> System.out.println("hook"))); }
    public static void main(String[] a) { try { throw new RuntimeException("x"); } finally { System.out.println("finally"); System.exit(7); } }
}
