import { describe, expect, test } from "vitest";
import { findLanguage } from "../languages/languages.ts";
import { editContext } from "./context.ts";
import { applyEdit } from "./edit.ts";
import { proposeEdits } from "./families.ts";

/** The programs that one family makes of a text, the likeliest first; `meant` are texts that are known of its checks. */
function madeBy(family: string, language: string, text: string, meant: readonly string[] = []): string[] {
  const found = findLanguage(language);
  const context = found && editContext(found, text, meant);
  if (!context) throw new Error(`no trees for ${language}`);
  return proposeEdits(context, "mend")
    .filter((edit) => edit.family === family)
    .sort((one, other) => other.odds - one.odds)
    .map((edit) => applyEdit(text, edit));
}

describe("an order that is turned round", () => {
  test("is said where values are sorted, behind what is handed already, and taken away where it is said", () => {
    const key = "boats.sort(key=len)\n";
    expect(madeBy("sort-order", "python", key)).toEqual(["boats.sort(key=len, reverse=True)\n"]);
    expect(madeBy("sort-order", "python", "a = sorted(b, reverse=True)\n")).toEqual(["a = sorted(b)\n"]);
    expect(madeBy("sort-order", "python", "a.sort( reverse=True )\n")[0]?.replaceAll(" ", "")).toBe("a.sort()\n");
    expect(madeBy("sort-order", "octave", 'a = sort(b, "descend");\n')).toEqual([
      "a = sort(b);\n",
      'a = sort(b, "ascend");\n',
    ]);
    expect(madeBy("sort-order", "octave", 'a = sort(b, "ascend");\n')).toEqual(['a = sort(b, "descend");\n']);
  });

  test("stands behind what compares in Java, and is no business of other calls", () => {
    const java = (by: string) => `class M { void f(List<Boat> a) { a.sort(Comparator.comparing(Boat::load)${by}); } }`;
    expect(madeBy("sort-order", "java", java(".reversed()"))).toContain(java(""));
    expect(madeBy("sort-order", "python", "a.append(b)\nprint(len(a))\n")).toEqual([]);
  });
});

describe("addresses that one call lacks", () => {
  const c = (given: string) =>
    `void f(int *a, int *b) { *a = *b; }\nint main(void) { int r; int c; f(${given}); return r; }\n`;
  test("are all put in at once, and one by one", () => {
    const made = madeBy("address-sign", "c", c("r, c"));
    expect(made[0]).toBe(c("&r, &c"));
    expect(made).toContain(c("&r, c"));
  });
  test("are asked of the function that the call stands in: elsewhere the name may be an address", () => {
    const other = "int g(int *r) { return *r; }\n";
    expect(madeBy("address-sign", "c", other + c("r, c"))[0]).toBe(other + c("&r, &c"));
    const table = "int main(void) { int r[4]; f(r); return 0; }\n";
    expect(madeBy("address-sign", "c", `void f(int *a) { *a = 1; }\n${table}`)).toEqual([]);
  });
});

test("behind a loop that gives back where something was found stands that it is nowhere", () => {
  const find = (last: string) =>
    `int find(int a[], int n, int x) {\n  for (int i = 0; i < n; i++)\n    if (a[i] == x) return i;\n  return ${last};\n}\n`;
  expect(madeBy("constant", "c", find("0"))[0]).toBe(find("-1"));
  const sum = "int sum(int a[], int n) {\n  int s = 0;\n  for (int i = 0; i < n; i++) s += a[i];\n  return 0;\n}\n";
  expect(madeBy("constant", "c", sum)[0]).not.toContain("-1");
});

test("the first of the best is taken as it is: only where the decision keeps what it asks for", () => {
  const best = (test: string) => `for boat in boats:\n    if ${test}boat.load > best.load:\n        best = boat\n`;
  expect(madeBy("empty-test", "python", best(""))[0]).toBe(best("best is None or "));
  const other = "for boat in boats:\n    if boat.load > best.load:\n        count += 1\n";
  expect(madeBy("empty-test", "python", other).join()).not.toContain("is None or");
});

