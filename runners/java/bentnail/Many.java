package bentnail;

import java.io.BufferedInputStream;
import java.io.BufferedOutputStream;
import java.io.BufferedReader;
import java.io.FileDescriptor;
import java.io.FileInputStream;
import java.io.FileOutputStream;
import java.io.InputStreamReader;
import java.io.OutputStream;
import java.io.PrintStream;
import java.lang.reflect.InvocationTargetException;
import java.lang.reflect.Method;
import java.net.URL;
import java.net.URLClassLoader;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Properties;
import java.util.TimeZone;

/**
 * Runs many programs one after another in one machine, each from classes of its own: Many LIST. The list holds a line for each, its folder, its
 * main class and the arguments of that; a library that they see can stand behind LIST. Which one comes next is told by descriptor 61; how it ended by descriptor 62: its exit code, and "clean" if the next one finds
 * everything as it was (runners/sandbox/bent_nail_sandbox/command_tries.py). One that ends the machine ends this one.
 */
public final class Many {
  private Many() {}

  private static final Locale LOCALE = Locale.getDefault();
  private static final TimeZone ZONE = TimeZone.getDefault();
  /** Last: asking for the time zone sets one. */
  private static final Properties PROPERTIES = (Properties) System.getProperties().clone();

  public static void main(String[] arguments) throws Exception {
    List<String> list = Files.readAllLines(Path.of(arguments[0]), StandardCharsets.UTF_8);
    BufferedReader orders = new BufferedReader(new InputStreamReader(new FileInputStream("/proc/self/fd/61"), StandardCharsets.US_ASCII));
    OutputStream answers = new FileOutputStream("/proc/self/fd/62");
    answers.write("ready\n".getBytes(StandardCharsets.US_ASCII));
    for (String order = orders.readLine(); order != null; order = orders.readLine()) {
      String[] one = list.get(Integer.parseInt(order)).split(" ", 2);
      int exit = run(one[0], one[1].split(" "), arguments.length > 1 ? arguments[1] : null);
      answers.write((exit + (isClean() ? " clean\n" : " left\n")).getBytes(StandardCharsets.US_ASCII));
    }
  }

  private static int run(String folder, String[] main, String library) throws Exception {
    System.setIn(new BufferedInputStream(new FileInputStream(FileDescriptor.in)));
    System.setOut(printer(FileDescriptor.out));
    System.setErr(printer(FileDescriptor.err));
    int[] exit = {0};
    ThreadGroup group = new ThreadGroup("main");
    URL own = Path.of(folder).toUri().toURL();
    URL[] found = library == null ? new URL[] {own} : new URL[] {own, Path.of(library).toUri().toURL()};
    try (URLClassLoader classes = new URLClassLoader(found, ClassLoader.getPlatformClassLoader())) {
      Thread thread = new Thread(group, () -> {
        try {
          Method begin = Class.forName(main[0], true, classes).getMethod("main", String[].class);
          begin.setAccessible(true);
          begin.invoke(null, (Object) Arrays.copyOfRange(main, 1, main.length));
        } catch (InvocationTargetException problem) {
          exit[0] = 1;
          tell(problem.getCause());
        } catch (Throwable problem) {
          exit[0] = 1;
          tell(problem);
        }
      }, "main");
      thread.setContextClassLoader(classes);
      thread.start();
      thread.join();
      // As long as a thread of its own works the program goes on, too.
      for (Thread each = worker(group); each != null; each = worker(group)) each.join();
    }
    System.out.flush();
    System.err.flush();
    return exit[0];
  }

  private static PrintStream printer(FileDescriptor descriptor) {
    return new PrintStream(new BufferedOutputStream(new FileOutputStream(descriptor), 128), true, StandardCharsets.UTF_8);
  }

  /** As the machine tells it; the calls below main are this starter's. */
  private static void tell(Throwable problem) {
    for (Throwable each = problem; each != null; each = each.getCause()) {
      StackTraceElement[] calls = each.getStackTrace();
      int end = calls.length;
      while (end > 0 && isOurs(calls[end - 1].getClassName())) end--;
      each.setStackTrace(Arrays.copyOf(calls, end));
    }
    System.err.print("Exception in thread \"main\" ");
    problem.printStackTrace(System.err);
  }

  private static boolean isOurs(String name) {
    return name.startsWith("bentnail.") || name.startsWith("java.lang.reflect.") || name.startsWith("jdk.internal.reflect.") || name.equals("java.lang.Thread") || name.equals("java.lang.Class");
  }

  private static Thread worker(ThreadGroup group) {
    for (Thread each : threads(group)) if (each != null && each.isAlive() && !each.isDaemon()) return each;
    return null;
  }

  private static Thread[] threads(ThreadGroup group) {
    Thread[] found = new Thread[group.activeCount() + 16];
    group.enumerate(found);
    return found;
  }

  /** True if no thread is left, and nothing of the machine's is set otherwise than before. */
  private static boolean isClean() {
    ThreadGroup all = Thread.currentThread().getThreadGroup();
    int running = 0;
    for (Thread each : threads(all)) if (each != null && each.isAlive()) running++;
    return running == 1
        && Thread.getDefaultUncaughtExceptionHandler() == null
        && PROPERTIES.equals(System.getProperties())
        && LOCALE.equals(Locale.getDefault())
        && ZONE.equals(TimeZone.getDefault());
  }
}
