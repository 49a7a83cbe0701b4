package bentnail;

import java.io.IOException;
import java.io.RandomAccessFile;
import java.lang.reflect.Array;
import java.lang.reflect.Field;
import java.lang.reflect.Modifier;
import java.nio.ByteOrder;
import java.nio.MappedByteBuffer;
import java.nio.channels.FileChannel;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.IdentityHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;

/**
 * Writes what every executed line of an instrumented program did (see Instrument), as the stream of tokens that the Python recorder
 * describes, to descriptor 60 (commands.py says how). Only the main thread is recorded. No method of the program is called here.
 */
public final class Recorder {
  /** What a sketch does outside of its functions. */
  static final String START = "start";
  private static final int HEADER = 16;
  private static final int CHUNK = 64;
  private static final int MOST_ITEMS = 200;
  private static final int MOST_DEPTH = 6;
  private static final int MOST_OBJECTS = 20_000;

  private static MappedByteBuffer memory;
  private static int used = HEADER;
  private static final StringBuilder TOKENS = new StringBuilder("[");
  private static int count;
  private static int limit;
  private static Thread own;
  private static final List<Frame> STACK = new ArrayList<>();
  private static int frames;
  private static final Map<String, Integer> COLUMNS = new HashMap<>();
  private static final IdentityHashMap<Object, Integer> IDS = new IdentityHashMap<>();
  private static final Map<Object, String> LIBRARY = new IdentityHashMap<>();
  /** What arrays held when they were last written whole. */
  private static final Map<Object, String> HELD = new IdentityHashMap<>();
  private static boolean changedThrough;
  /** All that long lists held when they were last looked at, of which only the beginning is written. */
  private static final Map<Object, Object[]> LONG = new IdentityHashMap<>();
  private static final int MOST_BEHIND = 3;
  private static Throwable told;
  private static boolean inside;

  private static final class Frame {
    int number;
    int file;
    int line;
    boolean waiting;
    /** The row of its header is the one of its first line, too. */
    boolean begins;
  }

  private static StepChange change;

  private Recorder() {}

  /** Begins. Called once, before anything of the program. */
  static void start(int stepLimit, StepChange toChange) throws IOException {
    change = toChange;
    try (RandomAccessFile file = new RandomAccessFile("/proc/self/fd/60", "rw")) {
      memory = file.getChannel().map(FileChannel.MapMode.READ_WRITE, 0, file.length());
    }
    memory.order(ByteOrder.LITTLE_ENDIAN);
    limit = stepLimit;
    own = Thread.currentThread();
    Runtime.getRuntime().addShutdownHook(new Thread(() -> {
      synchronized (TOKENS) {
        flush();
      }
    }));
  }

  private static boolean off() {
    return inside || Thread.currentThread() != own;
  }

  private static void token(String text) {
    if (TOKENS.length() > 1) TOKENS.append(',');
    TOKENS.append(text);
  }

  private static void flush() {
    if (memory == null) return;
    byte[] data = TOKENS.append(']').toString().getBytes(StandardCharsets.UTF_8);
    TOKENS.setLength(1);
    if (used + 4 + data.length > memory.capacity()) return;
    memory.putInt(used, data.length);
    memory.position(used + 4);
    memory.put(data);
    used += 4 + data.length;
    memory.putInt(0, used);
  }

  private static void begin(int line) {
    count++;
    if (count > limit) {
      flush();
      memory.putInt(12, 1);
      Runtime.getRuntime().halt(0);
    }
    if (count % CHUNK == 0) {
      synchronized (TOKENS) {
        flush();
      }
    }
    memory.putInt(4, line);
    memory.putInt(8, count);
  }

  /** Enters a method; returns the number of its frame, which every other call hands back. */
  public static int enter(int file, int line, String name) {
    if (off()) return -1;
    inside = true;
    sweep();
    if (!STACK.isEmpty()) STACK.get(STACK.size() - 1).waiting = true;
    Frame frame = new Frame();
    frame.number = ++frames;
    frame.file = file;
    frame.line = line;
    frame.begins = name.equals("static") || name.equals(START);
    STACK.add(frame);
    begin(line);
    token("[\"c\"," + frame.number + "," + file + "," + (STACK.size() - 1) + "," + line + "," + Json.quote(name) + "]");
    inside = false;
    return frame.number;
  }

  /** Makes the frame the current one: calls above it are over; a line that was waiting for one goes on. */
  private static boolean current(int number) {
    while (!STACK.isEmpty() && STACK.get(STACK.size() - 1).number != number) STACK.remove(STACK.size() - 1);
    if (STACK.isEmpty()) return false;
    Frame frame = STACK.get(STACK.size() - 1);
    if (frame.waiting) {
      frame.waiting = false;
      begin(frame.line);
      token("[\"r\"," + frame.number + "," + frame.file + "," + (STACK.size() - 1) + "," + frame.line + "]");
    }
    return true;
  }