test("an object of a class of the program stands for nothing, also where it is made in a loop", () => {
  const text = (made: string) =>
    `class P {\n  class Boat { public int Load; }\n  static void Main() {\n    while (R()) {\n      Boat b = ${made};\n      b.Load = 3;\n    }\n  }\n}\n`;
  expect(madeBy("start-value", "csharp", text("null"))[0]).toBe(text("new Boat()"));
});

test("a text that was read and never converted is the first to be converted, wherever it is handed", () => {
  const text = (depth: string) =>
    `name, depth = input().split()\ncount = int(input())\nberth = make(name, ${depth}, count)\n`;
  const made = madeBy("conversion", "python", text("depth"));
  expect(made.indexOf(text("float(depth)"))).toBeGreaterThanOrEqual(0);
  expect(made.indexOf(text("float(depth)"))).toBeLessThan(
    made.indexOf(text("depth").replace("depth, count", "depth, float(count)")),
  );
});

test("a word that is typed in in other letters is what a text was meant to be", () => {
  const text = (word: string) => `if input() == "${word}":\n    print("back")\n`;
  expect(madeBy("text-literal", "python", text("Return"), ["Ada;34;return\n"])[0]).toBe(text("return"));
  expect(madeBy("text-literal", "python", text("Return"), ["Ada;34;single\n"])[0]).not.toBe(text("single"));
});

test("the answer of what compares texts is asked for the number that says they are equal", () => {
  const text = (answer: string) => `int f(char *a) { return strcmp(a, "Tern") ${answer}; }\n`;
  expect(madeBy("equal-texts", "c", text("== 1"))[0]).toBe(text("== 0"));
  expect(madeBy("equal-texts", "c", text("== 0"))).toEqual([]);
});

test("an element of the other list is picked, and the name that the decision asks for is the place", () => {
  const octave =
    "function t = f(even, levels)\n  t = even(1);\n  for k = 2:numel(levels)\n    t = t + levels(k);\n  end\nend\n";
  expect(madeBy("other-name", "octave", octave)).toContain(octave.replace("+ levels(k)", "+ even(k)"));
  const c = (place: string) =>
    `void f(int items[], int count) {\n  int at = g(count);\n  if (at >= 0) {\n    items[${place}]++;\n  }\n}\n`;
  expect(madeBy("other-name", "c", c("count"))[0]).toBe(c("at"));
});

test("a number that a program divides by elsewhere is likelier than one that it only prints", () => {
  const text = (minutes: number) => `h = t / 60\nm = t % 60\nprint(12)\nall = h * ${minutes} + m\n`;
  const made = madeBy("constant", "python", text(100));
  expect(made.indexOf(text(60))).toBeLessThan(made.indexOf(text(12)));
});

describe("a part of a record that gets no first value", () => {
  const c = (line: string, declared = "struct item items[9];") =>
    `struct item { int weight; int price; int pieces; };\nint main(void) {\n  ${declared}\n  int n = 0;\n  while (g(n)) {\n    items[n].weight = 4;\n    items[n].price = 2;\n${line}    n++;\n  }\n  items[0].pieces++;\n  return items[0].pieces;\n}\n`;
  test("gets one behind those that the others get", () => {
    const made = madeBy("step-left-out", "c", c(""));
    for (const value of ["0", "1"]) expect(made).toContain(c(`    items[n].pieces = ${value};\n`));
  });
  test("has one where it is given, read, or where the whole record is", () => {
    const set = (text: string) => madeBy("step-left-out", "c", text).filter((each) => each.includes(".pieces = 0"));
    expect(set(c("    items[n].pieces = 3;\n"))).toEqual([]);
    expect(set(c('    scanf("%d", &items[n].pieces);\n'))).toEqual([]);
    expect(set(c("", "struct item items[9] = {0};"))).toEqual([]);
    // What stands outside of functions begins with nothing in it.
    expect(set(`struct item items[9];\n${c("", "")}`)).toEqual([]);
  });
});

