package bentnail;

import java.io.ByteArrayOutputStream;
import java.io.DataInputStream;
import java.io.DataOutputStream;
import java.io.IOException;
import java.io.StringWriter;
import java.net.URI;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import javax.tools.FileObject;
import javax.tools.ForwardingJavaFileManager;
import javax.tools.JavaCompiler;
import javax.tools.JavaFileManager;
import javax.tools.JavaFileObject;
import javax.tools.SimpleJavaFileObject;
import javax.tools.StandardLocation;
import javax.tools.ToolProvider;

/**
 * The Java translator, kept running. Reads framed requests from standard input and answers on standard output, each as u32 length of a
 * head, the head, u32 length of a body, the body (little endian). Heads are plain text with one item a line.
 *
 * <p>Request head: "translate" or "record", then "name size" for each file; body: the files. Answer head: JSON {ok, main, text size,
 * classes: [[name, size]]}; body: what the translator said, then the classes. Behind "together" every file is a program of its own
 * (Together.java); the answer's head is {many: [...]} then. Nothing of the program is run here.
 */
public final class Translator {
  static final List<String> OPTIONS = List.of("-g", "-Xlint:all", "-proc:none", "-implicit:none", "-XDdev=false");
  private static final JavaCompiler COMPILER = ToolProvider.getSystemJavaCompiler();
  /** What drawing sketches can call, by which they are translated. */
  private static String library = "";

  private Translator() {}

  public static void main(String[] arguments) throws IOException {
    if (arguments.length > 0) library = arguments[0];
    DataInputStream in = new DataInputStream(System.in);
    DataOutputStream out = new DataOutputStream(System.out);
    System.setOut(System.err);
    answer(out, "{\"ready\":true,\"version\":\"Java " + Runtime.version().toString().split("[+]")[0] + "\"}", new byte[0]);
    while (true) {
      byte[] head;
      byte[] body;
      try {
        head = in.readNBytes(Integer.reverseBytes(in.readInt()));
        body = in.readNBytes(Integer.reverseBytes(in.readInt()));
      } catch (java.io.EOFException end) {
        return;
      }
      // After a failure of its own the translator ends, so that a fresh one takes its place.
      if (!serve(new String(head, StandardCharsets.UTF_8), body, out)) return;
    }
  }

  /** By the endings of sketches (core/languages/sketch). */
  private static boolean isSketch(String name) {
    return name.endsWith(".sketch") || name.endsWith(".pde");
  }

  private static void answer(DataOutputStream out, String head, byte[] body) throws IOException {
    byte[] headBytes = head.getBytes(StandardCharsets.UTF_8);
    out.writeInt(Integer.reverseBytes(headBytes.length));
    out.write(headBytes);
    out.writeInt(Integer.reverseBytes(body.length));
    out.write(body);
    out.flush();
  }

  private static boolean serve(String head, byte[] body, DataOutputStream out) throws IOException {
    String[] lines = Json.strings(head);
    // What is put in at a step stands behind the word, a line each.
    List<String> wanted = List.of(lines[0].split("\n", 5));
    boolean record = wanted.get(0).equals("record");
    StepChange change = wanted.size() == 5 ? new StepChange(wanted.subList(1, 5)) : null;
    List<Source> sources = new ArrayList<>();
    int at = 0;
    for (int index = 1; index + 1 < lines.length; index += 2) {
      int size = Integer.parseInt(lines[index + 1]);
      String text = new String(body, at, size, StandardCharsets.UTF_8);
      at += size;
      sources.add(new Source(lines[index], text));
    }
    if (wanted.get(0).equals("together")) {
      Together.Answer all = Together.translate(COMPILER, sources);
      answer(out, all.head(), all.body());
      return all.sound();
    }
    StringWriter said = new StringWriter();
    boolean isSketch = !sources.isEmpty() && isSketch(sources.get(0).getName());
    Memory files = new Memory(COMPILER.getStandardFileManager(null, null, StandardCharsets.UTF_8), isSketch);
    List<String> options = new ArrayList<>(OPTIONS);
    if (isSketch) options.addAll(List.of("-cp", library));
    boolean translated;
    boolean sound = true;
    try {
      List<Source> programs = new ArrayList<>();
      for (Source source : sources) if (source.getName().endsWith(".java") || (isSketch && source == sources.get(0))) programs.add(source);
      translated = COMPILER.getTask(said, files, null, options, null, programs).call();
    } catch (Throwable failure) {
      translated = false;
      sound = false;
      said.write("error: the translator gave up: " + failure + "\n");
    }
    ByteArrayOutputStream answerBody = new ByteArrayOutputStream();
    String main = translated ? MainClass.find(files.classes, sources.isEmpty() ? "" : sources.get(0).getName()) : "";
    Map<String, byte[]> made = translated && record ? Instrument.all(files.classes, sources, change) : files.classes;
    answer(out, tell(translated, main, said.toString(), made, answerBody), answerBody.toByteArray());
    return sound;
  }

  /** The head of an answer about one program; what was said and the classes made are put at the end of the body. */
  static String tell(boolean ok, String main, String said, Map<String, byte[]> made, ByteArrayOutputStream body) {
    byte[] text = said.getBytes(StandardCharsets.UTF_8);
    body.writeBytes(text);
    StringBuilder classes = new StringBuilder();
    if (ok) {
      for (Map.Entry<String, byte[]> each : made.entrySet()) {
        if (classes.length() > 0) classes.append(',');
        classes.append('[').append(Json.quote(each.getKey() + ".class")).append(',').append(each.getValue().length).append(']');
        body.writeBytes(each.getValue());
      }
    }
    return "{\"ok\":" + ok + ",\"main\":" + Json.quote(main) + ",\"text\":" + text.length + ",\"classes\":[" + classes + "]}";
  }

  /** A file of the case. It may hold a public class of any name. */
  static final class Source extends SimpleJavaFileObject {
    private final String name;
    final String text;

    Source(String name, String text) {
      super(URI.create("case:///" + name.replaceAll("[^\\w./-]", "_")), Kind.SOURCE);
      this.name = name;
      this.text = text;
    }

    @Override
    public CharSequence getCharContent(boolean ignoreEncodingErrors) {
      return text;
    }

    @Override
    public String getName() {
      return name;
    }

    @Override
    public boolean isNameCompatible(String simpleName, Kind kind) {
      return true;
    }
  }

  /** Keeps the classes in memory, in the order in which they were made, by their name with slashes. */
  static final class Memory extends ForwardingJavaFileManager<JavaFileManager> {
    final Map<String, byte[]> classes = new LinkedHashMap<>();
    private final boolean seesLibrary;

    Memory(JavaFileManager manager, boolean seesLibrary) {
      super(manager);
      this.seesLibrary = seesLibrary;
    }

    @Override
    public JavaFileObject getJavaFileForOutput(Location location, String className, JavaFileObject.Kind kind, FileObject sibling) {
      return new SimpleJavaFileObject(URI.create("made:///" + className.replace('.', '/').replaceAll("[^\\w./-]", "_")), kind) {
        @Override
        public ByteArrayOutputStream openOutputStream() {
          return new ByteArrayOutputStream() {
            @Override
            public void close() {
              classes.put(className.replace('.', '/'), toByteArray());
            }
          };
        }
      };
    }

    @Override
    public Iterable<JavaFileObject> list(Location location, String packageName, java.util.Set<JavaFileObject.Kind> kinds, boolean recurse) throws IOException {
      if (location == StandardLocation.CLASS_PATH && !seesLibrary) return List.of();
      return super.list(location, packageName, kinds, recurse);
    }
  }

}