  /** A line is about to run. */
  public static void line(int number, int line) {
    if (number < 0 || off()) return;
    inside = true;
    if (current(number)) {
      sweep();
      Frame frame = STACK.get(STACK.size() - 1);
      if (!frame.begins || frame.line != line) {
        begin(line);
        token(Integer.toString(line));
      }
      frame.begins = false;
      frame.line = line;
    }
    inside = false;
  }

  /** Whether the value that is to be put in is put in now: the line of that step is about to run. Files are changed here. */
  public static boolean puts(int number) {
    if (number < 0 || off() || change == null || count - 1 != change.step) return false;
    inside = true;
    if (change.tellsFiles()) token("[\"n\"," + StepChange.filesHere() + "]");
    String problem = change.changeFiles();
    inside = false;
    if (problem != null) notChanged(problem);
    return problem == null && !change.name.isEmpty();
  }

  /** Puts the value into a part of what a variable holds. */
  public static void putInto(Object holder) {
    inside = true;
    String problem = change.putInto(holder);
    changedThrough = true;
    inside = false;
    if (problem != null) notChanged(problem);
  }

  /** A field got the value. */
  static void changedField(Object object, String name, Object value) {
    if (IDS.containsKey(object)) token("[\"o\"," + IDS.get(object) + ",[" + Json.quote(name) + "]," + value(value, 0) + "]");
  }

  /** What was to be changed was not, and why. */
  public static void notChanged(String words) {
    token("[\"w\"," + Json.quote(words) + "]");
  }

  /** The library was given an array, which it may have changed. */
  public static void through(int number) {
    if (number >= 0 && !off()) changedThrough = true;
  }

  /** The scope of a variable is over. */
  public static void ended(int number, String name) {
    if (number < 0 || off()) return;
    Integer column = COLUMNS.get("1" + name);
    if (column == null || STACK.isEmpty() || STACK.get(STACK.size() - 1).number != number || STACK.get(STACK.size() - 1).waiting) return;
    inside = true;
    sweep();
    token("[\"e\"," + column + "]");
    inside = false;
  }

  /** A local variable or parameter got a value. */
  public static void local(int number, Object value, String name) {
    if (number < 0 || off()) return;
    inside = true;
    if (current(number)) write(1, name, value(value, 0));
    inside = false;
  }

  /** A static field got a value. */
  public static void global(int number, Object value, String name) {
    if (number < 0 || off()) return;
    inside = true;
    if (current(number)) write(0, name, value(value, 0));
    inside = false;
  }

  /** A field of an object got a value. */
  public static void field(Object object, Object value, int number, String name) {
    if (number < 0 || off() || object == null) return;
    inside = true;
    if (current(number) && IDS.containsKey(object)) token("[\"o\"," + IDS.get(object) + ",[" + Json.quote(name) + "]," + value(value, 0) + "]");
    inside = false;
  }

  /** An element of an array as an object. */
  public static Object elementOf(Object array, int index) {
    return Array.get(array, index);
  }

  /** An element of an array got a value. */
  public static void element(Object array, int index, Object value, int number) {
    if (number < 0 || off()) return;
    inside = true;
    if (current(number) && IDS.containsKey(array)) token("[\"o\"," + IDS.get(array) + ",[" + index + "]," + value(value, 0) + "]");
    inside = false;
  }

  /** A method is about to return a value. */
  public static void returned(int number, Object value) {
    if (number < 0 || off()) return;
    inside = true;
    if (current(number)) {
      sweep();
      token("[\"v\"," + value(value, 0) + "]");
      leave();
    }
    inside = false;
  }

  /** A method is about to return nothing. */
  public static void returned(int number) {
    if (number < 0 || off()) return;
    inside = true;
    if (current(number)) {
      sweep();
      leave();
    }
    inside = false;
  }

  /** The call is over; the line that made it goes on at once, since it may print before it gives anything a value. */
  private static void leave() {
    STACK.remove(STACK.size() - 1);
    if (!STACK.isEmpty()) {
      current(STACK.get(STACK.size() - 1).number);
      return;
    }
    synchronized (TOKENS) {
      flush();
    }
  }

  /** An exception is caught in this frame. */
  public static void caught(int number, Throwable problem) {
    if (number < 0 || off()) return;
    inside = true;
    raised(problem);
    // The line that called goes no further; the handler's line is next.
    for (Frame frame : STACK) if (frame.number == number) frame.waiting = false;
    while (!STACK.isEmpty() && STACK.get(STACK.size() - 1).number != number) STACK.remove(STACK.size() - 1);
    if (!STACK.isEmpty()) {
      Frame frame = STACK.get(STACK.size() - 1);
      token("[\"f\"," + frame.number + "," + frame.file + "," + (STACK.size() - 1) + "]");
    }
    inside = false;
  }