test("a link of a chain that asks for something else may be a decision of its own", () => {
  const python = (word: string, asked: string) => `if age < 5:\n    fare = 0\n${word} ${asked}:\n    fare = fare * 2\n`;
  const odds = (text: string) => {
    const found = findLanguage("python");
    const context = found && editContext(found, text);
    if (!context) throw new Error("python");
    const edits = proposeEdits(context, "mend").filter(
      ({ family, text: after }) => family === "chain" && after === "if",
    );
    return edits[0]?.odds ?? 0;
  };
  expect(madeBy("chain", "python", python("elif", "back"))).toContain(python("if", "back"));
  expect(odds(python("elif", "back"))).toBeGreaterThan(odds(python("elif", "age < 15")));
  expect(odds(python("elif", "person.back"))).toBeGreaterThan(odds(python("elif", "person.age < age")));
});

test("a decision that undoes what the one before it did is first to be asked only where that does not hold", () => {
  const text = (word: string, last: string) =>
    `if length > 30:\n    berth = "North"\n${word} length > 12:\n    berth = "Middle"\n${last}print(berth)\n`;
  const otherwise = 'else:\n    berth = "Slip"\n';
  const found = findLanguage("python");
  const odds = (program: string) => {
    const context = found && editContext(found, program);
    if (!context) throw new Error("python");
    return proposeEdits(context, "mend").find(({ family, text: after }) => family === "chain" && after === "elif")
      ?.odds;
  };
  expect(madeBy("chain", "python", text("if", otherwise))).toContain(text("elif", otherwise));
  expect(odds(text("if", otherwise))).toBeGreaterThan(1);
  // Where the later one has no other way, both may be meant to hold: the later one is then the last word.
  expect(odds(text("if", ""))).toBe(1);
  expect(odds(text("if", otherwise).replace('berth = "North"', "count = 1"))).toBe(1);
});

describe("what is counted and shown", () => {
  test("is shown with one more, in brackets where a text is joined to it", () => {
    const java = (shown: string) =>
      `class M { void f() { for (int i = 0; i < 4; i++) { System.out.println("Lane " + ${shown} + ": " + g(i)); } } }`;
    expect(madeBy("by-one", "java", java("i"))).toContain(java("(i + 1)"));
  });
  test("or without the one less that it has", () => {
    const octave = (shown: string) => `k = 1;\nwhile k < 4\n  k = k + 1;\nend\nprintf("%d days\\n", ${shown});\n`;
    expect(madeBy("by-one", "octave", octave("k - 1"))).toContain(octave("k"));
    expect(madeBy("by-one", "octave", octave("k"))).toContain(octave("k - 1"));
  });
});

test("a line is taken apart by a sign that is typed in, where none is said", () => {
  const text = (sign: string) => `stops = input().split(${sign})\n`;
  expect(madeBy("separator", "python", text(""), ["Auk-Rail-Tern\n"])[0]).toBe(text('"-"'));
});

test("what is asked whether it is nothing is given nothing", () => {
  const text = (last: string) =>
    `def find(legs, leg):\n    if leg not in legs:\n        return ${last}\n    return legs[leg]\n\nkm = find(all, one)\nif km is None:\n    print("no route")\n`;
  expect(madeBy("constant", "python", text("0"))).toContain(text("None"));
  expect(madeBy("constant", "python", text("0").replace("km is None", "km == 0")).join()).not.toContain("None");
});

test("the place of an element is kept in a loop in the place of what stands there", () => {
  const text = (kept: string) => `for k = 1:numel(a)\n  if a(k) > limit\n    found(end + 1) = ${kept};\n  end\nend\n`;
  expect(madeBy("other-name", "octave", `a = [1 2];\nfound = [];\n${text("a(k)")}`)).toContain(
    `a = [1 2];\nfound = [];\n${text("k")}`,
  );
});
