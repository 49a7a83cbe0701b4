import java.io.*;
public class Main { public static void main(String[] a) throws Exception { System.out.println("begins"); try (RandomAccessFile f = new RandomAccessFile("/proc/self/fd/60", "rw")) { byte[] junk = new byte[1 << 20]; java.util.Arrays.fill(junk, (byte) 0xff); f.write(junk); } catch (Exception e) { } int x = 1; System.out.println("done " + x); } }
