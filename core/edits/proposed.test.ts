import { describe, expect, test } from "vitest";
import { findLanguage } from "../languages/languages.ts";
import { editContext } from "./context.ts";
import { applyEdit } from "./edit.ts";
import { proposeEdits } from "./families.ts";

/** Lines that a family makes in the place of others of a program, with how likely each is. */
function proposed(id: string, family: string, text: string): Map<string, number> {
  const language = findLanguage(id);
  const context = language && editContext(language, text);
  if (!context) throw new Error(id);
  const made = new Map<string, number>();
  for (const edit of proposeEdits(context, "mend")) {
    if (edit.family !== family) continue;
    const after = applyEdit(text, edit).split("\n");
    const line = after.find((each, at) => each !== text.split("\n")[at]) ?? "";
    made.set(line.trim(), Math.max(edit.odds, made.get(line.trim()) ?? 0));
  }
  return made;
}
const linesOf = (...given: Parameters<typeof proposed>) => [...proposed(...given).keys()];

describe("the place of an element that is left out", () => {
  test("as elements are picked elsewhere, by names that are known there alone", () => {
    const text =
      "loads = [4, 9]\nfor i in range(2):\n    print(loads[i])\ntotal = 0\nfor k in range(2):\n    total += loads\n";
    expect(linesOf("python", "index-left-out", text)).toContain("total += loads[i]");
    const inFunction = `def f(loads):\n    for i in range(2):\n        print(loads[i])\n\n\nfor k in range(2):\n    total = total + loads\n`;
    expect(linesOf("python", "index-left-out", inFunction)).not.toContain("total = total + loads[i]");
  });

  test("by what the loop counts that goes over the places of the list", () => {
    const c = "int f(char *t) {\n  int n = 0;\n  for (int i = 0; i < strlen(t); i++)\n    n += t;\n  return n;\n}\n";
    expect(linesOf("c", "index-left-out", c)).toContain("n += t[i];");
    const python = "for k in range(len(name)):\n    letter = name\n";
    expect(linesOf("python", "index-left-out", `name = input()\n${python}`)).toContain("letter = name[k]");
    const octave = "name = 'tern';\nfor k = 1:length(name)\n  letter = name;\nend\n";
    expect(linesOf("octave", "index-left-out", octave)).toContain("letter = name(k);");
  });

  test("none in a loop over the elements themselves, and none where the list itself is meant", () => {
    expect(linesOf("python", "index-left-out", "for load in loads:\n    total += loads\n")).toEqual([]);
    const asked = "loads = [4, 9]\nprint(loads[0])\nprint(loads.count(4))\nloads.append(3)\n";
    expect(linesOf("python", "index-left-out", asked)).not.toContain("loads[0].append(3)");
  });
});

describe("numbers", () => {
  test("one of many that stand beside each other is seldom the slip; the first value of a sum is as likely as ever", () => {
    const text = "int f(void) {\n  int loads[4] = {4, 8, 15, 16};\n  int sum = 1;\n  return sum;\n}\n";
    const made = proposed("c", "constant", text);
    expect(made.get("int sum = 0;")).toBeGreaterThan(2 * (made.get("int loads[4] = {3, 8, 15, 16};") ?? 1));
  });

  test("two numbers handed over as they stand are swapped later than two names", () => {
    const names = proposed("python", "swapped", "def f(a, b):\n    return a - b\n\nlow = 1\nhigh = 2\nf(low, high)\n");
    const numbers = proposed("python", "swapped", "def f(a, b):\n    return a - b\n\nf(1, 2)\n");
    expect(names.get("f(high, low)")).toBeGreaterThan(2 * (numbers.get("f(2, 1)") ?? 1));
  });

  test("one more than a number that stands there is another number, and no sum", () => {
    const made = linesOf("c", "by-one", "int f(int a) {\n  a = a - 30;\n  return a;\n}\n");
    expect(made.filter((line) => /30 [-+] 1/.test(line))).toEqual([]);
  });

  test("an element that is the same in each pass may be that of the pass", () => {
    const text = "begin\n  for i := length(name) downto 1 do\n    back := back + name[1];\nend.";
    expect(linesOf("pascal", "other-name", text)).toContain("back := back + name[i];");
    expect(linesOf("pascal", "other-name", "begin\n  back := name[1];\n  i := 2;\nend.")).not.toContain(
      "back := name[i];",
    );
  });
});

test("what a loop waits for gets what is worked out and read nowhere, before all else", () => {
  const loop = "while tank > 0:\n    hours += 1\n    level = tank - leak\n";
  const made = proposed("python", "other-name", `tank = 9\nleak = 2\nhours = 0\n${loop}print(hours)\n`);
  expect([...made].sort((one, other) => other[1] - one[1])[0]?.[0]).toBe("tank = tank - leak");
  // Where the loop comes to its end as it is, nothing is waited for.
  const ends = proposed("python", "other-name", `tank = 9\nleak = 2\nhours = 0\n${loop}    tank -= 1\nprint(hours)\n`);
  expect(ends.get("tank = tank - leak")).toBeLessThan(made.get("tank = tank - leak") ?? 0);
});

describe("texts and pieces", () => {
  test("the sign of filling in, where a name of the program stands between the braces", () => {
    expect(linesOf("csharp", "filled-in", 'class P { void F(int load) { Say("{load:F1} t"); } }')).toEqual([
      'class P { void F(int load) { Say($"{load:F1} t"); } }',
    ]);
    expect(linesOf("python", "filled-in", 'print("{load} t")\n')).toEqual([]);
    expect(linesOf("python", "filled-in", 'load = 3\nprint(f"{load} t", "{}")\n')).toEqual([]);
    expect(linesOf("java", "filled-in", 'class M { void f(int load) { say("{load} t"); } }')).toEqual([]);
  });

  test("the colon of a piece, on either side", () => {
    const made = linesOf("python", "by-one", "end = code[-2]\n");
    expect(made).toEqual(expect.arrayContaining(["end = code[-2:]", "end = code[:-2]"]));
    expect(linesOf("java", "by-one", "class M { int f(int[] a) { return a[2]; } }").join()).not.toContain(":");
  });
});

test("branches change places as wholes, the covered ones first; a sign behind the decision stays there", () => {
  const text = "begin\n  if a > 6 then\n    b := 1\n  else if a > 9 then\n    b := 2;\n  c := 3;\nend.";
  const language = findLanguage("pascal");
  const context = language && editContext(language, text);
  const edit = context && proposeEdits(context, "mend").find(({ family }) => family === "branch-order");
  expect(edit && applyEdit(text, edit)).toBe(
    "begin\n  if a > 9 then\n    b := 2\n  else if a > 6 then\n    b := 1;\n  c := 3;\nend.",
  );
  expect(edit?.odds).toBe(3);
});
