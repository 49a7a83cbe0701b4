package bentnail;

import java.io.ByteArrayOutputStream;
import java.io.StringWriter;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import javax.tools.JavaCompiler;
import javax.tools.JavaFileManager;

/**
 * Translates many programs of one file each in one task, so that what they have in common is read once: each in a package of its own, whose
 * name is the folder of its file ("bn3_/Ferry.java"). One that is refused keeps none of the others from being translated.
 */
final class Together {
  private Together() {}

  /** Tasks at most: what stands in the way of an earlier step of the translator hides what a later one would say. */
  private static final int ROUNDS = 8;
  /** Kept from one task to the next: it holds no program, only what the machine's own classes are. */
  private static JavaFileManager library;

  record Answer(String head, byte[] body, boolean sound) {}

  static Answer translate(JavaCompiler compiler, List<Translator.Source> programs) {
    if (library == null) library = compiler.getStandardFileManager(null, null, StandardCharsets.UTF_8);
    Map<String, Said> said = new HashMap<>();
    List<Translator.Source> left = new ArrayList<>();
    for (Translator.Source program : programs) left.add(new Translator.Source(program.getName(), "package " + folder(program) + "; " + program.text));
    List<Translator.Source> all = List.copyOf(left);
    List<String> options = new ArrayList<>(Translator.OPTIONS);
    options.addAll(List.of("-Xmaxerrs", "100000", "-Xmaxwarns", "100000"));
    Map<String, byte[]> made = Map.of();
    boolean sound = true;
    boolean done = false;
    for (int round = 0; round < ROUNDS && !done && !left.isEmpty(); round++) {
      for (Translator.Source each : left) said.put(folder(each), new Said());
      Translator.Memory files = new Translator.Memory(library, false);
      StringWriter words = new StringWriter();
      try {
        done = compiler.getTask(words, files, null, options, null, left).call();
        made = files.classes;
      } catch (Throwable failure) {
        sound = false;
        break;
      }
      share(words.toString(), said);
      if (!done && !left.removeIf(each -> said.get(folder(each)).errors > 0)) break;
    }
    ByteArrayOutputStream body = new ByteArrayOutputStream();
    StringBuilder heads = new StringBuilder();
    for (Translator.Source each : all) {
      String folder = folder(each);
      Said words = said.get(folder);
      boolean isRefused = words != null && words.errors > 0;
      Map<String, byte[]> own = new LinkedHashMap<>();
      if (done && !isRefused) made.forEach((name, bytes) -> {
        if (name.startsWith(folder + "/")) own.put(name, bytes);
      });
      String name = each.getName().substring(folder.length() + 1);
      heads.append(heads.length() > 0 ? "," : "");
      // What is neither refused nor made is asked for alone.
      if (words == null || !isRefused && own.isEmpty()) heads.append("null");
      else heads.append(Translator.tell(!isRefused, isRefused ? "" : MainClass.find(own, name), words.told().replace(each.getName(), name).replace(folder + ".", ""), own, body));
    }
    return new Answer("{\"many\":[" + heads + "]}", body.toByteArray(), sound);
  }

  private static String folder(Translator.Source program) {
    return program.getName().substring(0, program.getName().indexOf('/'));
  }

  /** What was said of one program. */
  private static final class Said {
    final StringBuilder words = new StringBuilder();
    int errors;
    int warnings;

    /** With the counts that the translator says at the end. */
    String told() {
      return words + counted(errors, "error") + counted(warnings, "warning");
    }
  }

  private static final Pattern PLACE = Pattern.compile("(bn\\d+_)/[^:]*:\\d+: (error|warning): .*");
  /** What stands behind the last message and is about all of them: their counts, and that some are worded simply. */
  private static final Pattern CLOSING = Pattern.compile("(?:(?:\\d+ (?:errors?|warnings?)|Note: .*)\n)+$");

  /** Shares out what was said to the programs that it is about, whose folder stands before each of its messages. */
  private static void share(String words, Map<String, Said> said) {
    Said now = null;
    for (String line : CLOSING.matcher(words).replaceFirst("").split("\n")) {
      Matcher place = PLACE.matcher(line);
      if (place.matches()) {
        now = said.get(place.group(1));
        if (now != null && place.group(2).equals("error")) now.errors++;
        else if (now != null) now.warnings++;
      }
      if (now != null) now.words.append(line).append('\n');
    }
  }

  private static String counted(int count, String word) {
    return count == 0 ? "" : count + " " + word + (count == 1 ? "" : "s") + "\n";
  }
}
