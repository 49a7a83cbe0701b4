import java.io.*;
public class Main {
    public static void main(String[] a) throws Exception {
        BufferedReader named = new BufferedReader(new FileReader("/dev/stdin"));
        System.out.println("name " + named.readLine());
        System.out.println("again " + named.readLine());
        System.out.println("end " + named.readLine());
    }
}
