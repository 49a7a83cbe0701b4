import { afterAll, beforeAll, describe, expect, test } from "vitest";
import { findLanguage } from "../../core/languages/languages.ts";
import { consoleText, limitsSchema, type Outcome } from "../../core/outcome/outcome.ts";
import { buildTable } from "../../core/trace/table.ts";
import { judgeProgram } from "../judge/judge.ts";
import { sharedToolchains } from "../testToolchains.ts";
import { createCommandToolchain } from "./commandToolchain.ts";
import type { Toolchains } from "./toolchains.ts";

let toolchains: Toolchains;
beforeAll(() => {
  toolchains = sharedToolchains();
});
afterAll(() => toolchains.close());

/** More time than a person gives, so that a slow machine changes no outcome but that of endless programs. */
const limits = limitsSchema.parse({ wallSeconds: 60 });
type Files = Record<string, string>;

function request(language: string, program: string | Files, input = "") {
  const main = findLanguage(language)?.mainName ?? "";
  const files = typeof program === "string" ? { [main]: program } : program;
  return {
    files: Object.entries(files).map(([name, text]) => ({ name, bytes: Buffer.from(text, "utf8") })),
    input,
    limits,
  };
}
function toolchain(language: string) {
  const found = toolchains.find(language);
  if (!found) throw new Error(`no toolchain for ${language}`);
  return found;
}
const run = (language: string, program: string | Files, input = "") =>
  toolchain(language).run(request(language, program, input));
const shown = (outcome: Outcome) =>
  outcome.console
    .map((piece) => (piece.kind === "in" ? `<${piece.text}>` : piece.kind === "err" ? `[${piece.text}]` : piece.text))
    .join("");
const primary = (outcome: Outcome) => outcome.diagnostics.find((diagnostic) => diagnostic.primary);

/** In each language: asks twice, prints without a line end before it asks, and adds what was typed. */
const asks: Record<string, string> = {
  python: 'a = int(input("Cars? "))\nb = int(input("Vans? "))\nprint("Deck", a + b)\n',
  java: 'import java.util.Scanner;\npublic class Main {\n  public static void main(String[] args) {\n    Scanner in = new Scanner(System.in);\n    System.out.print("Cars? ");\n    int a = in.nextInt();\n    System.out.print("Vans? ");\n    int b = in.nextInt();\n    System.out.println("Deck " + (a + b));\n  }\n}\n',
  c: '#include <stdio.h>\nint main(void)\n{\n    int a, b;\n    printf("Cars? ");\n    if (scanf("%d", &a) != 1) return 3;\n    printf("Vans? ");\n    if (scanf("%d", &b) != 1) return 4;\n    printf("Deck %d\\n", a + b);\n    return 0;\n}\n',
  csharp:
    'using System;\nclass Program {\n  static void Main() {\n    Console.Write("Cars? ");\n    int a = int.Parse(Console.ReadLine());\n    Console.Write("Vans? ");\n    int b = int.Parse(Console.ReadLine());\n    Console.WriteLine("Deck " + (a + b));\n  }\n}\n',
  pascal:
    "program Deck;\nvar a, b: integer;\nbegin\n  write('Cars? ');\n  readln(a);\n  write('Vans? ');\n  readln(b);\n  writeln('Deck ', a + b);\nend.\n",
  octave: 'a = input("Cars? ");\nb = input("Vans? ");\nprintf("Deck %d\\n", a + b);\n',
};
const languages = Object.keys(asks);

