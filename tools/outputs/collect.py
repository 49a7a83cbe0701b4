#!/usr/bin/env python3
"""
Makes the collection of real outputs that the readers are tested on: core/languages/collection/<family>.jsonl, one JSON object a line,
{family, what, program: {name: text}, output, truth: [{severity, file, line, column?, message}], from}. `truth` comes from the tool's own
machine-readable mode where it has one; "from" says which. Usage: collect.py FAMILY ... (see FAMILIES at the end). Needs the tools.
"""

import json
import os
import re
import shutil
import subprocess
import sys
import tempfile
import xml.etree.ElementTree

from plant import BASES, STOPS, spread, variants

HERE = os.path.dirname(os.path.abspath(__file__))
TARGET = os.path.join(HERE, "../../core/languages/collection")
ENVIRONMENT = {**os.environ, "LC_ALL": "C.UTF-8", "TERM": "dumb"}


def call(arguments, folder, text=None):
    done = subprocess.run(arguments, cwd=folder, input=text, capture_output=True, text=True, errors="replace", env=ENVIRONMENT, timeout=60)
    return done


def ends(arguments, folder):
    """The same, or None for a program that a planted fault keeps from ending."""
    try:
        return subprocess.run(arguments, cwd=folder, capture_output=True, text=True, errors="replace", env=ENVIRONMENT, timeout=5)
    except subprocess.TimeoutExpired:
        return None


class Folder:
    """A fresh folder with a program in it."""

    def __init__(self, name, text):
        self.path = tempfile.mkdtemp(prefix="outputs-")
        with open(os.path.join(self.path, name), "w", encoding="utf-8") as file:
            file.write(text)

    def __enter__(self):
        return self.path

    def __exit__(self, *_):
        shutil.rmtree(self.path, ignore_errors=True)


