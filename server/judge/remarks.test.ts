import { afterAll, beforeAll, expect, test } from "vitest";
import { findLanguage } from "../../core/languages/languages.ts";
import { createToolchains, type Toolchains } from "../toolchains/toolchains.ts";
import { judgeProgram } from "./judge.ts";

let toolchains: Toolchains;
beforeAll(() => {
  toolchains = createToolchains();
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
  const c =
    '#include <stdio.h>\nint main(void) {\n  int load = 4;\n  if (load > 9) {\n    printf("full\\n");\n  }\n  printf("%d\\n", load);\n}\n';
  expect(await leadsOf("c", "deck.c", c, "4\n")).toEqual([
    "5: This line never ran in this run, so nothing is known of it yet.",
  ]);
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
