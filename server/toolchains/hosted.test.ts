import { afterAll, expect, test } from "vitest";
import { consoleText } from "../../core/outcome/outcome.ts";
import { limitsOfEach, runTexts, type Text } from "./testMany.ts";
import { createToolchains } from "./toolchains.ts";

const toolchains = createToolchains();
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