describe.each(languages)("%s", (language) => {
  const program = asks[language] ?? "";

  test("prompts, typed lines and output stand in the order in which a person saw them", async () => {
    const outcome = await run(language, program, "4\n5\n");
    expect(shown(outcome)).toBe("Cars? <4\n>Vans? <5\n>Deck 9\n");
    expect(outcome).toMatchObject({ started: true, finished: true, stoppedBy: "none", inputRanOut: false });
  });

  test("the last line may lack its line end; input that runs out is said", async () => {
    expect(shown(await run(language, program, "4\n5"))).toContain("Deck 9");
    const short = await run(language, program, "4\n");
    expect([short.inputRanOut, consoleText(short.console, ["out"]).startsWith("Cars? Vans? ")]).toEqual([true, true]);
  });

  test("input of the wrong kind has an outcome that names the place, or is taken as the language takes it", async () => {
    const outcome = await run(language, program, "four\n5\n");
    // C's scanf gives its result to the program, which here ends with a code; all others stop.
    if (language === "c") expect([outcome.stoppedBy, outcome.exit.code]).toEqual(["none", 3]);
    else expect([outcome.stoppedBy, primary(outcome) !== undefined]).toEqual(["fault", true]);
  });

  test("a recording says which line asked and printed, and gives the values", async () => {
    const trace = await toolchain(language).trace(request(language, program, "4\n5\n"));
    expect(shown(trace.outcome)).toBe("Cars? <4\n>Vans? <5\n>Deck 9\n");
    const printing = program.split("\n").findIndex((line) => line.includes("Deck") && !line.includes("program")) + 1;
    expect(trace.outcome.console.at(-1)?.line).toBe(printing);
    const cells = buildTable(trace, { rows: "line" }).rows.map((row) => row.cells);
    const values = (name: string) =>
      cells.flatMap((row) =>
        Object.entries(row).flatMap(([key, text]) => (key.split(".").pop() === name ? [text] : [])),
      );
    expect(values("a").at(-1)).toBe("4");
    expect(values("b").at(-1)).toBe("5");
    expect(trace.steps.every((step) => step.line >= 1 && step.line <= program.split("\n").length)).toBe(true);
  });

  test("the same input gives the same recording", async () => {
    const twice = await Promise.all([1, 2].map(() => toolchain(language).trace(request(language, program, "7\n8\n"))));
    expect(JSON.stringify(twice[0]?.steps)).toBe(JSON.stringify(twice[1]?.steps));
  });

  test("checking translates and runs nothing", async () => {
    const outcome = await toolchain(language).check(request(language, program));
    expect(outcome).toMatchObject({ started: null, stoppedBy: "none", console: [] });
  });

  test("CR LF, a tab and a name with letters beyond ASCII change nothing, or are refused by the tool itself", async () => {
    const outcome = await run(language, program.replaceAll("\n", "\r\n").replaceAll("    ", "\t"), "4\n5\n");
    expect(shown(outcome)).toContain("Deck 9");
  });

  test("an empty text has an outcome", async () => {
    const outcome = await run(language, "");
    if (language === "python" || language === "octave") expect(outcome.stoppedBy).toBe("none");
    else expect([outcome.stoppedBy, primary(outcome) !== undefined]).toEqual(["refused", true]);
  });

  test("2 000 lines are translated and run", async () => {
    const marker =
      {
        python: "print(",
        java: "    System.out.println(",
        c: '    printf("Deck',
        csharp: "    Console.WriteLine(",
        pascal: "  writeln(",
        octave: "printf(",
      }[language] ?? "";
    const filler =
      language === "python" || language === "octave"
        ? "a = a + 0;\n"
        : language === "pascal"
          ? "  a := a + 0;\n"
          : "    a = a + 0;\n";
    const at = program.lastIndexOf(marker);
    const outcome = await run(language, program.slice(0, at) + filler.repeat(2000) + program.slice(at), "4\n5\n");
    expect(shown(outcome)).toContain("Deck 9");
  });
});