  /** An exception leaves this frame. */
  public static void thrown(int number, Throwable problem) {
    if (number < 0 || off()) return;
    inside = true;
    raised(problem);
    while (!STACK.isEmpty() && STACK.get(STACK.size() - 1).number != number) STACK.remove(STACK.size() - 1);
    if (!STACK.isEmpty()) STACK.remove(STACK.size() - 1);
    inside = false;
  }

  /** True for a call of the recorder; the library of sketches is no part of it. */
  private static boolean isOurs(StackTraceElement call) {
    return call.getClassName().startsWith("bentnail.") && !call.getClassName().startsWith("bentnail.sketch.");
  }

  private static void raised(Throwable problem) {
    if (problem == told || count == 0) return;
    told = problem;
    StackTraceElement[] calls = problem.getStackTrace();
    if (calls.length > 0 && isOurs(calls[0])) {
      List<StackTraceElement> kept = new ArrayList<>();
      for (StackTraceElement call : calls) if (!isOurs(call)) kept.add(call);
      problem.setStackTrace(kept.toArray(new StackTraceElement[0]));
    }
    String message = problem.getClass().getClassLoader() == null && problem.getMessage() != null ? problem.getMessage() : "";
    token("[\"x\"," + Json.quote(problem.getClass().getSimpleName()) + "," + Json.quote(cut(message)) + "]");
  }

  private static String cut(String text) {
    return text.length() > 200 ? text.substring(0, 200) + "…" : text;
  }

  private static void write(int scope, String name, String value) {
    String key = scope + name;
    Integer column = COLUMNS.get(key);
    if (column == null) {
      column = COLUMNS.size() + 1;
      COLUMNS.put(key, column);
      token("[\"d\"," + column + "," + scope + "," + Json.quote(name) + "]");
    }
    token("-" + column);
    token(value);
  }

  /** What methods of the library changed in collections and texts that were met before. */
  private static void sweep() {
    if (changedThrough) sweep(HELD);
    changedThrough = false;
    if (!LIBRARY.isEmpty()) sweep(LIBRARY);
  }

  private static void sweep(Map<Object, String> held) {
    for (Map.Entry<Object, String> each : new ArrayList<>(held.entrySet())) {
      String items;
      try {
        items = items(each.getKey(), 0);
      } catch (RuntimeException changing) {
        continue;
      }
      if (items.equals(each.getValue())) {
        if (each.getKey() instanceof List) tellBehind((List<?>) each.getKey());
        continue;
      }
      keepLong(each.getKey());
      held.put(each.getKey(), items);
      token("[\"o\"," + IDS.get(each.getKey()) + ",[]," + whole(each.getKey(), items) + "]");
    }
  }

  private static void keepLong(Object value) {
    if (value instanceof List && ((List<?>) value).size() > MOST_ITEMS) LONG.put(value, ((List<?>) value).toArray());
  }

  /** What changed behind the written part of a list: its length, and the last few places. */
  private static void tellBehind(List<?> list) {
    Object[] before = LONG.get(list);
    if (list.size() <= MOST_ITEMS && before == null) return;
    Object[] now = list.toArray();
    int known = before == null ? MOST_ITEMS : before.length;
    List<Integer> changed = new ArrayList<>();
    for (int at = MOST_ITEMS; at < now.length; at++) if (at >= known || !same(before[at], now[at])) changed.add(at);
    LONG.put(list, now);
    if (now.length != known) token("[\"o\"," + IDS.get(list) + ",[\"length\"]," + now.length + "]");
    for (int at : changed.subList(Math.max(0, changed.size() - MOST_BEHIND), changed.size()))
      token("[\"o\"," + IDS.get(list) + ",[" + at + "]," + value(now[at], 1) + "]");
  }

  private static boolean same(Object one, Object other) {
    return one == other || one != null && (one instanceof Number || one instanceof String || one instanceof Character || one instanceof Boolean) && one.equals(other);
  }

  private static String plain(String type, String text) {
    return "[" + Json.quote(type) + "," + Json.quote(text) + "]";
  }

