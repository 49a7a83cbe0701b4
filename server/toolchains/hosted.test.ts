import { afterAll, expect, test } from "vitest";
import { findLanguage } from "../../core/languages/languages.ts";
import { consoleText } from "../../core/outcome/outcome.ts";
import { sharedToolchains } from "../testToolchains.ts";
import { inCode } from "./hostedTries.ts";
import { limitsOfEach, runTexts, type Text } from "./testMany.ts";

const toolchains = sharedToolchains();
afterAll(() => toolchains.close());

/** What each gave in company is what it gives alone. */
async function sameAsAlone(language: string, name: string, texts: readonly Text[]) {
  const together = await runTexts(toolchains, language, name, texts);
  for (const [at, [text, input]] of texts.entries()) {
    const request = { files: [{ name, bytes: Buffer.from(text) }], input, limits: limitsOfEach };
    const alone = await toolchains.find(language)?.run(request);
    expect({ ...together[at], milliseconds: 0 }, text).toEqual({ ...alone, milliseconds: 0 });
  }
}

const java = (body: string, members = "") =>
  `import java.util.*;\npublic class Ferry {\n${members}  static int sailed;\n  public static void main(String[] args) throws Exception {\n    Scanner in = new Scanner(System.in);\n    ${body}\n  }\n}\n`;

test("Java programs in one machine give what their own runs would: outputs, refusals, stops, exits, what they read", async () => {
  const counts = 'sailed++; System.out.println("Crossing " + sailed);';
  await sameAsAlone("java", "Ferry.java", [
    [java('System.out.print("Cars? "); int cars = in.nextInt(); System.out.println(cars * 4);'), "3\n4\n"],
    [java(counts), ""],
    [java(counts), ""],
    [java('System.out.println("x")'), ""],
    [
      java(
        'int[] decks = new int[2]; System.out.println("Loading"); decks[2] = load(1);',
        "  static int load(int n) { return n / 0; }\n",
      ),
      "",
    ],
    [java("in.nextInt(); in.nextInt();"), "3\n"],
    [java('System.out.println("Sail"); System.exit(3);'), ""],
    [java('System.err.println("late"); new java.io.FileWriter("left.txt").append("tide").close();'), ""],
    [java('System.out.println(new java.io.File("left.txt").exists());'), ""],
    [java("String tide = null; System.out.println(tide.length());"), ""],
    [
      java(
        'new Thread(() -> { try { Thread.sleep(50); } catch (Exception e) {} System.out.println("after main"); }).start();',
      ),
      "",
    ],
  ]);
});

const javaClass = (body: string, before = "") =>
  `${before}public class Ferry {\n  static class Full extends RuntimeException {\n    Full(String words) { super(words); }\n  }\n  enum Tide { LOW, HIGH }\n  record Deck(int cars) {}\n  public static void main(String[] args) {\n    ${body}\n  }\n}\n`;

test("Java programs that are translated in one go do not show where they stand, whatever they say of their classes", async () => {
  await sameAsAlone("java", "Ferry.java", [
    [javaClass('throw new Full("no place");'), ""],
    [javaClass('try { throw new Full("no place"); } catch (Full full) { System.out.println("said: " + full); }'), ""],
    [javaClass('System.out.println(new Deck(3) + " " + Tide.HIGH + " " + new Deck(1).getClass().getName());'), ""],
    [javaClass('throw new IllegalStateException(new Full("inside"));'), ""],
    // Refused: on the first line, by the words, by types, by what follows what; and one that has a package itself.
    [javaClass('System.out.println("x");', "clas Quay {} "), ""],
    [javaClass('System.out.println("x")'), ""],
    [javaClass('Deck deck = new Full("x"); Tide tide = Deck.HIGH;'), ""],
    [javaClass("int cars; System.out.println(cars);"), ""],
    [javaClass("return; System.out.println(1);"), ""],
    [javaClass('System.out.println(Class.forName("Ferry"));'), ""],
    [javaClass("System.out.println(1);\n  }\n  static int load() {"), ""],
    [`// "é" on the quay\n${javaClass("System.out.println(1);")}`, ""],
  ]);
});

test("A text that is run twice in one machine begins anew", async () => {
  const counting = java('while (in.hasNextInt()) sailed += in.nextInt(); System.out.println("sailed " + sailed);');
  await sameAsAlone("java", "Ferry.java", [
    [counting, "1 2\n"],
    [counting, "3\n"],
    [counting, ""],
  ]);
  const counted = csharp("sailed += int.Parse(Console.ReadLine()); Console.WriteLine(sailed);");
  await sameAsAlone("csharp", "Ferry.cs", [
    [counted, "1\n"],
    [counted, "3\n"],
    [counted.replace("+=", "-="), "3\n"],
    [counted, "x\n"],
  ]);
});

