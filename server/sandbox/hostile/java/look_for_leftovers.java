import java.io.*;
public class Main { public static void main(String[] a) { int found = 0; for (String p : new String[] {"/tmp/left_behind", "/case/left_behind", "/dev/shm/left_behind"}) if (new File(p).exists()) found++; System.out.println("found " + found); } }