/** Programs whose first fault is that something is missing which they need to begin. */
test.each([
  ["java", "public class Deck {\n  void load() { }\n}\n", "Main method not found"],
  ["c", "int load(void)\n{\n    return 4;\n}\n", "undefined reference to `main'"],
  ["csharp", "class Deck { static int Load() { return 4; } }\n", "does not contain a static `Main' method"],
  ["c", '#include "deck_loads.h"\nint main(void) { return 0; }\n', "deck_loads.h: No such file"],
  [
    "java",
    "import org.kittiwake.Deck;\npublic class Main {\n  public static void main(String[] args) { }\n}\n",
    "package org.kittiwake does not exist",
  ],
  ["pascal", "program Deck;\nuses kittiwake;\nbegin\nend.\n", "Can't find unit kittiwake"],
  ["csharp", "using System.Windows.Forms;\nclass Program { static void Main() { } }\n", "Windows"],
])("%s refuses a program without what it needs, as meaning and not as grammar", async (language, program, words) => {
  const profile = findLanguage(language);
  if (!profile) throw new Error("unknown");
  const { judgement } = await judgeProgram(toolchains, {
    policies: { endlessClass: "logic" },
    language: profile,
    files: request(language, program).files,
  });
  expect([judgement.class, judgement.kind]).toEqual(["syntax", "meaning"]);
  expect(judgement.diagnostic?.message).toContain(words);
});

test("the main class is found in the text, whatever the file is called: packages, several mains, odd names", async () => {
  const main = (name: string, text: string) =>
    `public class ${name} {\n  public static void main(String[] args) { System.out.println("${text}"); }\n}\n`;
  expect(shown(await run("java", { "homework 3.java": main("Kittiwake", "one") }))).toBe("one\n");
  expect(shown(await run("java", { "A.java": `package ferry.deck;\n\n${main("Deck", "two")}` }))).toBe("two\n");
  expect(shown(await run("java", { "Boat.java": main("Boat", "first"), "Deck.java": main("Deck", "second") }))).toBe(
    "first\n",
  );
});

test("several files are translated together, and a fault names the file that it is in", async () => {
  const c = {
    "main.c": '#include <stdio.h>\n#include "fare.h"\nint main(void) { printf("%d\\n", fare(4)); }\n',
    "fare.h": "int fare(int age);\n",
    "fare.c": "int fare(int age)\n{\n    return age * 3;\n}\n",
  };
  expect(shown(await run("c", c))).toBe("12\n");
  expect(primary(await run("c", { ...c, "fare.c": "int fare(int age)\n{\n    return age * 3\n}\n" }))).toMatchObject({
    file: "fare.c",
    line: 3,
  });
  const java = {
    "Main.java":
      "public class Main {\n  public static void main(String[] a) { System.out.println(new Boat().load); }\n}\n",
    "Boat.java": "class Boat {\n  int load = 7;\n}\n",
  };
  expect(shown(await run("java", java))).toBe("7\n");
  const octave = { "main.m": "disp(fare(4))\n", "fare.m": "function r = fare(age)\n  r = age * 3;\nend\n" };
  expect(shown(await run("octave", octave))).toBe("12\n");
  expect(
    primary(await run("octave", { ...octave, "fare.m": "function r = fare(age)\n  r = age * 3);\nend\n" })),
  ).toMatchObject({
    stage: "translation",
    file: "fare.m",
    line: 2,
  });
});

test.each([
  [
    "c",
    '#include <stdio.h>\nint main(void) {\n    char name[20];\n    FILE *in = fopen("boats.txt", "r");\n    if (!in) { puts("no list"); return 1; }\n    fgets(name, 20, in);\n    printf("%s", name);\n    FILE *out = fopen("log.txt", "w");\n    fprintf(out, "done\\n");\n    fclose(out);\n}\n',
  ],
  [
    "java",
    'import java.nio.file.*;\npublic class Main {\n  public static void main(String[] a) throws Exception {\n    if (!Files.exists(Path.of("boats.txt"))) { System.out.println("no list"); return; }\n    System.out.print(Files.readString(Path.of("boats.txt")));\n    Files.writeString(Path.of("log.txt"), "done\\n");\n  }\n}\n',
  ],
  [
    "octave",
    'if exist("boats.txt", "file") == 0\n  disp("no list");\nelse\n  f = fopen("boats.txt"); printf("%s\\n", fgetl(f)); fclose(f);\n  f = fopen("log.txt", "w"); fprintf(f, "done\\n"); fclose(f);\nend\n',
  ],
])(
  "%s: a data file is there if the case has it; what a run writes is listed and gone before the next",
  async (language, program) => {
    const main = findLanguage(language)?.mainName ?? "";
    const withFile = await run(language, { [main]: program, "boats.txt": "Tern\n" });
    expect(shown(withFile)).toBe("Tern\n");
    expect(withFile.effects).toEqual([{ name: "log.txt", change: "new", size: 5, text: "done\n" }]);
    const without = await run(language, program);
    expect([shown(without).trim(), without.effects]).toEqual(["no list", []]);
  },
);