  /** A value as a token: [type, text], or [type, null, id, items, shape, length] where it holds others. */
  private static String value(Object value, int depth) {
    if (value == null) return "[\"null\",\"null\"]";
    if (value instanceof String) return plain("String", "\"" + shown(cut((String) value)) + "\"");
    if (value instanceof Character) return plain("char", "'" + shown(value.toString()) + "'");
    Class<?> type = value.getClass();
    boolean library = type.getClassLoader() == null;
    if (value instanceof Number || value instanceof Boolean) {
      if (library) return plain(type.getSimpleName(), value.toString());
    }
    if (value instanceof Enum) return plain(type.getSimpleName(), ((Enum<?>) value).name());
    if (value instanceof Throwable) return plain(type.getSimpleName(), type.getSimpleName() + (library && ((Throwable) value).getMessage() != null ? ": " + cut(((Throwable) value).getMessage()) : ""));
    // A sketch's own variables are columns of their own.
    if (type.getSuperclass() != null && type.getSuperclass().getName().equals("bentnail.sketch.Drawing")) return plain("sketch", "(sketch)");
    boolean holds = type.isArray() || (library ? watched(value) : !type.isSynthetic() && !type.isHidden());
    if (!holds || depth > MOST_DEPTH) return plain(title(type), "(" + title(type) + ")");
    Integer known = IDS.get(value);
    if (known != null) return "[" + Json.quote(title(type)) + ",null," + known + "]";
    if (IDS.size() >= MOST_OBJECTS) return plain(title(type), "…");
    IDS.put(value, IDS.size() + 1);
    String items = items(value, depth);
    if (type.isArray()) HELD.put(value, items);
    else if (library) LIBRARY.put(value, items);
    keepLong(value);
    return whole(value, items);
  }

  private static String whole(Object value, String items) {
    Class<?> type = value.getClass();
    int length = type.isArray() ? Array.getLength(value) : value instanceof Collection ? ((Collection<?>) value).size() : 0;
    String title = shape(value).equals("l") ? "list" : title(type);
    return "[" + Json.quote(title) + ",null," + IDS.get(value) + "," + items + ",\"" + shape(value) + "\"" + (length > MOST_ITEMS ? "," + length : "") + "]";
  }

  private static String title(Class<?> type) {
    if (type.isHidden() || type.isSynthetic()) return "function";
    String name = type.getSimpleName();
    return name.isEmpty() ? "object" : name;
  }

  /** Things of the library whose contents are shown. */
  private static boolean watched(Object value) {
    return value instanceof Collection || value instanceof Map || value instanceof StringBuilder || value instanceof StringBuffer;
  }

  private static String shape(Object value) {
    if (value.getClass().isArray()) return "l";
    if (value instanceof Set) return "s";
    if (value instanceof Collection) return "l";
    if (value instanceof Map) return "d";
    return "o";
  }

  private static String items(Object value, int depth) {
    StringBuilder out = new StringBuilder("[");
    if (value.getClass().isArray()) {
      int length = Math.min(Array.getLength(value), MOST_ITEMS);
      for (int index = 0; index < length; index++) {
        if (index > 0) out.append(',');
        out.append(value(Array.get(value, index), depth + 1));
      }
    } else if (value instanceof StringBuilder || value instanceof StringBuffer) {
      out.append("[\"text\",").append(plain("String", "\"" + shown(cut(value.toString())) + "\"")).append(']');
    } else if (value instanceof Collection) {
      int index = 0;
      for (Object item : (Collection<?>) value) {
        if (index >= MOST_ITEMS) break;
        if (index++ > 0) out.append(',');
        out.append(value(item, depth + 1));
      }
    } else if (value instanceof Map) {
      int index = 0;
      for (Map.Entry<?, ?> item : ((Map<?, ?>) value).entrySet()) {
        if (index >= MOST_ITEMS) break;
        if (index++ > 0) out.append(',');
        out.append('[').append(Json.quote(key(item.getKey()))).append(',').append(value(item.getValue(), depth + 1)).append(']');
      }
    } else {
      boolean first = true;
      for (Class<?> type = value.getClass(); type != null && type.getClassLoader() != null; type = type.getSuperclass()) {
        for (Field field : type.getDeclaredFields()) {
          if (Modifier.isStatic(field.getModifiers()) || field.isSynthetic()) continue;
          try {
            field.setAccessible(true);
            if (!first) out.append(',');
            first = false;
            out.append('[').append(Json.quote(field.getName())).append(',').append(value(field.get(value), depth + 1)).append(']');
          } catch (ReflectiveOperationException | RuntimeException hidden) {
            continue;
          }
        }
      }
    }
    return out.append(']').toString();
  }

  private static String key(Object key) {
    if (key instanceof String) return "\"" + shown(cut((String) key)) + "\"";
    if (key instanceof Character) return "'" + key + "'";
    if (key == null || key.getClass().getClassLoader() == null) return cut(String.valueOf(key));
    if (key instanceof Enum) return ((Enum<?>) key).name();
    return "(" + title(key.getClass()) + ")";
  }

  private static String shown(String text) {
    return text.replace("\\", "\\\\").replace("\n", "\\n").replace("\t", "\\t").replace("\r", "\\r").replace("\"", "\\\"");
  }
}
