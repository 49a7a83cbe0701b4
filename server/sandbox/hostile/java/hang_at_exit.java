public class Main { public static void main(String[] a) { Runtime.getRuntime().addShutdownHook(new Thread(() -> { while (true); })); System.out.println("bye"); } }
