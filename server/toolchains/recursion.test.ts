import { afterAll, expect, test } from "vitest";
import { consoleText, limitsSchema } from "../../core/outcome/outcome.ts";
import { buildTable, callCell, hasCalls } from "../../core/trace/table.ts";
import { sharedToolchains } from "../testToolchains.ts";

const toolchains = sharedToolchains();
afterAll(() => toolchains.close());

/** A function that calls itself and uses what it was given once more when it goes on. */
test.each<[string, string, string]>([
  [
    "python",
    "sail.py",
    "def sail(n):\n    if n == 0:\n        return 0\n    rest = sail(n - 1)\n    return rest + n\nprint(sail(2))\n",
  ],
  [
    "java",
    "Sail.java",
    "public class Sail {\n  static int sail(int n) {\n    if (n == 0)\n      return 0;\n    int rest = sail(n - 1);\n    return rest + n;\n  }\n  public static void main(String[] args) {\n    System.out.println(sail(2));\n  }\n}\n",
  ],
  [
    "c",
    "sail.c",
    '#include <stdio.h>\nint sail(int n)\n{\n    if (n == 0)\n        return 0;\n    int rest = sail(n - 1);\n    return rest + n;\n}\nint main(void)\n{\n    printf("%d\\n", sail(2));\n    return 0;\n}\n',
  ],
  [
    "csharp",
    "Sail.cs",
    "using System;\nclass Sail {\n  static int Go(int n) {\n    if (n == 0)\n      return 0;\n    int rest = Go(n - 1);\n    return rest + n;\n  }\n  static void Main() {\n    Console.WriteLine(Go(2));\n  }\n}\n",
  ],
  [
    "pascal",
    "sail.pas",
    "function sail(n: integer): integer;\nvar rest: integer;\nbegin\n  if n = 0 then\n    sail := 0\n  else\n  begin\n    rest := sail(n - 1);\n    sail := rest + n;\n  end;\nend;\nbegin\n  writeln(sail(2));\nend.\n",
  ],
  [
    "octave",
    "sail.m",
    "1;\nfunction r = sail(n)\n  r = 0;\n  if n > 0\n    rest = sail(n - 1);\n    r = rest + n;\n  end\nend\nprintf('%d\\n', sail(2));\n",
  ],
])(
  "in %s the values of each call stand again when it goes on, and its calls are told",
  async (language, name, text) => {
    const toolchain = toolchains.find(language);
    const trace = await toolchain?.trace({
      files: [{ name, bytes: Buffer.from(text) }],
      input: "",
      limits: limitsSchema.parse({}),
    });
    if (!trace) throw new Error(language);
    const table = buildTable(trace);
    expect(hasCalls(table)).toBe(true);
    const column = table.columns.find((each) => each.title === "n");
    const shown = table.rows.flatMap((row) => row.cells[column?.key ?? ""] ?? []);
    // Down to nothing, and up again as the calls go on.
    expect(shown).toEqual(["2", "1", "0", "1", "2"]);
    const entered = table.rows.map(callCell).filter((cell) => /\((?:n = )?\d/.test(cell));
    expect(entered.map((cell) => /\d+/.exec(cell)?.[0])).toEqual(["2", "1", "0"]);
  },
);

/** What becomes of a program in C under a limit of a megabyte of output. */
async function ranInC(text: string) {
  const outcome = await toolchains.find("c")?.run({
    files: [{ name: "count.c", bytes: Buffer.from(text) }],
    input: "",
    // However slow the machine is, time does not come first.
    limits: limitsSchema.parse({ wallSeconds: 60, cpuSeconds: 30 }),
  });
  if (!outcome) throw new Error("c");
  return outcome;
}
const down = (end: string) =>
  `#include <stdio.h>\nint down(int n)\n{\n${end}    printf("%d minutes left\\n", n);\n    return 1 + down(n - 15);\n}\nint main(void)\n{\n    printf("%d\\n", down(40));\n    return 0;\n}\n`;

test("calls without end that print in each call stop by their full stack, not by how much they print", async () => {
  const outcome = await ranInC(down(""));
  expect([outcome.stoppedBy, outcome.exit?.signal]).toEqual(["fault", 11]);
  expect(outcome.diagnostics.some((each) => each.primary)).toBe(true);
  // What is kept of it is no more than was allowed.
  expect(consoleText(outcome.console, ["out"]).length).toBeLessThanOrEqual(1024 * 1024);
});

test("a loop that prints without end is stopped by how much it prints", async () => {
  const loop = '#include <stdio.h>\nint main(void)\n{\n    for (;;)\n        printf("sailing\\n");\n}\n';
  expect((await ranInC(loop)).stoppedBy).toBe("output");
});

test("calls that come to an end are no matter of limits", async () => {
  const outcome = await ranInC(down("    if (n <= 0)\n        return 0;\n"));
  expect(outcome.stoppedBy).toBe("none");
  expect(consoleText(outcome.console, ["out"])).toMatch(/40 minutes left\r?\n25 minutes left[\s\S]*\n3\r?\n$/);
});