describe("how faults show in each language", () => {
  const outcomes: Array<[string, string, Outcome["stoppedBy"], string, number | undefined]> = [
    [
      "java",
      "public class Main {\n  public static void main(String[] a) {\n    int zero = a.length;\n    System.out.println(4 / zero);\n  }\n}\n",
      "fault",
      "ArithmeticException",
      4,
    ],
    [
      "java",
      "public class Main {\n  static int deep(int n) { return deep(n + 1) + 1; }\n  public static void main(String[] a) {\n    deep(1);\n  }\n}\n",
      "fault",
      "StackOverflowError",
      2,
    ],
    [
      "java",
      "public class Main {\n  public static void main(String[] a) {\n    String boat = null;\n    System.out.println(boat.length());\n  }\n}\n",
      "fault",
      "NullPointerException",
      4,
    ],
    [
      "java",
      "public class Main {\n  public static void main(String[] a) {\n    System.out.println(4 / 0);\n  }\n}\n",
      "fault",
      "ArithmeticException",
      3,
    ],
    ["csharp", "class Program {\n  static void Main() {\n    int four = 4 / 0;\n  }\n}\n", "refused", "", 3],
    [
      "csharp",
      "using System;\nclass Program {\n  static void Main() {\n    string boat = null;\n    Console.WriteLine(boat.Length);\n  }\n}\n",
      "fault",
      "NullReferenceException",
      5,
    ],
    [
      "pascal",
      "program P;\nvar a: array[1..3] of integer; i: integer;\n{$R+}\nbegin\n  i := 5;\n  a[i] := 1;\nend.\n",
      "fault",
      "Runtime error 201",
      6,
    ],
    ["octave", "loads = [4 5];\ndisp(loads(3))\n", "fault", "", 2],
    ["octave", "disp(total)\n", "fault", "", 1],
  ];
  test.each(outcomes)("%s %#", async (language, program, stoppedBy, error, line) => {
    const outcome = await run(language, program);
    expect([outcome.stoppedBy, primary(outcome)?.line]).toEqual([stoppedBy, line]);
    if (error) expect(primary(outcome)?.errorName).toBe(error);
  });

  test("C: a crash names no line; ours is found, kept apart, with the text that was lost in the buffer", async () => {
    const program =
      '#include <stdio.h>\nint share(int load, int decks)\n{\n    return load / decks;\n}\nint main(void)\n{\n    int load = 24;\n    printf("Share: ");\n    printf("%d\\n", share(load, 0));\n    return 0;\n}\n';
    const outcome = await run("c", program);
    expect(primary(outcome)).toMatchObject({ errorName: "SIGFPE", message: "Floating point exception" });
    expect(primary(outcome)?.line).toBeUndefined();
    expect(outcome.found?.frames.map((frame) => [frame.name, frame.line])).toEqual([
      ["main", 10],
      ["share", 4],
    ]);
    expect(outcome.found?.values).toEqual([
      { name: "load", text: "24" },
      { name: "decks", text: "0" },
    ]);
    expect([outcome.found?.unprinted, consoleText(outcome.console, ["out"])]).toEqual(["Share: ", ""]);
  });

  test("C: the missing address sign is a warning, and a crash inside the library still finds the line", async () => {
    const outcome = await run(
      "c",
      '#include <stdio.h>\nint main(void)\n{\n    int cars = 0;\n    scanf("%d", cars);\n    return cars;\n}\n',
      "4\n",
    );
    expect(
      outcome.diagnostics
        .filter((diagnostic) => diagnostic.severity === "warning")
        .map((diagnostic) => diagnostic.code),
    ).toContain("-Wformat=");
    expect([outcome.stoppedBy, outcome.exit.signal]).toEqual(["fault", 11]);
    expect(outcome.found?.frames.findLast((frame) => frame.own)).toMatchObject({ name: "main", line: 5 });
  });

  test("C: a local that was never set is recorded as that, and as its value from the line that sets it", async () => {
    const trace = await toolchain("c").trace(
      request("c", "int main(void)\n{\n    int cars;\n    int vans = 2;\n    cars = 3;\n    return cars + vans;\n}\n"),
    );
    const cells = buildTable(trace, { rows: "line" }).rows.flatMap((row) =>
      row.cells["main.cars"] === undefined ? [] : [`${row.line} ${row.cells["main.cars"]}`],
    );
    // A table is blank until there is a value; the recording knows.
    expect(cells).toEqual(["5 3"]);
    const unset = trace.steps.filter((step) => step.writes.some((write) => write.value?.text === "not set yet"));
    expect(unset.map((step) => step.line)).toEqual([4]);
  });
});

