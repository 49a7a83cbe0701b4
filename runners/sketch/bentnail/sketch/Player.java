package bentnail.sketch;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.lang.reflect.Constructor;
import java.lang.reflect.InvocationTargetException;
import java.lang.reflect.Method;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.Locale;

/**
 * Plays a sketch: Player CLASS [picture]. Its setup runs once, then its draw a frame at a time, without waiting. What the user does is read
 * from the input, a line each (docs/sketches.md): `frame N` goes on to that frame. The run is over after frame 60, after the last frame that is named where that is later, or
 * after the very frame where naming it is the last line. With "picture" only the last picture is told, no film.
 */
public final class Player {
  private static final int FRAMES = 60;
  private static final int MOST_FRAMES = 3000;
  private static final Object[] NOTHING = {};

  private final Drawing sketch;
  private final BufferedReader actions = new BufferedReader(new InputStreamReader(System.in, StandardCharsets.UTF_8), 512);
  private int waitsFor = 1;
  private boolean namesFrame;
  private boolean ended;
  private boolean releases;
  private boolean letsGo;

  private Player(Drawing sketch) {
    this.sketch = sketch;
  }

  public static void main(String[] arguments) throws Throwable {
    Drawing sketch = null;
    try {
      ClassLoader classes = Thread.currentThread().getContextClassLoader();
      Constructor<?> made = Class.forName(arguments[0], true, classes).getDeclaredConstructor();
      made.setAccessible(true);
      sketch = (Drawing) made.newInstance(NOTHING);
      sketch.film.wanted = arguments.length < 2;
      new Player(sketch).play();
    } catch (InvocationTargetException problem) {
      throw ownOnly(problem.getCause());
    } catch (ExceptionInInitializerError problem) {
      throw ownOnly(problem);
    } finally {
      if (sketch != null) sketch.film.finish();
    }
  }

  /** As the machine tells an exception of a program that was started by itself: without the calls that are ours. */
  private static Throwable ownOnly(Throwable problem) {
    for (Throwable each = problem; each != null; each = each.getCause()) {
      StackTraceElement[] calls = each.getStackTrace();
      int end = calls.length;
      while (end > 0 && isOurs(calls[end - 1].getClassName())) end--;
      each.setStackTrace(Arrays.copyOf(calls, end));
    }
    return problem;
  }

  private static boolean isOurs(String name) {
    return name.startsWith("bentnail.") || name.startsWith("java.lang.reflect.") || name.startsWith("jdk.internal.reflect.") || name.equals("java.lang.Thread") || name.equals("java.lang.Class");
  }

  private void play() throws ReflectiveOperationException, IOException {
    call("settings");
    call("setup");
    sketch.film.end(0);
    if (find("draw") == null) return;
    while (!sketch.over && sketch.frameCount < MOST_FRAMES) {
      int frame = sketch.frameCount + 1;
      takeActions(frame);
      if (sketch.over) return;
      // Without looping the first frame is drawn, and each that is asked for.
      boolean draws = sketch.looping || sketch.again || frame == 1;
      boolean waits = !draws && !ended;
      if (!draws && !waits) return;
      sketch.again = false;
      sketch.frameCount = frame;
      if (draws) {
        sketch.beginFrame();
        call("draw");
        sketch.film.end(frame);
      }
      sketch.pmouseX = sketch.mouseX;
      sketch.pmouseY = sketch.mouseY;
      letGo();
      if (ended && (namesFrame ? frame >= waitsFor : frame >= Math.max(FRAMES, waitsFor))) return;
    }
  }

  /** What is pressed for one frame only is let go when that is drawn. */
  private void letGo() throws ReflectiveOperationException {
    if (releases) release();
    releases = false;
    if (letsGo) keyUp();
    letsGo = false;
  }

