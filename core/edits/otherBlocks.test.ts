import { describe, expect, test } from "vitest";
import { findLanguage } from "../languages/languages.ts";
import { editContext } from "./context.ts";
import { applyEdit } from "./edit.ts";
import { findFamily, proposeEdits } from "./families.ts";

function madeBy(family: string, id: string, text: string): string[] {
  const language = findLanguage(id);
  const context = language && editContext(language, text);
  if (!context) throw new Error(id);
  return (findFamily(family)?.mends(context) ?? []).map((edit) => applyEdit(text, edit));
}

describe("blocks as another language marks them", () => {
  const mended: Array<[language: string, faulty: string, right: string]> = [
    ["python", "for tide in tides do:\n    print(tide)\n", "for tide in tides:\n    print(tide)\n"],
    ["python", "for tide in tides do\n    print(tide)\n", "for tide in tides:\n    print(tide)\n"],
    ["python", "if a:\n    b = 1\nelif c then\n    b = 2\n", "if a:\n    b = 1\nelif c:\n    b = 2\n"],
    ["python", "if (a > 3) {\n    b = 1\n}\nprint(b)\n", "if (a > 3):\n    b = 1\nprint(b)\n"],
    ["python", "if a > 3: {\n    b = 1\n}\nprint(b)\n", "if a > 3:\n    b = 1\nprint(b)\n"],
    ["python", "def sail(a) {\n    print(a)\n}\nsail(1)\n", "def sail(a):\n    print(a)\nsail(1)\n"],
    [
      "python",
      "if a {\n    b = 1\n} else {\n    while b {\n        c()\n    }\n}\nprint(b)\n",
      "if a:\n    b = 1\nelse:\n    while b:\n        c()\nprint(b)\n",
    ],
    ["python", "if a then:\n    b = 1\nif c then:\n    b = 2\n", "if a:\n    b = 1\nif c:\n    b = 2\n"],
    ["python", "while a {\n    if b:\n        c()\n}\n", "while a:\n    if b:\n        c()\n"],
    ["python", "while a {\n    b()\nc()\n", "while a:\n    b()\nc()\n"],
    ["java", "class A { void f() { if (a) b(); else if (c) then d(); } }", ""],
    ["java", "class A { void f() {\n if (a) then {\n b();\n }\n} }", "class A { void f() {\n if (a) {\n b();\n }\n} }"],
    [
      "java",
      "class A { void f() {\n if (a) {\n } else if (c) then {\n d();\n }\n} }",
      "class A { void f() {\n if (a) {\n } else if (c) {\n d();\n }\n} }",
    ],
    ["c", "void f(int a) {\n  for (;a;) do\n    a--;\n}", "void f(int a) {\n  for (;a;)\n    a--;\n}"],
    ["octave", "while n > 3 do\n  n--;\nend\n", "while n > 3\n  n--;\nend\n"],
    ["octave", "if n > 3 then\n  n--;\nelseif n then\n  n++;\nend\n", "if n > 3\n  n--;\nelseif n\n  n++;\nend\n"],
  ];
  test.each(mended)("%s: %j", (language, faulty, right) => {
    const made = madeBy("other-blocks", language, faulty);
    if (right) expect(made).toContain(right);
    else expect(made).toEqual([]);
  });

  const right: Array<[language: string, text: string]> = [
    ["python", "then = 3\nif then > 2:\n    print(then)\nwhile x == then:\n    x += 1\n"],
    ["python", "fares = {\n    'car': 4,\n}\nif fares == {\n    'car': 4\n}:\n    print(1)\n"],
    ["python", "print({\n    1: 2\n})\n"],
    ["java", "class A { void f() {\n do {\n a();\n } while (b);\n if (a) do { c(); } while (d);\n} }"],
    ["c", "void f(void) {\n  do\n    a();\n  while (b);\n}"],
    ["octave", "do\n  n--;\nuntil n < 3\n"],
    ["pascal", "begin\n  if a then\n    b := 1;\n  while a do\n    c;\nend."],
    ["pseudocode", "IF a > 3 THEN\n  a <- 1\nENDIF\n"],
    ["basic-macro", "If a > 3 Then\n  a = 1\nEnd If\n"],
    ["basic-forms", "If a > 3 Then\n  a = 1\nEnd If\n"],
  ];
  test.each(right)("nothing is proposed in %s: %j", (language, text) => {
    expect(madeBy("other-blocks", language, text)).toEqual([]);
  });

  test("in a program that starts it stands before all others of its line", () => {
    const octave = findLanguage("octave");
    const context = octave && editContext(octave, "n = 12;\nif n > 10 then\n  disp('big');\nend\n");
    const odds = context
      ? proposeEdits(context, "mend").filter((edit) => edit.family === "other-blocks" && edit.text === "")
      : [];
    expect(odds.map((edit) => edit.odds)).toEqual([4]);
  });
});

describe("half way where both ends are exchanged", () => {
  const loop = (limit: string) =>
    `def turn(w):\n    n = len(w)\n    for i in range(${limit}):\n        h = w[i]\n        w[i] = w[n - 1 - i]\n        w[n - 1 - i] = h\n`;
  test("half of any limit, with brackets where it needs them", () => {
    expect(madeBy("factor-left-out", "python", loop("n"))).toContain(loop("n // 2"));
    expect(madeBy("factor-left-out", "python", loop("n - 1"))).toContain(loop("(n - 1) // 2"));
    expect(madeBy("factor-left-out", "python", loop("0, n"))).toContain(loop("0, n // 2"));
  });
  test("not where it is half already, nor where one end is only read", () => {
    const halves = (text: string) => madeBy("factor-left-out", "python", text).filter((each) => /\/\/ 2/.test(each));
    expect(halves(loop("n // 2")).every((text) => !text.includes("2 // 2"))).toBe(true);
    expect(halves(loop("n").replace("        w[n - 1 - i] = h\n", ""))).toEqual([]);
    expect(halves("for i in range(n):\n    if w[i] != w[n - 1 - i]:\n        same = False\n")).toEqual([]);
  });
});

describe("a pointer that points nowhere", () => {
  const program = (more: string) =>
    `struct Boat { int cars; };\nint main(void) {\n    struct Boat tern = {3};\n    struct Boat gull = {4};\n    int count = 0;\n    struct Boat *p = NULL;\n${more}    p->cars = 5;\n}\n`;
  test("each variable of its type is a place for it", () => {
    const made = madeBy("pointed-at", "c", program(""));
    expect(made).toEqual(["tern", "gull"].map((name) => program("").replace("= NULL", `= &${name}`)));
  });
  test("one that gets a place later keeps its beginning", () => {
    expect(madeBy("pointed-at", "c", program("    p = &gull;\n"))).toEqual([]);
  });
});
