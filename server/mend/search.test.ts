import { afterAll, beforeAll, expect, test } from "vitest";
import { findLanguage } from "../../core/languages/languages.ts";
import { todaysShare } from "../../tools/share.ts";
import { sharedToolchains } from "../testToolchains.ts";
import type { Toolchains } from "../toolchains/toolchains.ts";
import { searchFixes } from "./search.ts";
import type { SearchCheck } from "./searchRuns.ts";

let toolchains: Toolchains;
beforeAll(() => {
  toolchains = sharedToolchains();
});
afterAll(() => toolchains.close());

/** A search ends by itself long before the seconds do, unless the machine has much else to do. */
async function look(language: string, text: string, checks: readonly SearchCheck[], seconds = 100) {
  const found = findLanguage(language);
  if (!found) throw new Error(language);
  const files = [{ name: found.mainName, bytes: Buffer.from(text) }];
  return searchFixes(toolchains, { language: found, files, checks, policies: { endlessClass: "logic" }, seconds });
}

test("a refusal and a wrong result behind it are mended one after the other, the first one's line first", async () => {
  const { fixes } = await look(
    "python",
    'loads = [4, 5]\ntotal = 0\nfor load in loads\n    total -= load\nprint("Total:", total)\n',
    [{ input: "", expected: "Total: 9\n" }],
  );
  expect(fixes[0]?.lines).toEqual([3, 4]);
  expect(fixes[0]?.text).toContain("for load in loads:\n    total += load\n");
});

test("a stop is mended where its value was made, with two inputs that say so", async () => {
  const checks = [
    { input: "3\n", expected: "Load 6\n" },
    { input: "5\n", expected: "Load 10\n" },
  ];
  const { fixes } = await look("python", 'cars = input()\nprint("Load", cars * 2 - 0)\n', checks);
  expect(fixes[0]).toMatchObject({ lines: [1], repairs: "repairs", families: ["conversion"] });
});

const slips: [language: string, program: string, line: number][] = [
  [
    "c",
    '#include <stdio.h>\nint main(void)\n{\n    int n;\n    scanf("%d", n);\n    printf("%d\\n", n + 1);\n    return 0;\n}\n',
    5,
  ],
  [
    "java",
    "import java.util.*;\npublic class Main {\n    public static void main(String[] args) {\n        int n = new Scanner(System.in).nextInt()\n        System.out.println(n + 1);\n    }\n}\n",
    4,
  ],
  [
    "csharp",
    "using System;\nclass P {\n    static void Main() {\n        int n = Console.ReadLine();\n        Console.WriteLine(n + 1);\n    }\n}\n",
    4,
  ],
  ["pascal", "var n: integer;\nbegin\n  readln(n);\n  n = n + 1;\n  writeln(n);\nend.\n", 4],
  ["octave", 'n = input("");\nprintf("%d\\n", n - 1);\n', 2],
];

test.each(todaysShare(slips, 4))("in %s the slip is found on its line", async (language, text, line) => {
  const { fixes } = await look(language, text, [
    { input: "3\n", expected: "4\n" },
    { input: "8\n", expected: "9\n" },
  ]);
  expect(fixes[0]?.lines).toEqual([line]);
});

test("checks that no change can satisfy end in time, with how many were tried; a long program is not searched", async () => {
  const none = await look("python", "print(1)\n", [{ input: "", expected: "a long way off\n" }], 2);
  expect(none.fixes).toEqual([]);
  expect(none.tried).toBeGreaterThan(0);
  expect(none.seconds).toBeLessThan(60);
  const long = await look("python", "x = 1\n".repeat(600), [{ input: "", expected: "2\n" }]);
  expect(long.notSearched).toContain("lines");
});