describe("loops that do not end", () => {
  const loops: Array<[string, string, number]> = [
    [
      "java",
      "public class Main {\n  public static void main(String[] a) {\n    int boats = 5;\n    int trips = 0;\n    while (boats > 0) {\n      trips = trips + 1;\n    }\n  }\n}\n",
      5,
    ],
    [
      "c",
      "int main(void)\n{\n    int boats = 5;\n    int trips = 0;\n    while (boats > 0)\n        trips = trips + 1;\n    return trips;\n}\n",
      5,
    ],
    [
      "csharp",
      "class Program {\n  static void Main() {\n    int boats = 5;\n    int trips = 0;\n    while (boats > 0) {\n      trips = trips + 1;\n    }\n  }\n}\n",
      5,
    ],
    [
      "pascal",
      "program P;\nvar boats, trips: integer;\nbegin\n  boats := 5;\n  trips := 0;\n  while boats > 0 do\n    trips := trips + 1;\nend.\n",
      6,
    ],
    ["octave", "boats = 5;\ntrips = 0;\nwhile boats > 0\n  trips = trips + 1;\nend\n", 3],
  ];
  test.each(loops)("%s: the ground is that the condition's names never change", async (language, program, line) => {
    const profile = findLanguage(language);
    if (!profile) throw new Error("unknown");
    const { judgement, outcome } = await judgeProgram(toolchains, {
      policies: { endlessClass: "logic" },
      language: profile,
      files: request(language, program).files,
    });
    expect(outcome?.stoppedBy).toBe("time");
    expect([judgement.class, judgement.symptom]).toEqual(["logic", "has not ended"]);
    expect(judgement.reasons.join(" ")).toContain(`loop at line ${line} “boats” never changed`);
  });
});

test("a recording in every language counts calls by depth, and comes back to the line that called", async () => {
  const programs: Array<[string, string]> = [
    [
      "java",
      "public class Main {\n  static int half(int n) {\n    return n / 2;\n  }\n  public static void main(String[] a) {\n    System.out.println(half(half(8)));\n  }\n}\n",
    ],
    [
      "c",
      '#include <stdio.h>\nint half(int n)\n{\n    return n / 2;\n}\nint main(void)\n{\n    printf("%d\\n", half(half(8)));\n}\n',
    ],
    [
      "csharp",
      "using System;\nclass Program {\n  static int half(int n) {\n    return n / 2;\n  }\n  static void Main() {\n    Console.WriteLine(half(half(8)));\n  }\n}\n",
    ],
    ["octave", "1;\nfunction r = half(n)\n  r = n / 2;\nend\ndisp(half(half(8)))\n"],
    [
      "pascal",
      "program P;\nfunction half(n: integer): integer;\nbegin\n  half := n div 2;\nend;\nbegin\n  writeln(half(half(8)));\nend.\n",
    ],
  ];
  for (const [language, program] of programs) {
    const trace = await toolchain(language).trace(request(language, program));
    const calls = trace.steps.filter((step) => step.call === "half");
    expect([language, calls.length]).toEqual([language, 2]);
    expect(calls.map((step) => step.depth)).toEqual([calls[0]?.depth, calls[0]?.depth]);
    const printing = trace.steps.find((step) => step.out === "2\n");
    const line = program.split("\n").findIndex((text) => text.includes("half(half(8))")) + 1;
    expect([language, printing?.line, printing?.resumes]).toEqual([language, line, true]);
  }
});

