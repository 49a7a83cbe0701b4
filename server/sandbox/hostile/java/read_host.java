import java.nio.file.*;
public class Main { public static void main(String[] a) { for (String p : new String[] {"/etc/passwd", "/etc/shadow", "/root", "/home", "/work", "/proc/1/environ"}) try { Files.readAllBytes(Path.of(p)); System.out.println("read " + p); } catch (Exception e) { } System.out.println("done"); } }
