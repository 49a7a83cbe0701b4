package bentnail;

import java.io.IOException;
import java.lang.reflect.Array;
import java.lang.reflect.Field;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** What is changed in a recorded run before one of its lines runs (changeWords.ts). The text of the program stays as it is. */
final class StepChange {
  private static final Pattern PART = Pattern.compile("\\s*(?:\\[\\s*(\\d+)\\s*\\]|\\.\\s*(\\w+))");

  final int step;
  final int line;
  /** The variable that is named, and what of it: "" for all of it, else `[1]` or `.load` and so on. */
  final String name;
  final String rest;
  final String value;
  private final List<String> files;

  StepChange(List<String> words) {
    step = Integer.parseInt(words.get(0));
    line = Integer.parseInt(words.get(1));
    String place = words.get(2).trim();
    String whole = place.startsWith("this.") ? place.substring(5).trim() : place;
    int end = 0;
    while (end < whole.length() && Character.isJavaIdentifierPart(whole.charAt(end))) end++;
    name = whole.substring(0, end);
    rest = whole.substring(end).trim();
    value = words.get(3);
    files = words.subList(4, words.size());
  }

  /** Nothing is to be changed: the files are asked for. */
  boolean tellsFiles() {
    return name.isEmpty() && files.isEmpty();
  }

  /** The files of the case's folder with what they hold, but those of the program, as a token. */
  static String filesHere() {
    StringBuilder found = new StringBuilder("[");
    int count = 0;
    try (java.util.stream.Stream<Path> paths = Files.walk(Path.of(""))) {
      for (Path path : (Iterable<Path>) paths.sorted()::iterator) {
        String shown = path.toString();
        if (!Files.isRegularFile(path) || shown.matches(".*\\.(class|java|sketch|pde)") || count == 40) continue;
        byte[] bytes = Files.readAllBytes(path);
        String text = new String(bytes, 0, Math.min(bytes.length, 8000), StandardCharsets.UTF_8);
        if (count++ > 0) found.append(',');
        found.append('[').append(Json.quote(shown)).append(',').append(Json.quote(text)).append(']');
      }
    } catch (IOException | java.io.UncheckedIOException problem) {
      // What was found until then is told.
    }
    return found.append(']').toString();
  }

  /** Alters and takes away files; gives words where that failed, else null. */
  String changeFiles() {
    for (int at = 0; at + 1 < files.size(); at += 2) {
      Path path = Path.of(files.get(at));
      try {
        if (files.get(at + 1).isEmpty()) Files.delete(path);
        else Files.write(path, files.get(at + 1).substring(1).getBytes(StandardCharsets.UTF_8));
      } catch (IOException problem) {
        return path + ": " + problem.getClass().getSimpleName();
      }
    }
    return null;
  }

  /** Puts the value into a part of an object; gives words where that failed, else null. */
  String putInto(Object holder) {
    try {
      Matcher part = PART.matcher(rest);
      Object at = holder;
      int from = 0;
      while (part.find(from) && part.start() == from) {
        from = part.end();
        boolean last = from == rest.length();
        if (at == null) return name + " is null here.";
        at = part.group(1) != null ? element(at, Integer.parseInt(part.group(1)), last) : field(at, part.group(2), last);
      }
      return from == rest.length() ? null : rest + " names no element or field.";
    } catch (IndexOutOfBoundsException problem) {
      return name + rest + ": there is no such element.";
    } catch (IllegalArgumentException problem) {
      return problem.getMessage();
    } catch (ReflectiveOperationException problem) {
      return name + rest + " could not be reached.";
    }
  }

  @SuppressWarnings("unchecked")
  private Object element(Object holder, int index, boolean last) {
    if (holder instanceof List) {
      List<Object> list = (List<Object>) holder;
      Object now = list.get(index);
      if (last) list.set(index, Literal.of(now == null ? "Ljava/lang/Object;" : now.getClass().descriptorString(), value));
      return now;
    }
    if (!holder.getClass().isArray()) throw new IllegalArgumentException(name + " has no elements.");
    Object now = Array.get(holder, index);
    if (last) Array.set(holder, index, Literal.of(holder.getClass().getComponentType().descriptorString(), value));
    return now;
  }

  private Object field(Object holder, String of, boolean last) throws ReflectiveOperationException {
    for (Class<?> type = holder.getClass(); type != null && type.getClassLoader() != null; type = type.getSuperclass()) {
      for (Field field : type.getDeclaredFields()) {
        if (!field.getName().equals(of)) continue;
        field.setAccessible(true);
        Object now = field.get(holder);
        if (last) {
          field.set(holder, Literal.of(field.getType().descriptorString(), value));
          Recorder.changedField(holder, of, field.get(holder));
        }
        return now;
      }
    }
    throw new IllegalArgumentException(name + " has no field " + of + " that can be changed.");
  }
}
