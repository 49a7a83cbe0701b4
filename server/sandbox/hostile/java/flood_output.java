public class Main { public static void main(String[] a) { while (true) System.out.println("and again"); } }
