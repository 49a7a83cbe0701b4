public class Main {
    public static void main(String[] a) throws Exception {
        new ProcessBuilder("/bin/sh", "-c", "setsid sh -c 'sleep 1; echo late > /case/late; while true; do :; done' &").inheritIO().start().waitFor();
        System.out.println("first");
        Runtime.getRuntime().halt(5);
    }
}