def planted(language, count):
    for name, text in BASES[language]:
        for what, changed in spread(variants(text, ()), count // len(BASES[language])):
            yield name, what, changed


TRUTH_PYTHON = r"""
import json, sys, traceback
name = sys.argv[1]
source = open(name, encoding="utf-8").read()
def words(problem):
    told = traceback.TracebackException.from_exception(problem)
    return told, list(told.format_exception_only())[-1].strip().partition(": ")[2]
try:
    exec(compile(source, name, "exec"), {"__name__": "__main__"})
except SyntaxError as problem:
    told, message = words(problem)
    truth = {"errorName": type(problem).__name__, "line": problem.lineno, "column": told.offset if told.offset and int(told.offset) > 0 else None, "message": message}
except BaseException as problem:
    frame = [f for f in traceback.extract_tb(problem.__traceback__) if f.filename == name][-1]
    # The exception object counts bytes from 0.
    column = None if frame.colno is None else len(source.split("\n")[frame.lineno - 1].encode()[: frame.colno].decode(errors="ignore")) + 1
    truth = {"errorName": type(problem).__name__, "line": frame.lineno, "column": column, "message": words(problem)[1]}
print("\0" + json.dumps(truth), file=sys.stderr)
"""


def python_family(out):
    programs = list(planted("python", 60)) + [("deck.py", "stop", text) for text in STOPS["python"]]
    for name, what, text in programs:
        with Folder(name, text) as folder:
            told = call(["python3.11" if shutil.which("python3.11") else "python3", "-I", name], folder)
            if told.returncode == 0:
                continue
            with open(os.path.join(folder, "truth_of.py"), "w") as file:
                file.write(TRUTH_PYTHON)
            truth = call(["python3", "truth_of.py", name], folder).stderr.split("\0")[-1].strip().split("\n")[-1]
            truth = json.loads(truth)
            truth.update(file=name, severity="error", only="primary")
            out({"what": what, "program": {name: text}, "output": told.stderr, "truth": [truth], "from": "the exception object, CPython 3.11"})


TRUTH_JAVAC = r"""
import java.io.*; import java.nio.charset.*; import java.nio.file.*; import java.util.*; import javax.tools.*;
public class TruthOf {
  static String quote(String text) { StringBuilder b = new StringBuilder("\""); for (char c : text.toCharArray()) b.append(c == '"' || c == '\\' ? "\\" + c : c < 32 ? String.format("\\u%04x", (int) c) : String.valueOf(c)); return b.append('"').toString(); }
  public static void main(String[] args) throws Exception {
    JavaCompiler compiler = ToolProvider.getSystemJavaCompiler();
    for (String list : args) {
      File file = new File(list);
      DiagnosticCollector<JavaFileObject> found = new DiagnosticCollector<>();
      StandardJavaFileManager files = compiler.getStandardFileManager(found, Locale.ROOT, StandardCharsets.UTF_8);
      compiler.getTask(new StringWriter(), files, found, List.of("-Xlint:all", "-d", file.getParent()), null, files.getJavaFileObjects(file)).call();
      StringBuilder out = new StringBuilder("[");
      String text = Files.readString(file.toPath());
      for (Diagnostic<? extends JavaFileObject> each : found.getDiagnostics()) {
        int position = (int) each.getPosition();
        int column = position < 0 ? -1 : position - text.lastIndexOf('\n', position - 1);
        if (out.length() > 1) out.append(",");
        out.append("{\"severity\":\"" + (each.getKind() == Diagnostic.Kind.ERROR ? "error" : each.getKind().toString().contains("WARNING") ? "warning" : "note") + "\",\"file\":" + quote(each.getSource() == null ? "" : file.getName()) + ",\"line\":" + each.getLineNumber() + ",\"column\":" + column + ",\"message\":" + quote(each.getMessage(Locale.ROOT)) + "}");
      }
      System.out.println(out.append("]"));
    }
  }
}
"""


def javac_family(out):
    with Folder("TruthOf.java", TRUTH_JAVAC) as tool:
        assert call(["javac", "TruthOf.java"], tool).returncode == 0
        items = []
        for name, what, text in planted("java", 90):
            folder = Folder(name, text).path
            told = call(["javac", "-Xlint:all", name], folder)
            if told.stderr.strip():
                items.append((folder, name, what, text, told.stderr))
        truths = call(["java", "-cp", tool, "TruthOf", *[os.path.join(item[0], item[1]) for item in items]], tool).stdout.strip().split("\n")
        for (folder, name, what, text, output), truth in zip(items, truths):
            out({"what": what, "program": {name: text}, "output": output, "truth": json.loads(truth), "from": "javax.tools.Diagnostic, JDK 17"})
            shutil.rmtree(folder, ignore_errors=True)


STOPS_JAVA = [
    "int[] loads = {4, 9}; int last = loads[2];",
    "String name = null; System.out.println(name.length());",
    "int cars = 0; System.out.println(12 / cars);",
    'int age = Integer.parseInt("twelve");',
    "Object deck = \"Tern\"; Integer number = (Integer) deck;",
    "java.util.List<Integer> all = new java.util.ArrayList<>(java.util.List.of(1, 2, 3)); for (Integer each : all) all.remove(each);",
    "new java.util.Scanner(\"\").nextInt();",
    "int[] loads = new int[-1];",
    "sail(0);",
    'throw new IllegalStateException("the deck is full\\nby 12");',
    'try { Integer.parseInt("x"); } catch (Exception e) { throw new RuntimeException("bad deck", e); }',
    'try { Integer.parseInt("x"); } catch (Exception e) { RuntimeException outer = new RuntimeException("bad deck"); outer.addSuppressed(e); throw outer; }',
    'System.out.print("Stops? "); "Tern".substring(9);',
    "java.util.List.of(1).add(2);",
    'new java.io.FileReader("absent.txt");',
    'assertDeck(3);',
]
TRUTH_JAVA = r"""
public class TruthOf {
  public static void main(String[] args) throws Exception {
    try { Class.forName("Deck").getMethod("main", String[].class).invoke(null, (Object) new String[0]); }
    catch (java.lang.reflect.InvocationTargetException e) {
      Throwable t = e.getCause(); while (t.getCause() != null) t = t.getCause();
      int line = 0; for (StackTraceElement f : t.getStackTrace()) if (f.getFileName() != null && f.getFileName().equals("Deck.java")) { line = f.getLineNumber(); break; }
      System.err.println("\n" + t.getClass().getSimpleName() + "\t" + line + "\t" + String.valueOf(t.getMessage()).replace("\n", "\\n"));
    }
  }
}
"""


def java_family(out):
    for body in STOPS_JAVA:
        for depth in range(3):
            calls = "".join(f"  static void step{index}() throws Exception {{\n    step{index + 1}();\n  }}\n" for index in range(depth))
            text = f"public class Deck {{\n  static int sail(int n) {{\n    return sail(n + 1) + 1;\n  }}\n  static void assertDeck(int n) {{\n    if (n < 4) throw new Error(\"low tide\");\n  }}\n{calls}  static void step{depth}() throws Exception {{\n    {body}\n  }}\n  public static void main(String[] args) throws Exception {{\n    System.out.println(\"Deck\");\n    step0();\n  }}\n}}\n"
            with Folder("Deck.java", text) as folder:
                with open(os.path.join(folder, "TruthOf.java"), "w") as file:
                    file.write(TRUTH_JAVA)
                assert call(["javac", "Deck.java", "TruthOf.java"], folder).returncode == 0, call(["javac", "Deck.java"], folder).stderr
                told = subprocess.run(["java", "-Xss512k", "Deck"], cwd=folder, stdout=subprocess.PIPE, stderr=subprocess.STDOUT, text=True)
                name, line, message = call(["java", "-Xss512k", "TruthOf"], folder).stderr.strip().split("\n")[-1].split("\t")
                truth = {"severity": "error", "errorName": name, "file": "Deck.java", "line": int(line), "message": "" if message == "null" else message.replace("\\n", "\n"), "only": "primary"}
                out({"what": body[:40], "program": {"Deck.java": text}, "output": told.stdout, "truth": [truth], "from": "the exception object, JDK 17"})


def ecj_family(out):
    for name, what, text in planted("java", 70):
        with Folder(name, text) as folder:
            told = call(["ecj", "-17", "-proc:none", "-warn:+unused", name], folder)
            call(["ecj", "-17", "-proc:none", "-warn:+unused", "-log", "log.xml", name], folder)
            log = os.path.join(folder, "log.xml")
            if not os.path.exists(log):
                continue
            with open(log) as file:
                root = xml.etree.ElementTree.fromstring(re.sub(r"<!DOCTYPE[^>]*>", "", file.read()))
            truth = []
            for problem in root.iter("problem"):
                start = int(problem.get("charStart"))
                truth.append({"severity": problem.get("severity").lower(), "file": name, "line": int(problem.get("line")), "column": start - text.rfind("\n", 0, start), "message": problem.find("message").get("value")})
            if truth:
                out({"what": what, "program": {name: text}, "output": told.stderr or told.stdout, "truth": truth, "from": "its XML log, ecj 3.32"})


def gcc_family(out):
    tabs = [("deck.c", what + ", tabs", text.replace("    ", "\t")) for name, what, text in list(planted("c", 30))]
    for name, what, text in list(planted("c", 70)) + tabs:
        with Folder(name, text) as folder:
            told = call(["gcc", "-Wall", "-Wextra", "-c", name], folder)
            machine = call(["gcc", "-Wall", "-Wextra", "-fdiagnostics-format=json", "-c", name], folder)
            if not told.stderr.strip():
                continue
            truth = []
            def add(each):
                caret = each["locations"][0]["caret"] if each["locations"] else None
                kind = each["kind"]
                item = {"severity": "error" if "error" in kind else kind, "message": each["message"]}
                if caret:
                    source = text.split("\n")[caret["line"] - 1] if caret["line"] <= len(text.split("\n")) else ""
                    item.update(file=caret["file"], line=caret["line"], column=len(source.encode()[: caret["byte-column"] - 1].decode(errors="ignore")) + 1)
                truth.append(item)
                for child in each.get("children", []):
                    add(child)
            for each in json.loads(machine.stderr.split("\n")[0] or "[]"):
                add(each)
            out({"what": what, "program": {name: text}, "output": told.stderr, "truth": truth, "from": "-fdiagnostics-format=json, gcc 12"})


def clang_family(out):
    sys.path[:0] = ["/usr/lib/python3/dist-packages", "/usr/lib/llvm-14/lib/python3/dist-packages"]
    import clang.cindex

    clang.cindex.Config.set_library_file("/usr/lib/llvm-14/lib/libclang.so.1")
    index = clang.cindex.Index.create()
    tabs = [("deck.c", what + ", tabs", text.replace("    ", "\t")) for name, what, text in list(planted("c", 16))]
    for name, what, text in list(planted("c", 60)) + tabs:
        with Folder(name, text) as folder:
            told = call(["clang", "-Wall", "-Wextra", "-c", name], folder)
            if not told.stderr.strip():
                continue
            unit = index.parse(os.path.join(folder, name), args=["-Wall", "-Wextra", "-fspell-checking"])
            truth = []
            def add(each):
                severity = {1: "note", 2: "warning", 3: "error", 4: "error"}[each.severity]
                own = os.path.basename(str(each.location.file)) == name
                source = dict(enumerate(text.split("\n"), 1)).get(each.location.line, "") if own else " " * 500
                truth.append({"severity": severity, "file": os.path.basename(str(each.location.file)), "line": each.location.line, "column": len(source.encode()[: each.location.column - 1].decode(errors="ignore")) + 1, "message": each.spelling})
                for child in each.children:
                    add(child)
            for each in unit.diagnostics:
                add(each)
            out({"what": what, "program": {name: text}, "output": told.stderr, "truth": truth, "from": "libclang 14"})


STOPS_C = [
    ("int *place = 0; *place = 4;", "SIGSEGV"),
    ("int cars = count - 3; printf(\"%d\\n\", 12 / cars);", "SIGFPE"),
    ("abort();", "SIGABRT"),
    ("int loads[3] = {1, 2, 3}; printf(\"%d\\n\", loads[count]);", "index"),
    ("int *p = malloc(8); free(p); p[0] = 3;", "free"),
    ("int *p = malloc(8); p[2] = 3; printf(\"%d\\n\", p[2]);", "heap"),
    ("int big = 2147483647; big += count; printf(\"%d\\n\", big);", "overflow"),
    ("assert(count > 4);", "assert"),
]


def c_stops_family(out):
    for body, kind in STOPS_C:
        for depth in range(3):
            calls = "".join(f"static void step{index + 1}(int count);\nstatic void step{index}(int count)\n{{\n    step{index + 1}(count);\n}}\n" for index in range(depth))
            text = f"#include <assert.h>\n#include <stdio.h>\n#include <stdlib.h>\n{calls}static void step{depth}(int count)\n{{\n    {body}\n}}\nint main(void)\n{{\n    puts(\"Deck\");\n    step0(3);\n    return 0;\n}}\n"
            line = text[: text.index(body)].count("\n") + 1
            with Folder("deck.c", text) as folder:
                ways = []
                if kind in ("SIGSEGV", "SIGFPE", "SIGABRT", "assert"):
                    call(["gcc", "-g", "-w", "-O0", "deck.c", "-o", "deck"], folder)
                    ways.append(("shell", call(["bash", "-c", "./deck; exit $?"], folder)))
                    ways.append(("gdb", call(["gdb", "-q", "-batch", "-ex", "run", "-ex", "bt", "./deck"], folder)))
                if kind in ("free", "heap", "SIGSEGV"):
                    call(["gcc", "-g", "-w", "-fsanitize=address", "deck.c", "-o", "deck"], folder)
                    ways.append(("address sanitizer", call(["./deck"], folder)))
                if kind in ("index", "overflow", "SIGFPE"):
                    call(["gcc", "-g", "-w", "-fsanitize=undefined", "deck.c", "-o", "deck"], folder)
                    ways.append(("undefined behaviour sanitizer", call(["./deck"], folder)))
                for way, told in ways:
                    output = told.stderr if way != "gdb" else told.stdout + told.stderr
                    truth = {"severity": "error", "file": "deck.c", "line": line, "only": "first"}
                    if way == "shell" and kind != "assert":
                        truth = {"severity": "error", "errorName": kind, "only": "first"}
                    if way == "gdb":
                        truth["errorName"] = "SIGABRT" if kind == "assert" else kind
                        truth["only"] = "any"
                    if output.strip():
                        out({"what": f"{kind} in a {way}, depth {depth}", "program": {"deck.c": text}, "output": output, "truth": [truth], "from": "the place where it was planted, gcc 12"})


TRUTH_MCS = r"""
using System; using System.Collections.Generic; using System.Reflection; using Mono.CSharp;
class Told : ReportPrinter {
  static string Quote(string text) { var b = new System.Text.StringBuilder("\""); foreach (char c in text) b.Append(c == '"' || c == '\\' ? "\\" + c : c < 32 ? string.Format("\\u{0:x4}", (int) c) : c.ToString()); return b.Append('"').ToString(); }
  public static List<string> all = new List<string>();
  public override void Print(AbstractMessage m, bool full) {
    base.Print(m, full);
    all.Add("{\"severity\":\"" + (m.IsWarning ? "warning" : "error") + "\",\"code\":\"CS" + m.Code.ToString("0000") + "\",\"line\":" + m.Location.Row + ",\"column\":" + m.Location.Column + ",\"message\":" + Quote(m.Text) + "}");
  }
}
class TruthOf {
  static void Main(string[] args) {
    foreach (var file in args) {
      Told.all.Clear();
      var printer = new Told();
      var settings = new CommandLineParser(Console.Out).ParseArguments(new[] { "-out:Deck.exe", "-target:exe", file });
      var context = new CompilerContext(settings, printer);
      var driver = Activator.CreateInstance(typeof(CompilerContext).Assembly.GetType("Mono.CSharp.Driver"), BindingFlags.Instance | BindingFlags.Public | BindingFlags.NonPublic, null, new object[] { context }, null);
      try { driver.GetType().GetMethod("Compile", BindingFlags.Instance | BindingFlags.Public | BindingFlags.NonPublic).Invoke(driver, null); } catch (Exception e) { Console.Error.WriteLine(e); }
      Console.WriteLine("[" + string.Join(",", Told.all) + "]");
    }
  }
}
"""


def mcs_family(out):
    with Folder("TruthOf.cs", TRUTH_MCS) as tool:
        built = call(["mcs", "-r:/usr/lib/mono/4.5/mcs.exe", "TruthOf.cs"], tool)
        assert built.returncode == 0, built.stderr
        shutil.copy("/usr/lib/mono/4.5/mcs.exe", tool)
        for name, what, text in planted("csharp", 80):
            with Folder(name, text) as folder:
                told = call(["mcs", name], folder)
                output = told.stderr + told.stdout
                if "CS" not in output:
                    continue
                answer = call(["mono", os.path.join(tool, "TruthOf.exe"), os.path.join(folder, name)], folder)
                truth = json.loads(answer.stdout.strip().split("\n")[-1])
                for each in truth:
                    each["file"] = name
                    if each["column"] <= 0 or each["code"] == "CS5001":
                        del each["column"], each["line"], each["file"]
                out({"what": what, "program": {name: text}, "output": output, "truth": truth, "from": "the compiler's own report printer, mcs 6.8"})


STOPS_CS = [
    "int[] loads = {4, 9}; Console.WriteLine(loads[count]);",
    "string name = null; Console.WriteLine(name.Length);",
    "int cars = count - 3; Console.WriteLine(12 / cars);",
    'int age = int.Parse("twelve");',
    'object deck = "Tern"; int number = (int) deck;',
    'var all = new System.Collections.Generic.Dictionary<string, int>(); Console.WriteLine(all["x"]);',
    'throw new InvalidOperationException("the deck is full");',
    'try { int.Parse("x"); } catch (Exception e) { throw new Exception("bad deck", e); }',
    'var all = new System.Collections.Generic.List<int> {1, 2}; foreach (var each in all) all.Add(3);',
    'Console.WriteLine("Tern".Substring(9));',
    'System.IO.File.ReadAllText("absent.txt");',
    'checked { int big = int.MaxValue; big += count; }',
    'throw new AggregateException("both", new Exception("one"), new Exception("two"));',
    'new System.Collections.Generic.List<int>()[0] = 4;',
    'Console.WriteLine(Convert.ToInt32("deck"));',
]
TRUTH_CS = r"""
using System; using System.Diagnostics;
class TruthOf { static void Main(string[] a) {
  try { typeof(Deck).GetMethod("Main", System.Reflection.BindingFlags.Static | System.Reflection.BindingFlags.NonPublic).Invoke(null, null); }
  catch (System.Reflection.TargetInvocationException e) {
    Exception x = e.InnerException; while (x.InnerException != null && !(x is AggregateException)) x = x.InnerException;
    int line = 0; foreach (var f in new StackTrace(x, true).GetFrames()) if (f.GetFileName() != null && f.GetFileName().EndsWith("Deck.cs")) { line = f.GetFileLineNumber(); break; }
    Console.Error.WriteLine("\n" + x.GetType().Name + "\t" + line + "\t" + x.Message.Replace("\n", "\\n")); } } }
"""


def mono_family(out):
    for body in STOPS_CS:
        for depth in range(3):
            calls = "".join(f"    static void Step{index}(int count)\n    {{\n        Step{index + 1}(count);\n    }}\n" for index in range(depth))
            text = f"using System;\npublic class Deck\n{{\n{calls}    static void Step{depth}(int count)\n    {{\n        {body}\n    }}\n    static void Main()\n    {{\n        Console.WriteLine(\"Deck\");\n        Step0(3);\n    }}\n}}\n"
            with Folder("Deck.cs", text) as folder:
                with open(os.path.join(folder, "TruthOf.cs"), "w") as file:
                    file.write(TRUTH_CS)
                assert call(["mcs", "-debug", "-out:deck.exe", "Deck.cs"], folder).returncode == 0, body
                call(["mcs", "-debug", "-out:truth.exe", "-main:TruthOf", "Deck.cs", "TruthOf.cs"], folder)
                told = subprocess.run(["mono", "--debug", "-O=-inline", "deck.exe"], cwd=folder, stdout=subprocess.PIPE, stderr=subprocess.STDOUT, text=True)
                answer = call(["mono", "--debug", "-O=-inline", "truth.exe"], folder).stderr.strip().split("\n")[-1].split("\t")
                if len(answer) != 3:
                    print("no truth:", body, answer, file=sys.stderr)
                    continue
                name, line, message = answer
                truth = {"severity": "error", "errorName": name, "file": "Deck.cs", "line": int(line), "message": message.replace("\\n", "\n"), "only": "any"}
                out({"what": body[:40], "program": {"Deck.cs": text}, "output": told.stdout, "truth": [truth], "from": "the exception object, mono 6.8"})


def fpc_family(out):
    for name, what, text in planted("pascal", 80):
        with Folder(name, text) as folder:
            told = call(["fpc", "-vewnh", "-l-", name], folder)
            machine = call(["fpc", "-vewnhqb", "-l-", name], folder)
            output = told.stdout
            if "(" not in output or told.returncode == 0 and "Warning" not in output and "Note" not in output:
                continue
            truth = []
            # No machine-readable mode: the form with full path and number is split at its fixed signs.
            for line in machine.stdout.split("\n"):
                if not line.startswith(folder) and not line.startswith("/"):
                    continue
                head, _, rest = line.partition(") ")
                path, _, place = head.rpartition("(")
                word, _, rest = rest.partition(": ")
                if not place or not rest.startswith("("):
                    continue
                message = rest.partition(") ")[2]
                if message.startswith("There were"):
                    continue
                numbers = place.split(",")
                truth.append({"severity": {"Fatal": "error", "Error": "error", "Warning": "warning", "Note": "note", "Hint": "note"}[word], "file": os.path.basename(path), "line": int(numbers[0]), **({"column": int(numbers[1])} if len(numbers) > 1 else {}), "message": message})
            if truth:
                out({"what": what, "program": {name: text}, "output": output, "truth": truth, "from": "the same messages with path and number, fpc 3.2"})


STOPS_PASCAL = [
    ("writeln(12 div zero);", "Runtime error 200", "EDivByZero"),
    ("{$R+} writeln(loads[zero + 9]);", "Runtime error 201", "ERangeError"),
    ("{$Q+} zero := maxint; zero := zero + zero + maxint;", "Runtime error 215", "EIntOverflow"),
    ("place^ := 4;", "Runtime error 216", "EAccessViolation"),
    ("assign(boats, 'absent.txt'); reset(boats);", "Runtime error 2", "EInOutError"),
    ("writeln(sqrt(zero - 4):0:1);", "Runtime error 207", "EInvalidOp"),
    ("runerror(204);", "Runtime error 204", "Runtime error 204"),
    ("runerror(106);", "Runtime error 106", "Runtime error 106"),
]


def pascal_stops_family(out):
    for body, number, exception in STOPS_PASCAL:
        for depth in range(3):
            for unit in ("", "uses SysUtils;\n"):
                routines = "".join(f"procedure Step{index};\nbegin\n  {'Step' + str(index + 1) + ';' if index < depth else body}\nend;\n" for index in reversed(range(depth + 1)))
                text = f"program Deck;\n{unit}var\n  loads: array[1..4] of integer;\n  place: ^integer;\n  boats: text;\n  zero: longint;\n{routines}begin\n  zero := 0; place := nil;\n  write('Deck? ');\n  Step0;\nend.\n"
                line = text[: text.index(body)].count("\n") + 1
                with Folder("deck.pas", text) as folder:
                    built = call(["fpc", "-gl", "-l-", "-v0", "deck.pas"], folder)
                    if built.returncode != 0:
                        continue
                    told = subprocess.run(["./deck"], cwd=folder, stdout=subprocess.PIPE, stderr=subprocess.STDOUT, text=True)
                    if told.returncode == 0:
                        continue
                    truth = {"severity": "error", "errorName": exception if unit else number, "file": "deck.pas", "line": line}
                    out({"what": f"{number}, depth {depth}{', SysUtils' if unit else ''}", "program": {"deck.pas": text}, "output": told.stdout, "truth": [truth], "from": "the place where it was planted, fpc 3.2"})


TRUTH_OCTAVE = r"""try
  source('%s');
catch err
  line = -1; column = -1; name = '';
  for at = 1:numel(err.stack)
    if any(strcmp(err.stack(at).name, {'total', 'step0', 'step1', 'step2'})) || ! isempty(strfind(err.stack(at).file, '%s'))
      line = err.stack(at).line; column = err.stack(at).column; break
    end
  end
  fprintf(stderr, "\x01%%d\t%%d\t%%s", line, column, err.message);
end
"""

STOPS_OCTAVE = ["x = loads(9);", "x = missing_boat + 1;", "x = [1 2 3] * [4 5 6];", "x = loads(0);", "error('the deck is full');", "x = num2str();", "x = ones(2)(3, 1);", "x = str2func(3);", "x = loads(1.5);", "x.a = 1; y = x.b;", "x = {1, 2}; y = x + 1;", "strrep(1, 2, 3);", "x = [1 2; 3];", "fclose(99);"]


def octave_family(out):
    programs = [(name, what, text) for name, what, text in planted("octave", 70)]
    for body in STOPS_OCTAVE:
        for depth in range(3):
            functions = "".join(f"function step{index}(loads)\n  {'step' + str(index + 1) + '(loads);' if index < depth else body}\nend\n" for index in range(depth + 1))
            programs.append(("deck.m", body, f"1;\n{functions}disp('Deck');\nstep0([4 9]);\n"))
    for name, what, text in programs:
        with Folder(name, text) as folder:
            told = ends(["octave-cli", "--norc", "--no-history", name], folder)
            if told is None or told.returncode == 0 or not told.stderr.strip():
                continue
            with open(os.path.join(folder, "truth_of.m"), "w") as file:
                file.write(TRUTH_OCTAVE % (name, name))
            answer = call(["octave-cli", "--norc", "--no-history", "truth_of.m"], folder).stderr
            if "\x01" not in answer:
                continue
            line, column, message = answer.split("\x01")[1].split("\t", 2)
            if message.startswith("parse error"):
                # The exception's words hold the place of the file that is read.
                place = re.match(r"parse error near line (\d+) of file (\S+)\n\n  (.*)\n\n>>> (.*)\n( *)\^", message) or re.match(r"parse error near line (\d+) of file (\S+)\n\n  (.*)\n", message)
                if not place:
                    continue
                truth = {"severity": "error", "file": name, "line": int(place.group(1)), "message": place.group(3)}
            else:
                truth = {"severity": "error", "message": message, **({"line": int(line)} if int(line) > 0 else {})}
            out({"what": what, "program": {name: text}, "output": told.stderr, "truth": [truth], "from": "the exception object, Octave 7.3"})


FAMILIES = {
    "cpython": python_family,
    "javac": javac_family,
    "java": java_family,
    "ecj": ecj_family,
    "gcc": gcc_family,
    "clang": clang_family,
    "signals": c_stops_family,
    "mcs": mcs_family,
    "mono": mono_family,
    "fpc": fpc_family,
    "fpc-stops": pascal_stops_family,
    "octave": octave_family,
}
LANGUAGES = {"cpython": "python", "javac": "java", "java": "java", "ecj": "java", "gcc": "c", "clang": "c", "signals": "c", "mcs": "csharp", "mono": "csharp", "fpc": "pascal", "fpc-stops": "pascal", "octave": "octave"}

if __name__ == "__main__":
    os.makedirs(TARGET, exist_ok=True)
    for family in sys.argv[1:] or FAMILIES:
        rows = []
        FAMILIES[family](lambda row: rows.append({"family": family, "language": LANGUAGES[family], **row}))
        with open(os.path.join(TARGET, f"{family}.jsonl"), "w", encoding="utf-8") as file:
            for row in rows:
                file.write(json.dumps(row, ensure_ascii=False) + "\n")
        print(family, len(rows), sum(len(row["truth"]) for row in rows))
