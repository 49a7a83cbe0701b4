import { describe, expect, test } from "vitest";
import { findLanguage } from "../languages/languages.ts";
import { editContext } from "./context.ts";
import { applyEdit } from "./edit.ts";
import { proposeEdits } from "./families.ts";

/** The programs that one family makes of a text, the likeliest first. */
function madeBy(family: string, language: string, text: string, how: "mend" | "mend a refusal" = "mend"): string[] {
  const found = findLanguage(language);
  const context = found && editContext(found, text);
  if (!context) throw new Error(`no trees for ${language}`);
  return proposeEdits(context, how)
    .filter((edit) => edit.family === family)
    .sort((one, other) => other.odds - one.odds)
    .map((edit) => applyEdit(text, edit));
}

/** Programs with a slip, and what its family proposes first. */
test.each([
  [
    "a loop that is never entered begins with the other truth",
    ...(["constant", "pascal"] as const),
    "begin\n  ready := true;\n  while not ready do\n    step;\nend.\n",
    "begin\n  ready := false;\n  while not ready do\n    step;\nend.\n",
  ],
  [
    "a product begins with 1",
    ...(["constant", "c"] as const),
    "int f(int n) {\n  int ways = 0;\n  while (n-- > 4)\n    ways *= n;\n  return ways;\n}\n",
    "int f(int n) {\n  int ways = 1;\n  while (n-- > 4)\n    ways *= n;\n  return ways;\n}\n",
  ],
  [
    "what is asked whether it is a place begins with none",
    ...(["constant", "csharp"] as const),
    "class P { void F(int[] a) { int storm = 0; if (storm >= 0) G(storm); } }",
    "class P { void F(int[] a) { int storm = -1; if (storm >= 0) G(storm); } }",
  ],
  [
    "the second of two lines with the same element picks the next one",
    ...(["constant", "python"] as const),
    "hour = int(parts[0])\nminute = int(parts[0])\n",
    "hour = int(parts[0])\nminute = int(parts[1])\n",
  ],
  [
    "values with the names of each other's places change places",
    ...(["swapped", "python"] as const),
    "def moor(boat, length):\n    return 1\n\nprint(a - b)\nmoor(length, boat)\n",
    "def moor(boat, length):\n    return 1\n\nprint(a - b)\nmoor(boat, length)\n",
  ],
  [
    "what would point to itself is linked first",
    ...(["moved", "java"] as const),
    "class M {\n  void add(Boat made) {\n    first = made;\n    made.next = first;\n    count++;\n  }\n}\n",
    "class M {\n  void add(Boat made) {\n    made.next = first;\n    first = made;\n    count++;\n  }\n}\n",
  ],
  [
    "what the loop waits for moves on in every pass",
    ...(["moved", "python"] as const),
    'line = input()\nwhile line != "end":\n    if late:\n        count = 1\n        line = input()\n',
    'line = input()\nwhile line != "end":\n    if late:\n        count = 1\n    line = input()\n',
  ],
  [
    "a name that is printed as text loses its quotes",
    ...(["text-or-number", "python"] as const),
    'total = 3\nkind = "7"\nprint("Sold", "total")\n',
    'total = 3\nkind = "7"\nprint("Sold", total)\n',
  ],
  [
    "a list with two names that is changed by one of them is copied",
    ...(["copied", "python"] as const),
    "order = waiting\nother = waiting\nfor name in order:\n    show(name)\nother.reverse()\nwaiting = []\n",
    "order = waiting\nother = waiting[:]\nfor name in order:\n    show(name)\nother.reverse()\nwaiting = []\n",
  ],
  [
    "a function that says no says yes at its end",
    ...(["returned", "python"] as const),
    "def moor(boat):\n    if boat > 3:\n        return False\n    boats.append(boat)\n",
    "def moor(boat):\n    if boat > 3:\n        return False\n    boats.append(boat)\n    return True\n",
  ],
  [
    "a place is worked out again where its text was cut",
    ...(["step-left-out", "pascal"] as const),
    "begin\n  p := Pos('-', line);\n  Delete(line, 1, p);\n  rest := Copy(line, 1, p - 1);\nend.\n",
    "begin\n  p := Pos('-', line);\n  Delete(line, 1, p);\n  p := Pos('-', line);\n  rest := Copy(line, 1, p - 1);\nend.\n",
  ],
  [
    "a list is filled from its other end",
    ...(["counterpart", "csharp"] as const),
    "class P { void F() { queue.Add(boat); } }",
    "class P { void F() { queue.Insert(0, boat); } }",
  ],
  [
    "the first place is kept by leaving the loop there",
    ...(["leaving", "c"] as const),
    "void f(int *a) {\n  int first = -1;\n  for (int h = 0; h < 9; h++) {\n    if (a[h] > 3) {\n      first = h;\n    }\n  }\n}\n",
    "void f(int *a) {\n  int first = -1;\n  for (int h = 0; h < 9; h++) {\n    if (a[h] > 3) {\n      first = h;\n      break;\n    }\n  }\n}\n",
  ],
  [
    "decimals are compared by how far they are apart",
    ...(["tolerance", "c"] as const),
    "int f(double a, double b) { return a - 1 == b; }",
    "int f(double a, double b) { return fabs((a - 1) - b) < 0.001; }",
  ],
  [
    "the other sign of division where the language has both",
    ...(["arithmetic", "octave"] as const),
    "depth = total \\ count;\n",
    "depth = total / count;\n",
  ],
])("%s", (_, family, language, faulty, right) => {
  expect(madeBy(family, language, faulty)[0]).toBe(right);
});

