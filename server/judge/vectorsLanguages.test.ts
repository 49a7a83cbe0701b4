import { afterAll, beforeAll, describe, expect, test } from "vitest";
import { findLanguage } from "../../core/languages/languages.ts";
import { consoleText, type Outcome } from "../../core/outcome/outcome.ts";
import { buildTable } from "../../core/trace/table.ts";
import { sharedToolchains } from "../testToolchains.ts";
import type { Toolchains } from "../toolchains/toolchains.ts";
import { judgeProgram } from "./judge.ts";

let toolchains: Toolchains;
beforeAll(() => {
  toolchains = sharedToolchains();
});
afterAll(() => toolchains.close());

async function judged(id: string, program: string, input = "") {
  const language = findLanguage(id);
  if (!language) throw new Error(id);
  return judgeProgram(toolchains, {
    language,
    policies: { endlessClass: "logic" },
    files: [{ name: language.mainName, bytes: Buffer.from(program) }],
    input,
  });
}
const printed = (outcome: Outcome | null) => consoleText(outcome?.console ?? [], ["out"]);
const errorLines = (outcome: Outcome | null) =>
  outcome?.diagnostics.filter((each) => each.severity === "error").map((each) => each.line);
const java = (body: string) => `public class Main {\n  public static void main(String[] args) {\n${body}\n  }\n}\n`;

describe("where each translator reports a missing or surplus sign", () => {
  test("Java: a missing terminator on its own line; C, C# and Pascal: on the next line that is not blank", async () => {
    expect((await judged("java", java("    int a = 3\n\n    int b = 4;"))).judgement.reportedLine).toBe(3);
    expect((await judged("c", "int main(void)\n{\n    int a = 3\n\n    int b = 4;\n}\n")).judgement.reportedLine).toBe(
      5,
    );
    expect(
      (await judged("csharp", "class P {\n  static void Main() {\n    int a = 3\n\n    int b = 4;\n  }\n}\n")).judgement
        .reportedLine,
    ).toBe(5);
    expect(
      (await judged("pascal", "program P;\nvar a, b: integer;\nbegin\n  a := 3\n\n  b := 4;\nend.\n")).judgement
        .reportedLine,
    ).toBe(6);
  });

  test("Java: an operator in the terminator's place is reported on the line after it, and that line is not taken for the faulty one", async () => {
    const { judgement } = await judged("java", java("    int a = 3 +\n    int b = 4;"));
    expect(judgement.class).toBe("syntax");
    expect([judgement.reportedLine, judgement.leads.some((lead) => lead.line === 3)]).toEqual([4, true]);
  });

  test("Java: a method's closing brace that is absent is told at the next header, past the blank line", async () => {
    const text = "public class Main {\n  static void load() {\n    int a = 3;\n\n  static void unload() {\n  }\n}\n";
    const { judgement } = await judged("java", text);
    expect([judgement.class, judgement.kind, judgement.reportedLine]).toEqual(["syntax", "form", 5]);
    expect(judgement.leads.map((lead) => lead.line)).toContain(3);
  });

  test("Java: of the messages after a surplus brace the first counts, and the brace itself is a lead", async () => {
    const { judgement, outcome } = await judged(
      "java",
      "public class Main {\n  static void load() {\n    int a = 3;\n  }\n\n  }\n  static void unload() {\n  }\n}\n",
    );
    expect((errorLines(outcome) ?? []).length).toBeGreaterThan(0);
    expect(judgement.reportedLine).toBe(errorLines(outcome)?.[0]);
    expect(judgement.leads.map((lead) => lead.line)).toContain(6);
  });
});

test("the same misspelt name keeps four languages from starting and stops two when its line is reached", async () => {
  const classes = await Promise.all(
    [
      ["java", java("    int total = 4;\n    System.out.println(totl);")],
      ["c", '#include <stdio.h>\nint main(void)\n{\n    int total = 4;\n    printf("%d\\n", totl);\n}\n'],
      [
        "csharp",
        "class P {\n  static void Main() {\n    int total = 4;\n    System.Console.WriteLine(totl);\n  }\n}\n",
      ],
      ["pascal", "program P;\nvar total: integer;\nbegin\n  total := 4;\n  writeln(totl);\nend.\n"],
      ["python", "total = 4\nprint(totl)\n"],
      ["octave", "total = 4;\ndisp(totl)\n"],
    ].map(async ([id = "", program = ""]) => {
      const { judgement } = await judged(id, program);
      // In every language the name that looks like it is a lead.
      expect([id, judgement.leads.some((lead) => lead.why.includes("“totl” looks like it"))]).toEqual([id, true]);
      return [id, judgement.class, judgement.kind];
    }),
  );
  expect(classes).toEqual([
    ["java", "syntax", "meaning"],
    ["c", "syntax", "meaning"],
    ["csharp", "syntax", "meaning"],
    ["pascal", "syntax", "meaning"],
    ["python", "runtime", null],
    ["octave", "runtime", null],
  ]);
});

test("a misspelt name in a branch that is not taken hides in Python and Octave; a fault of grammar there stops everything", async () => {
  expect((await judged("python", "if 1 > 2:\n    print(totl)\nprint('out')\n")).judgement.class).toBeNull();
  expect((await judged("octave", 'if 1 > 2\n  disp(totl)\nend\ndisp("out")\n')).judgement.class).toBeNull();
  for (const [id, program] of [
    ["python", "if 1 > 2:\n    print('totl)\nprint('out')\n"],
    ["octave", 'if 1 > 2\n  disp("totl)\nend\ndisp("out")\n'],
  ] as const) {
    const { judgement, outcome } = await judged(id, program);
    expect([id, judgement.class, printed(outcome)]).toEqual([id, "syntax", ""]);
  }
});

