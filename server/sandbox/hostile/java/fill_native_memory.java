import java.nio.*;
import java.util.*;
public class Main { public static void main(String[] a) { System.out.println("begins"); List<ByteBuffer> held = new ArrayList<>(); while (true) { ByteBuffer b = ByteBuffer.allocateDirect(8 << 20); for (int i = 0; i < b.capacity(); i += 4096) b.put(i, (byte) 1); held.add(b); } } }
