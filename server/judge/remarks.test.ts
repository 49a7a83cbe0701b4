import { afterAll, beforeAll, expect, test } from "vitest";
import { findLanguage } from "../../core/languages/languages.ts";
import { textStateOf } from "../../core/reading/reading.ts";
import { sharedToolchains } from "../testToolchains.ts";
import type { Toolchains } from "../toolchains/toolchains.ts";
import { judgeProgram } from "./judge.ts";

let toolchains: Toolchains;
beforeAll(() => {
  toolchains = sharedToolchains();
});
afterAll(() => toolchains.close());

async function leadsOf(id: string, name: string, text: string, expected: string): Promise<string[]> {
  const language = findLanguage(id);
  if (!language) throw new Error(id);
  const { judgement } = await judgeProgram(toolchains, {
    ...{ language, files: [{ name, bytes: Buffer.from(text) }], expected, closely: true },
    policies: { endlessClass: "logic" },
  });
  expect(judgement.class).toBeNull();
  return judgement.leads.map(({ line, why }) => `${line}: ${why}`);
}

test("where a run shows no fault, lines that never ran are said, by stretches", async () => {
  const python = "load = 4\nif load > 9:\n    print('full')\n    load = 0\nelse:\n    print('room')\nprint(load)\n";
  expect(await leadsOf("python", "deck.py", python, "room\n4\n")).toEqual([
    "3: Lines 3 to 4 never ran in this run, so nothing is known of it yet.",
  ]);
  const idle = ["This line never ran in this run, so nothing is known of it yet."];
  const others: Array<[string, string, string]> = [
    [
      "c",
      "deck.c",
      '#include <stdio.h>\nint main(void) {\n  int load = 4;\n  if (load > 9)\n    puts("full");\n  printf("%d\\n", load);\n}\n',
    ],
    [
      "java",
      "Deck.java",
      'class Deck {\n  public static void main(String[] a) {\n    int load = 4;\n    if (load > 9) {\n      System.out.println("full"); }\n    System.out.println(load);\n  }\n}\n',
    ],
    [
      "csharp",
      "Deck.cs",
      'class Deck {\n  static void Main() {\n    int load = 4;\n    if (load > 9) {\n      System.Console.WriteLine("full"); }\n    System.Console.WriteLine(load);\n  }\n}\n',
    ],
    [
      "pascal",
      "deck.pas",
      "program Deck;\nvar load: integer;\nbegin load := 4;\n  if load > 9 then\n    writeln('full');\n  writeln(load);\nend.\n",
    ],
    ["octave", "deck.m", 'load_now = 4;\n\n\nif load_now > 9\n  disp("full");\nend\ndisp(load_now)\n'],
  ];
  for (const [id, name, text] of others)
    expect([id, await leadsOf(id, name, text, "4\n")]).toEqual([id, idle.map((words) => `5: ${words}`)]);
});

test("a value that is read before it was set is seen in the recording, where no translator and no text tells it", async () => {
  const words = "What is printed here comes from a value that was read before it was set";
  const c =
    '#include <stdio.h>\nint main(void) {\n  int deck[3];\n  deck[0] = 4;\n  printf("%d\\n", deck[0]);\n  printf("%d\\n", deck[2] == -16843010);\n}\n';
  expect((await leadsOf("c", "deck.c", c, "4\n0\n")).join("\n")).toContain(`6: ${words}`);
  const set = c.replace("deck[0] = 4;", "deck[0] = 4; deck[2] = 5;");
  expect((await leadsOf("c", "deck.c", set, "4\n0\n")).join("\n")).not.toContain(words);
  const pascal =
    "program Deck;\nprocedure Show;\nvar deck: array[1..3] of longint;\nbegin\n  deck[1] := 4;\n  writeln(deck[1]);\n  writeln(deck[3] = -16843010);\nend;\nbegin\n  Show;\nend.\n";
  expect((await leadsOf("pascal", "deck.pas", pascal, "4\nFALSE\n")).join("\n")).toContain(`7: ${words}`);
  // Two runs of a program that draws on chance differ anyway.
  const random =
    '#include <stdio.h>\n#include <stdlib.h>\nint main(void) {\n  void *deck = malloc(4);\n  printf("%d\\n", (int) (rand() == -1));\n  free(deck);\n}\n';
  expect((await leadsOf("c", "deck.c", random, "0\n")).join("\n")).not.toContain(words);
});

test("chance and the clock are said: another run may give another result", async () => {
  const python = "import random\nrandom.seed(1)\nload = random.randint(4, 4)\nprint(load)\n";
  expect((await leadsOf("python", "deck.py", python, "4\n")).join("\n")).toContain(
    "3: “random” draws on chance, the clock or an address",
  );
  expect(await leadsOf("python", "deck.py", "load = 4\nprint(load)\n", "4\n")).toEqual([]);
});

test("a long program is looked through without delay", async () => {
  const blocks = Array.from({ length: 400 }, (_, index) => `if load > ${index + 9}:\n    print(${index})\n`).join("");
  expect(await leadsOf("python", "deck.py", `load = 4\n${blocks}print(load)\n`, "4\n")).toHaveLength(4);
});

test("the state of a text is what its translator says: a stop while it runs is none of it", async () => {
  const stateOf = async (id: string, name: string, text: string) => {
    const language = findLanguage(id);
    if (!language) throw new Error(id);
    const request = {
      language,
      files: [{ name, bytes: Buffer.from(text) }],
      policies: { endlessClass: "logic" as const },
    };
    const { outcome } = await judgeProgram(toolchains, request);
    return outcome && textStateOf(outcome);
  };
  expect(await stateOf("python", "deck.py", "print(1 / 0)\n")).toBe("clean");
  expect(await stateOf("python", "deck.py", "print(1 is 1)\n")).toBe("warnings only");
  expect(await stateOf("python", "deck.py", "print(1\n")).toBe("errors");
  const c = (body: string) => `#include <stdio.h>\nint main(void) { ${body} }\n`;
  expect(await stateOf("c", "deck.c", c('int n = 4; if (n = 3) puts("deck");'))).toBe("warnings only");
  expect(await stateOf("c", "deck.c", c("int *p = 0; return *p;"))).toBe("clean");
});