test("a literal zero as divisor: C# refuses it, Java and Python stop when they reach it; from a variable all stop", async () => {
  expect((await judged("csharp", "class P { static void Main() { int a = 4 / 0; } }\n")).judgement).toMatchObject({
    class: "syntax",
    kind: "meaning",
  });
  expect((await judged("java", java("    int a = 4 / 0;"))).judgement.class).toBe("runtime");
  expect((await judged("python", "a = 4 / 0\n")).judgement.class).toBe("runtime");
  expect(
    (await judged("csharp", "class P { static void Main(string[] a) { int zero = a.Length; zero = 4 / zero; } }\n"))
      .judgement.class,
  ).toBe("runtime");
  const { judgement } = await judged(
    "pascal",
    "program P;\nvar a, b: real;\nbegin\n  b := 0;\n  a := 4 / b;\n  writeln(a);\nend.\n",
  );
  expect([judgement.class, judgement.reportedLine, judgement.diagnostic?.code]).toEqual(["runtime", 5, "208"]);
});

test("the same shift of a line is refused in Python and passes unseen in Java", async () => {
  expect((await judged("python", "if 1 < 2:\n    a = 3\n      b = 4\n")).judgement).toMatchObject({
    class: "syntax",
    kind: "form",
  });
  expect(
    (await judged("java", java("    if (1 < 2)\n        System.out.println(3);\n        System.out.println(4);")))
      .judgement.class,
  ).toBeNull();
});

test("C: a wrong nesting runs and is only warned about, and a warning decides nothing", async () => {
  const { judgement, outcome } = await judged(
    "c",
    '#include <stdio.h>\nint main(void)\n{\n    int a = 3;\n    if (a > 5)\n        if (a > 4)\n            puts("one");\n    else\n        puts("two");\n    if (a > 5)\n        puts("three");\n        puts("four");\n    return 0;\n}\n',
  );
  expect([judgement.class, printed(outcome)]).toEqual([null, "four\n"]);
  expect(outcome?.diagnostics.filter((each) => each.severity === "warning").map((each) => each.code)).toEqual(
    expect.arrayContaining(["-Wdangling-else", "-Wmisleading-indentation"]),
  );
});

test("C: what a number's input leaves behind is read by the next character's; a blank in the format passes over it", async () => {
  const reads = (format: string) =>
    `#include <stdio.h>\nint main(void)\n{\n    int a; char c;\n    scanf("%d", &a);\n    scanf("${format}", &c);\n    printf("%d\\n", c);\n}\n`;
  expect(printed((await judged("c", reads("%c"), "3\n+\n")).outcome)).toBe("10\n");
  expect(printed((await judged("c", reads(" %c"), "3\n+\n")).outcome)).toBe("43\n");
});

test("Java: joining goes from left to right", async () => {
  const { outcome } = await judged(
    "java",
    java(
      '    int a = 1, b = 2;\n    System.out.println("x" + a + b);\n    System.out.println("x" + (a + b));\n    System.out.println(a + b + "x");',
    ),
  );
  expect(printed(outcome)).toBe("x12\nx3\n3x\n");
});

test("Java: counting down from 30 while greater than 20 gives ten passes, the last with 21", async () => {
  const trace = await toolchains.find("java")?.trace({
    files: [
      {
        name: "Main.java",
        bytes: Buffer.from(
          java("    int n = 30;\n    while (n > 20) {\n      System.out.println(n);\n      n--;\n    }"),
        ),
      },
    ],
    input: "",
    limits: {
      cpuSeconds: 2,
      wallSeconds: 5,
      memoryBytes: 268_435_456,
      processes: 64,
      outputBytes: 1_048_576,
      fileBytes: 16_777_216,
      steps: 20_000,
    },
  });
  const rows = trace ? buildTable(trace, { rows: "line" }).rows : [];
  const shown = rows.filter((row) => row.output !== "").map((row) => row.output.trim());
  expect([shown.length, shown.at(-1)]).toEqual([10, "21"]);
  expect(rows.filter((row) => row.cells["main.n"] !== undefined).at(-1)?.cells["main.n"]).toBe("20");
});

test("endless loop and endless recursion are different symptoms", async () => {
  const loop = await judged("java", java("    int n = 1;\n    while (n > 0) {\n      int m = n;\n    }"));
  expect([loop.judgement.symptom, loop.judgement.class]).toEqual(["has not ended", "logic"]);
  const recursion = await judged(
    "java",
    "public class Main {\n  static int deep(int n) {\n    return deep(n);\n  }\n  public static void main(String[] a) {\n    deep(1);\n  }\n}\n",
  );
  expect([recursion.judgement.symptom, recursion.judgement.class, recursion.judgement.diagnostic?.errorName]).toEqual([
    "stopped while running",
    "runtime",
    "StackOverflowError",
  ]);
  const inC = await judged(
    "c",
    "int deep(int n)\n{\n    return deep(n + 1) + 1;\n}\nint main(void)\n{\n    return deep(1);\n}\n",
  );
  expect([inC.judgement.class, inC.judgement.reportedLine, inC.outcome?.found?.frames.at(-1)?.name]).toEqual([
    "runtime",
    null,
    "deep",
  ]);
});