test("the ends of a piece that is cut out are tried before other numbers", () => {
  const made = madeBy("constant", "python", "limit = 7\nprint(code[2:3])\n");
  const pieces = ["[1:3]", "[3:3]", "[2:2]", "[2:4]"].map((piece) => `limit = 7\nprint(code${piece})\n`);
  expect(made.slice(0, 4).sort()).toEqual(pieces.sort());
});

describe("the end of a block", () => {
  const tries = "function n = tries(left)\n  if left <= 0\n    n = 0;\n  else\n    n = 1 + tries(left - 3);\nend\n";
  test("stands behind all of its branches, not before the next one", () => {
    const made = madeBy("block-end", "octave", tries, "mend a refusal");
    expect(made).toContain(tries.replace("- 3);\n", "- 3);\n  end\n"));
    expect(made).not.toContain(tries.replace("    n = 0;\n", "    n = 0;\n  end\n"));
  });

  test("is likelier where none stands than where one does", () => {
    const whole = tries.replace("- 3);\n", "- 3);\n  end\n");
    expect(madeBy("block-end", "octave", tries, "mend a refusal")[0]).toBe(whole);
  });
});

describe("a quotient of whole numbers", () => {
  test("may be made a decimal by what is divided alone", () => {
    const java = "class M { boolean f(int a, int b) { return a / b >= 0.5; } }";
    expect(madeBy("conversion", "java", java).slice(0, 4)).toContain(java.replace("a /", "(double) a /"));
    const made = madeBy("conversion", "csharp", "class P { bool F(int a, int b) { return a / b >= 0.5; } }");
    expect(made.slice(0, 2)).toContain("class P { bool F(int a, int b) { return (double)a / b >= 0.5; } }");
  });
});

describe("nothing is proposed", () => {
  const nothing = (family: string, language: string, text: string) =>
    expect(madeBy(family, language, text)).toEqual([]);
  test("where decimals are compared with a whole number, or are none", () => {
    nothing("tolerance", "python", "tide = 0.5\nif tide == 0:\n    sail()\n");
    nothing("tolerance", "python", "count = 3\nif count == limit:\n    sail()\n");
  });
  test("where a text is cut by nothing, and keeps its places", () => {
    const upper = "at = line.find(';')\nline = line.upper()\nprint(line[:at])\n";
    expect(madeBy("step-left-out", "python", upper).filter((text) => text.match(/find/g)?.length === 2)).toEqual([]);
    const cut = "at = line.find(';')\nline = line[3:]\nprint(line[:at])\n";
    expect(madeBy("step-left-out", "python", cut).filter((text) => text.match(/find/g)?.length === 2)).toHaveLength(1);
  });
  test("where a call that puts something in is one of the program's own", () => {
    nothing("counterpart", "python", "class Deck:\n    def append(self, car):\n        pass\n\ndeck.append(1)\n");
  });
  test("where a function gives back both truths, or something else", () => {
    const both = "def f(n):\n    if n:\n        return True\n    if m:\n        return False\n    g(n)\n";
    expect(madeBy("returned", "python", both).some((text) => /return (?:True|False)\n$/.test(text))).toBe(false);
    const decided = both.replace("    g(n)\n", "");
    expect(madeBy("returned", "python", decided)).toContain(`${decided}    return True\n`);
    const number = "def f(n):\n    if n:\n        return 3\n    g(n)\n";
    expect(madeBy("returned", "python", number).some((text) => /return (?:True|False)\n$/.test(text))).toBe(false);
  });
});
