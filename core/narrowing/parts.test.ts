import { expect, test } from "vitest";
import { findLanguage } from "../languages/languages.ts";
import { partsOf, withPartCheck } from "./parts.ts";

const language = (id: string) => {
  const found = findLanguage(id);
  if (!found) throw new Error(id);
  return found;
};
const programs: Readonly<Record<string, string>> = {
  python:
    "def sail(cars):\n    return load(cars) + tide(1, 2)\ndef load(cars):\n    return cars * 2\ndef tide(a, b=3):\n    return a\nprint(sail(3))\n",
  java: "class A {\n  static int sail(int cars) {\n    return load(cars) + tide(1, 2);\n  }\n  static int load(int cars) { return cars * 2; }\n  static int tide(int a, int b) { return a; }\n  public static void main(String[] x) {\n    System.out.println(sail(3));\n  }\n}\n",
  c: "int load(int cars) { return cars * 2; }\nint tide(int a, int b) { return a; }\nint sail(int cars)\n{\n    return load(cars) + tide(1, 2);\n}\nint main(void)\n{\n    return sail(3);\n}\n",
  csharp:
    "class A {\n  static int Sail(int cars) {\n    return Load(cars) + Tide(1, 2);\n  }\n  static int Load(int cars) { return cars * 2; }\n  static int Tide(int a, int b) { return a; }\n  static void Main() {\n    Sail(3);\n  }\n}\n",
  pascal:
    "function load(cars: integer): integer;\nbegin\n  load := cars * 2;\nend;\nfunction tide(a: integer; b: integer): integer;\nbegin\n  tide := a;\nend;\nfunction sail(cars: integer): integer;\nbegin\n  sail := load(cars) + tide(1, 2);\nend;\nbegin\n  writeln(sail(3));\nend.\n",
  octave:
    "1;\nfunction r = sail(cars)\n  r = load_deck(cars) + tide(1, 2);\nend\nfunction r = load_deck(cars)\n  r = cars * 2;\nend\nfunction r = tide(a, b)\n  r = a;\nend\ndisp(sail(3))\n",
};

test.each(Object.entries(programs))(
  "in %s the parts come in an order in which they can be tested one by one",
  (id, text) => {
    const parts = partsOf(language(id), text);
    expect(parts.map((part) => part.name.toLowerCase().replace("_deck", ""))).toEqual(["load", "tide", "sail"]);
    expect(parts[1]?.parameters).toEqual(["a", "b"]);
    expect(parts[2]?.calls).toHaveLength(2);
  },
);

test("the check of a part stands where the program starts", () => {
  const line = (id: string, form: RegExp) =>
    (withPartCheck(language(id), programs[id] ?? "", "load(2)") ?? "")
      .split("\n")
      .findIndex((each) => form.test(each)) + 1;
  expect(line("python", /^print\("<<1>>", repr\(load\(2\)\)\)$/)).toBe(7);
  expect(line("octave", /^printf.*load\(2\)/)).toBe(11);
  expect(line("c", /^\{ printf\(_Generic/)).toBe(8);
  expect(line("java", /main\(String\[\] x\) \{ System\.out/)).toBe(7);
  expect(line("csharp", /static void Main\(\) \{ System\.Console/)).toBe(7);
  expect(line("pascal", /^begin writeln\('<<1>> ', load\(2\)\);/)).toBe(13);
  expect(withPartCheck(language("java"), "class A { int f() { return 1; } }\n", "1")).toBeNull();
});

test("functions that call one another stand in some order, each once", () => {
  const text = "def a():\n    return b()\ndef b():\n    return a()\ndef a():\n    return 3\n";
  expect(partsOf(language("python"), text).map((part) => part.name)).toEqual(["b", "a"]);
  expect(partsOf(language("python"), "print(1)\n")).toEqual([]);
});
