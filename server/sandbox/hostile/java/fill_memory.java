import java.util.*;
public class Main { public static void main(String[] a) { System.out.println("begins"); List<byte[]> held = new ArrayList<>(); while (true) held.add(new byte[1 << 20]); } }