test("A Java program that loops, floods or leaves a thread costs its own limit only, and nothing of it is felt by the next", async () => {
  const told = await runTexts(toolchains, "java", "Ferry.java", [
    [java("while (true) sailed++;"), ""],
    [java('System.out.println("first");'), ""],
    [java('while (true) System.out.println("a long line of the deck list");'), ""],
    [
      java(
        "Thread t = new Thread(() -> { while (true) { Thread.yield(); } }); t.setDaemon(true); t.start(); Thread.sleep(20);",
      ),
      "",
    ],
    [java('Locale.setDefault(Locale.GERMANY); System.out.printf("%.1f%n", 1.5);'), ""],
    [java('System.out.printf("%.1f%n", 1.5);'), ""],
  ]);
  expect(told.map((outcome) => outcome?.stoppedBy)).toEqual(["time", "none", "output", "none", undefined, "none"]);
  expect(consoleText(told[1]?.console ?? [], ["out"])).toBe("first\n");
  // What changes something of the machine's is not run in company at all.
  expect(consoleText(told[5]?.console ?? [], ["out"])).toBe("1.5\n");
});

const csharp = (body: string, members = "") =>
  `using System;\nusing System.IO;\nclass Ferry {\n${members}  static int sailed;\n  static void Main() {\n    ${body}\n  }\n}\n`;

test("C# programs in one run-time system give what their own runs would", async () => {
  const counts = 'sailed++; Console.WriteLine("Crossing " + sailed);';
  await sameAsAlone("csharp", "Ferry.cs", [
    [
      csharp('Console.Write("Cars? "); int cars = int.Parse(Console.ReadLine()); Console.WriteLine(cars * 4);'),
      "3\n4\n",
    ],
    [csharp(counts), ""],
    [csharp(counts), ""],
    [csharp('Console.WriteLine("x")'), ""],
    [
      csharp(
        'int[] decks = new int[2]; Console.WriteLine("Loading"); decks[2] = Load(1);',
        "  static int Load(int n) { return n / (n - n); }\n",
      ),
      "",
    ],
    [csharp("Console.ReadLine(); Console.WriteLine(Console.ReadLine() == null);"), "3\n"],
    [csharp('Console.WriteLine("Sail"); Environment.Exit(3);'), ""],
    [csharp('File.WriteAllText("left.txt", "tide");'), ""],
    [csharp('Console.WriteLine(File.Exists("left.txt"));'), ""],
    [csharp("string tide = null; Console.WriteLine(tide.Length);"), ""],
  ]);
});

test("C# programs that are translated in one go do not show where they stand, whatever they say of their classes", async () => {
  const members =
    "  class Full : Exception { public Full(string words) : base(words) {} }\n  enum Tide { Low, High }\n  struct Deck { public int Cars; }\n";
  await sameAsAlone("csharp", "Ferry.cs", [
    [csharp('throw new Full("no place");', members), ""],
    [
      csharp(
        'try { throw new Full("x"); } catch (Full full) { Console.WriteLine(full.GetType() + " " + full.Message); }',
        members,
      ),
      "",
    ],
    [csharp('Console.WriteLine(new Deck() + " " + Tide.High);', members), ""],
    // Refused: by the words, by types, by what has no value, by brackets; with two beginnings and with none; with a namespace.
    [csharp("int cars = ;"), ""],
    [csharp("Deck deck = Tide.High; string s = 3;", members), ""],
    [csharp("int cars; Console.WriteLine(cars);"), ""],
    [csharp("int unused = 3; Console.WriteLine(1);"), ""],
    [`${csharp("Console.WriteLine(1);")}class Second {\n  static void Main() {}\n}\n`, ""],
    [csharp("Console.WriteLine(1);").replace("Main", "Begin"), ""],
    [
      `using System;\nnamespace Quay {\n  class Ferry {\n    static int Main(string[] args) {\n      Console.WriteLine(new Ferry());\n      return 4;\n    }\n  }\n}\n`,
      "",
    ],
    [csharp("Console.WriteLine(1);").replace(/}\n$/, ""), ""],
    [`${csharp("Console.WriteLine(1);")}}\n`, ""],
  ]);
});

test("What an Octave program is warned of by the interpreter is told by a run of its own", async () => {
  const [told] = await runTexts(toolchains, "octave", "ferry.m", [
    ["x = [1 2](1.5 + 0.5);\nif ([1 2 3] == 'ab3')\nend\n[1 2; 3 4] \\ [1; 2];\n[1 1; 1 1] \\ [1; 2]\n", ""],
  ]);
  expect(told).toBeNull();
});