  /** The actions before a frame; those behind the name of a later one wait. */
  private void takeActions(int frame) throws ReflectiveOperationException, IOException {
    while (!ended && waitsFor <= frame) {
      String line = actions.readLine();
      if (line == null) {
        ended = true;
        return;
      }
      String[] words = line.trim().split("\\s+");
      if (words[0].isEmpty()) continue;
      namesFrame = words[0].equalsIgnoreCase("frame");
      if (!take(words, line)) System.err.println("Not understood of what the user does: \"" + line.trim() + "\"");
    }
  }

  private boolean take(String[] words, String line) throws ReflectiveOperationException {
    switch (words[0].toLowerCase(Locale.ROOT)) {
      case "frame":
        return words.length == 2 && words[1].matches("\\d{1,4}") && waitFor(Integer.parseInt(words[1]));
      case "mouse":
        return words.length == 3 && move(words[1], words[2]);
      case "press":
        return words.length <= 2 && press(words.length == 2 ? words[1] : "left");
      case "release":
        release();
        return words.length == 1;
      case "click":
        if (words.length != 1 && words.length != 3 && words.length != 4) return false;
        if (words.length > 1 && !move(words[1], words[2])) return false;
        releases = press(words.length == 4 ? words[3] : "left");
        return releases;
      case "key":
        letsGo = keyDown(line);
        return letsGo;
      case "keydown":
        return keyDown(line);
      case "keyup":
        keyUp();
        return true;
      default:
        return false;
    }
  }

  private boolean waitFor(int frame) {
    waitsFor = Math.max(waitsFor, frame);
    return true;
  }

  private boolean move(String x, String y) throws ReflectiveOperationException {
    if (!x.matches("-?\\d{1,6}") || !y.matches("-?\\d{1,6}")) return false;
    sketch.mouseX = Integer.parseInt(x);
    sketch.mouseY = Integer.parseInt(y);
    call(sketch.mousePressed ? "mouseDragged" : "mouseMoved");
    return true;
  }

  private boolean press(String button) throws ReflectiveOperationException {
    int known = button.equals("left") ? Drawing.LEFT : button.equals("right") ? Drawing.RIGHT : button.equals("middle") ? Drawing.CENTER : 0;
    if (known == 0) return false;
    sketch.mouseButton = known;
    sketch.mousePressed = true;
    call("mousePressed");
    return true;
  }

  private void release() throws ReflectiveOperationException {
    if (!sketch.mousePressed) return;
    sketch.mousePressed = false;
    call("mouseReleased");
    call("mouseClicked");
  }

  private static final String[] NAMES = {"left", "up", "right", "down", "shift", "control", "alt", "space", "enter", "tab", "backspace", "delete", "escape"};
  private static final int[] CODES = {37, 38, 39, 40, 16, 17, 18, 32, 10, 9, 8, 127, 27};
  private static final int CODED_NAMES = 7;

  private boolean keyDown(String line) throws ReflectiveOperationException {
    String name = line.trim().replaceFirst("^\\S+\\s*", "");
    int at = Arrays.asList(NAMES).indexOf(name.toLowerCase(Locale.ROOT));
    if (at < 0 && name.length() != 1) return false;
    sketch.key = at < 0 ? name.charAt(0) : at < CODED_NAMES ? Drawing.CODED : (char) CODES[at];
    sketch.keyCode = at < 0 ? Character.toUpperCase(name.charAt(0)) : CODES[at];
    sketch.keyPressed = true;
    call("keyPressed");
    if (sketch.key != Drawing.CODED) call("keyTyped");
    return true;
  }

  private void keyUp() throws ReflectiveOperationException {
    if (!sketch.keyPressed) return;
    sketch.keyPressed = false;
    call("keyReleased");
  }

  /** A function of the sketch without parameters; null where it has none of this name. */
  private Method find(String name) {
    for (Method each : sketch.getClass().getDeclaredMethods()) if (each.getName().equals(name) && each.getParameterCount() == 0) return each;
    return null;
  }

  private void call(String name) throws ReflectiveOperationException {
    Method method = find(name);
    if (method == null) return;
    method.setAccessible(true);
    method.invoke(sketch, NOTHING);
  }
}
