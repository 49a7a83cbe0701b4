import { afterAll, beforeAll, expect, test } from "vitest";
import type { Probe } from "../../core/narrowing/probes.ts";
import { collectCase, findCase } from "../cases/caseStore.ts";
import { openTestServices } from "../testServices.ts";
import { tryProbes } from "./narrow.ts";
import { listTries } from "./narrowStore.ts";

let services: Awaited<ReturnType<typeof openTestServices>>;
beforeAll(async () => {
  services = await openTestServices();
});
afterAll(() => services.close());

async function tried(language: string, name: string, text: string, probes: Probe[], input = "", belief = "") {
  const key = await collectCase(services.database, {
    ...{ language, course: null, student: null, title: "Deck", intent: "", changedLast: "" },
    files: [{ name, bytes: Buffer.from(text) }],
    ...{ input, expected: "9\n", symptom: null },
  });
  const found = await findCase(services.database, key);
  if (!found) throw new Error("no case");
  const said = await tryProbes(services, found, { role: "program" }, { check: "", probes, belief });
  const again = await findCase(services.database, key);
  return {
    said,
    log: await listTries(services.database.query, key),
    stays: again?.loaded.at(-1)?.files[0]?.text === text,
  };
}
const printed = ({ log }: Awaited<ReturnType<typeof tried>>) =>
  (log[0]?.result.pieces ?? [])
    .filter((piece) => piece.kind === "probe")
    .map((piece) => `${piece.probe}: ${piece.text}`);
const print = (line: number, expression: string): Probe => ({ kind: "print", line, expression });

test.each<[string, string, string, Probe[], string[]]>([
  [
    "python",
    "deck.py",
    "loads = [4, 5]\ntotal = 0\nfor load in loads:\n    total = load\nprint(total)\n",
    [print(1, "loads"), print(4, "total")],
    ["1: [4, 5]", "2: 4", "2: 5"],
  ],
  [
    "java",
    "Deck.java",
    "public class Deck {\n  public static void main(String[] args) {\n    int[] loads = {4, 5};\n    int total = 0;\n    for (int load : loads)\n      total = load;\n    System.out.println(total);\n  }\n}\n",
    [print(3, "loads"), print(6, "total")],
    ["1: [4, 5]", "2: 4", "2: 5"],
  ],
  [
    "c",
    "deck.c",
    '#include <stdio.h>\nint main(void)\n{\n    double total = 0.5;\n    char name[] = "gull";\n    for (int i = 4; i <= 5; i++)\n        total = i;\n    printf("%g\\n", total);\n    return 0;\n}\n',
    [print(5, "name"), print(7, "total"), print(9, "1 + 2")],
    ["1: gull", "2: 4", "2: 5", "3: 3"],
  ],
  [
    "csharp",
    "Deck.cs",
    "using System;\nclass Deck {\n  static void Main() {\n    int[] loads = {4, 5};\n    int total = 0;\n    foreach (int load in loads)\n      total = load;\n    Console.WriteLine(total);\n  }\n}\n",
    [print(4, "loads"), print(7, "total")],
    ["1: [4, 5]", "2: 4", "2: 5"],
  ],
  [
    "pascal",
    "deck.pas",
    "var total, i: integer;\nbegin\n  total := 0;\n  for i := 4 to 5 do\n    total := i;\n  writeln(total);\nend.\n",
    [print(3, "total"), print(5, "total")],
    ["1: 0", "2: 4", "2: 5"],
  ],
  [
    "octave",
    "deck.m",
    "loads = [4, 5];\ntotal = 0;\nfor load_now = loads\n  total = load_now;\nend\nprintf('%d\\n', total);\n",
    [print(1, "loads"), print(4, "total")],
    ["1: 4   5", "2: 4", "2: 5"],
  ],
])(
  "values are printed in a copy of a program in %s, and the program stays as it is",
  async (language, name, text, probes, wanted) => {
    const done = await tried(language, name, text, probes);
    expect(done.said).toEqual({ ok: true });
    expect(printed(done)).toEqual(wanted);
    expect(done.log[0]?.result).toMatchObject({ passes: false });
    expect(done.stays).toBe(true);
  },
);

test("a value tried and a line switched off show whether the result becomes as intended", async () => {
  const text = "total = 4\ntotal = total - 5\nprint(total)\n";
  const done = await tried(
    "python",
    "deck.py",
    text,
    [{ kind: "set", line: 2, name: "total", value: "9" }, print(3, "total")],
    "",
    "the second line is wrong",
  );
  expect(done.log[0]).toMatchObject({ belief: "the second line is wrong", result: { passes: true } });
  expect(printed(done)).toEqual(["2: 9"]);
  const off = await tried("python", "deck.py", "print(9)\nprint(10)\n", [{ kind: "off", line: 2 }]);
  expect(off.log[0]?.result.passes).toBe(true);
});

test("a probe that cannot stand where it is wanted, or that the translator refuses, is said", async () => {
  const none = await tried("python", "deck.py", "x = 1\n", []);
  expect(none.said).toMatchObject({ ok: false });
  const nowhere = await tried("python", "deck.py", "x = 1\n\n", [print(2, "x")]);
  expect(nowhere.said).toMatchObject({ ok: false, message: expect.stringContaining("No statement begins in line 2") });
  expect(nowhere.log).toEqual([]);
  const wrong = await tried("python", "deck.py", "x = 1\nprint(x)\n", [print(1, "x +")]);
  expect(wrong.said).toEqual({ ok: true });
  expect(wrong.log[0]?.result.ended).not.toBe("");
  expect(wrong.log[0]?.result.passes).toBe(false);
});