test("Octave programs in one interpreter give what their own runs would", async () => {
  await sameAsAlone("octave", "ferry.m", [
    ['cars = input("Cars? ");\nprintf("%d\\n", cars * 4);\n', "3\n"],
    ["tide = 3;\nfunction r = load(x)\n  r = x + 1;\nend\ndisp(load(tide))\n", ""],
    ["disp(exist('tide'))\ndisp(load(2))\n", ""],
    ["if 3\n  disp(4)\n", ""],
    ["x = [1 2];\ndisp(x(3))\n", ""],
    ["disp(totl)\n", ""],
    ["1;\nfunction r = g(x)\n  r = x(5);\nend\ng([1 2])\n", ""],
    ['a = input("");\nb = input("");\n', "3\n"],
    ['a = input("");\nprintf("%d\\n", a);\n', "3\n"],
    ["global deck\ndeck = 4;\nformat long\n", ""],
    ["global deck\ndisp(isempty(deck))\ndisp(pi)\n", ""],
    ["1;\nfunction r = deep(x)\n  printf('%d\\n', x);\n  r = deep(x + 1);\nend\ndeep(1)\n", ""],
    ["disp(1)\nexit(3)\n", ""],
    ["f = fopen('left.txt', 'w');\nfprintf(f, 'tide');\n", ""],
    ["disp(exist('left.txt'))\nclear all; clc; close all\nerror('Ferry:full', 'full deck')\n", ""],
    ['s = input("Name? ", "s");\ntry\n  n = input("");\ncatch e\n  disp(e.message)\nend\n', "Gull\n"],
    ["x = 3\ny = {1, 'two'}\nz = struct('tide', 4)\n", ""],
  ]);
});

test("An Octave program that loops costs its own time only; one that draws on chance or begins with a function is run alone", async () => {
  const told = await runTexts(toolchains, "octave", "ferry.m", [
    ["while true\nend\n", ""],
    ["disp(5)\n", ""],
    ["disp(rand() < 2)\n", ""],
    ["% Deck\nfunction r = f(x)\n  r = x + 1;\nend\ndisp(f(2))\n", ""],
  ]);
  expect(told.map((outcome) => outcome?.stoppedBy)).toEqual(["time", "none", undefined, undefined]);
});

test.each([
  ["octave", /\b(?:run|rand)\b/, 'printf("Longest on run %d\\n", best); % run it', false],
  ["octave", /\b(?:run|rand)\b/, "disp(rand() < 2)", true],
  ["octave", /\b(?:run|rand)\b/, "eval('run other')", true],
  ["octave", /\b(?:who|rand)\b/, "[best, who] = max(loads);\ndisp(who)", false],
  ["octave", /\b(?:who|rand)\b/, "best = 3;\nwho", true],
  ["java", /\bhalt\b/, "class A { void f() { Object halt = Runtime.getRuntime().halt(1); } }", true],
  ["java", /\bhalt\b/, 'class A { void f() { print("We halt here"); } /* halt */ }', false],
  ["java", /\bhalt\b/, "class A { void f() { Runtime.getRuntime().halt(1); } }", true],
  ["csharp", /\bTasks?\b/, 'class A { void F() { Console.WriteLine("Tasks left"); } }', false],
  ["csharp", /\bTasks?\b/, 'class A { void F() { Console.WriteLine($"{Task.Run(G).Id}"); } }', true],
  ["basic-macro", /\bWait\b/i, 'Sub Main\n  MsgBox "Wait" \' wait\nEnd Sub\n', false],
  ["basic-macro", /\bWait\b/i, "Sub Main\n  Wait 20\nEnd Sub\n", true],
] as const)(
  "words count where they are code, and not in what is printed or remarked (%s, %s, %s)",
  (id, words, text, is) => {
    const language = findLanguage(id);
    if (!language) throw new Error(id);
    expect(inCode(language, words, /\beval\b/)(text)).toBe(is);
  },
);

test("An Octave program whose texts say what would be run alone is run in company", async () => {
  const text = 'function r = f(x)\n  r = x + 1;\nend\nprintf("run %d, more by plot\\n", f(2))\n';
  const told = await runTexts(toolchains, "octave", "ferry.m", [[`1;\n${text}`, ""]]);
  expect(told.map((outcome) => outcome && consoleText(outcome.console, ["out"]))).toEqual(["run 3, more by plot\n"]);
});
