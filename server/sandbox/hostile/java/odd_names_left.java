import java.io.File;
import java.nio.file.*;
public class Main {
    public static void main(String[] a) throws Exception {
        Files.createSymbolicLink(Path.of("loop"), Path.of("loop"));
        Files.createSymbolicLink(Path.of("up"), Path.of("/"));
        Files.writeString(Path.of("two\nlines"), "x");
        new ProcessBuilder("/usr/bin/mkfifo", "pipe").start().waitFor();
        for (File each : new File(".").listFiles()) if (each.getName().endsWith(".class")) each.delete();
        System.out.println("left");
    }
}
