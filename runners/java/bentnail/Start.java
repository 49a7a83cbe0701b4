package bentnail;

import java.lang.reflect.InvocationTargetException;
import java.lang.reflect.Method;

/** Starts an instrumented program: Start STEPS MAIN-CLASS (with its own arguments behind blanks), and what is changed at a step (StepChange). */
public final class Start {
  private Start() {}

  public static void main(String[] arguments) throws Throwable {
    Recorder.start(Integer.parseInt(arguments[0]), arguments.length > 2 ? new StepChange(java.util.List.of(arguments).subList(2, arguments.length)) : null);
    String[] begin = arguments[1].split(" ");
    Method main = Class.forName(begin[0]).getMethod("main", String[].class);
    main.setAccessible(true);
    try {
      main.invoke(null, (Object) java.util.Arrays.copyOfRange(begin, 1, begin.length));
    } catch (InvocationTargetException problem) {
      Throwable cause = problem.getCause();
      // The calls below main are this starter's; the program is to look as if it had been started by itself.
      for (Throwable each = cause; each != null; each = each.getCause()) {
        StackTraceElement[] calls = each.getStackTrace();
        int end = calls.length;
        while (end > 0 && !calls[end - 1].getClassName().equals(begin[0]) && (calls[end - 1].getClassName().startsWith("bentnail.") || calls[end - 1].getClassName().startsWith("java.") || calls[end - 1].getClassName().startsWith("jdk."))) end--;
        each.setStackTrace(java.util.Arrays.copyOf(calls, end));
      }
      throw cause;
    }
  }
}