test("a language that is not installed says what would add it; its cases are still judged by their text", async () => {
  const java = findLanguage("java");
  if (!java) throw new Error("unknown");
  const missing = createCommandToolchain(
    {
      language: java,
      startSeconds: 1,
      means: "",
      needs: [{ path: "/nowhere/javac", package: "openjdk-17-jdk-headless" }],
      version: () => Promise.reject(new Error("never asked")),
      plan: () => Promise.reject(new Error("never asked")),
    },
    () => {
      throw new Error("never asked");
    },
  );
  expect(await missing.available()).toEqual({
    ready: false,
    reason: "Java is not installed (apt-get install openjdk-17-jdk-headless)",
  });
  await expect(missing.run(request("java", "x"))).rejects.toThrow("not installed");
  const none: Toolchains = { ...toolchains, find: () => missing };
  const { judgement, notRun } = await judgeProgram(none, {
    policies: { endlessClass: "logic" },
    language: java,
    files: request("java", { "Deck.java": "public class Deck {\n  int load\n}\n" }).files,
    pastedText: "Deck.java:2: error: ';' expected\n  int load\n          ^\n1 error\n",
  });
  expect([judgement.class, judgement.reportedLine, notRun]).toEqual([
    "syntax",
    2,
    "Java is not installed (apt-get install openjdk-17-jdk-headless)",
  ]);
});

test("after a text that builds, one that does not build runs nothing: no older program is taken in its place", async () => {
  const good = '#include <stdio.h>\nint main(void)\n{\n    puts("older");\n    return 0;\n}\n';
  expect(shown(await run("c", good))).toBe("older\n");
  const broken = await run("c", good.replace('puts("older");', 'puts("newer")'));
  expect([broken.stoppedBy, consoleText(broken.console, ["out"])]).toEqual(["refused", ""]);
  const trace = await toolchain("c").trace(request("c", good.replace('puts("older");', 'puts("newer")')));
  expect([trace.outcome.stoppedBy, trace.steps.length]).toEqual(["refused", 0]);
});

test("a byte-order mark is taken or refused as the tool itself does, and a window has a clear outcome", async () => {
  expect(
    shown(await run("c", '\ufeff#include <stdio.h>\nint main(void) { int größe = 4; printf("%d\\n", größe); }\n')),
  ).toBe("4\n");
  expect(primary(await run("java", "\ufeffpublic class Main { }\n"))?.message).toContain(
    "illegal character: '\\ufeff'",
  );
  const window = await run(
    "java",
    'public class Main {\n  public static void main(String[] a) {\n    new javax.swing.JFrame("Deck");\n  }\n}\n',
  );
  expect([window.stoppedBy, primary(window)?.errorName, primary(window)?.line]).toEqual([
    "fault",
    "HeadlessException",
    3,
  ]);
});

test("Octave's recording tells whether a condition held", async () => {
  const trace = await toolchain("octave").trace(
    request("octave", "n = 2;\nwhile n > 0\n  n--;\nend\nif n\n  disp(1)\nend\n"),
  );
  expect(trace.steps.filter((step) => step.condition !== undefined).map((step) => [step.line, step.condition])).toEqual(
    [
      [2, true],
      [2, true],
      [2, false],
      [5, false],
    ],
  );
});
