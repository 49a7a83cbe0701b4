import { expect, test } from "vitest";
import { findLanguage } from "../languages/languages.ts";
import { comparisonsIn } from "./comparisonsIn.ts";
import { guessShape } from "./guessShape.ts";
import { inputShapeSchema } from "./inputShape.ts";
import { proposeInputs } from "./proposeInputs.ts";

function shapeOf(id: string, program: string) {
  const language = findLanguage(id);
  if (!language) throw new Error(id);
  return guessShape(language, program);
}
const value = (name: string, kind: string, rest: object = {}) => ({
  ...{ name, kind, from: null, to: null, choices: [], repeat: "1", ...rest },
});

/** The same program in six languages: how many cars, then the load of each, none above 40. */
const decks: ReadonlyArray<readonly [language: string, program: string, loads: string]> = [
  [
    "python",
    'cars = int(input("Cars? "))\nfor i in range(cars):\n    load = float(input())\n    if load < 0 or load > 40:\n        print("bad")\n',
    "decimal",
  ],
  [
    "java",
    "class A { public static void main(String[] a) {\n  Scanner in = new Scanner(System.in);\n  int cars = in.nextInt();\n  for (int i = 0; i < cars; i++) {\n    double load = in.nextDouble();\n    if (load < 0 || load > 40) System.out.println(1);\n  }\n}}\n",
    "decimal",
  ],
  [
    "c",
    'int main(void) {\n  int cars;\n  double load;\n  scanf("%d", &cars);\n  for (int i = 0; i < cars; i++) {\n    scanf("%lf", &load);\n    if (load < 0 || load > 40) puts("bad");\n  }\n}\n',
    "decimal",
  ],
  [
    "csharp",
    "class A { static void Main() {\n  int cars = int.Parse(Console.ReadLine());\n  for (int i = 0; i < cars; i++) {\n    double load = double.Parse(Console.ReadLine());\n    if (load < 0 || load > 40) Console.WriteLine(1);\n  }\n}}\n",
    "decimal",
  ],
  [
    "pascal",
    "program A;\nvar cars, i: integer;\n  load: real;\nbegin\n  readln(cars);\n  for i := 1 to cars do\n  begin\n    readln(load);\n    if (load < 0) or (load > 40) then writeln('bad');\n  end;\nend.\n",
    "decimal",
  ],
  [
    "octave",
    'cars = input("Cars? ");\nfor i = 1:cars\n  load = input("");\n  if load < 0 || load > 40\n    disp("bad")\n  end\nend\n',
    "decimal",
  ],
];

test.each(decks)("what is typed in is guessed from a program in %s", (language, program, loads) => {
  const shape = shapeOf(language, program);
  expect(shape.map((each) => [each.name, each.repeat])).toEqual([
    ["cars", "1"],
    ["load", "cars"],
  ]);
  expect(shape[1]).toMatchObject({ kind: loads, from: 0, to: 40 });
});

test("a list that a word ends, a choice, a value that is asked for again, and a text that becomes a number later", () => {
  expect(
    shapeOf(
      "python",
      'age = int(input())\nwhile age < 0 or age > 120:\n    age = int(input("again "))\nkind = input()\nif kind == "child":\n    print(1)\nelif kind == "adult":\n    print(2)\nload = int(input())\nwhile load != -1:\n    load = int(input())\ntext = input()\ncount = int(text)\n',
    ),
  ).toEqual([
    value("age", "whole", { from: 0, to: 120 }),
    value("kind", "choice", { choices: ["child", "adult"] }),
    value("load", "whole", { repeat: "until -1" }),
    value("text", "whole"),
  ]);
});

test("several values of one scanf, a fixed number of times, and a program that reads nothing", () => {
  expect(shapeOf("c", 'int main(void) { int a; char name[9];\n  scanf("%d %8s", &a, name);\n}\n')).toEqual([
    value("a", "whole"),
    value("name", "text"),
  ]);
  expect(shapeOf("python", "loads = []\nfor i in range(3):\n    loads.append(int(input()))\n")).toEqual([
    value("loads", "whole", { repeat: "3" }),
  ]);
  expect(shapeOf("python", "print(1)\n# x = int(input())\n")).toEqual([]);
});

test("comparisons are found on either side, with negative numbers, and no assignment is one", () => {
  const python = findLanguage("python");
  const pascal = findLanguage("pascal");
  if (!python || !pascal) throw new Error("no languages");
  const plain = (found: ReturnType<typeof comparisonsIn>) =>
    found.map((each) => [each.name, each.operator, each.number]);
  expect(plain(comparisonsIn(python, "if 0 <= load and load < 20 or -5 > tide:\n    load = 7\n"))).toEqual([
    ["load", ">=", 0],
    ["load", "<", 20],
    ["tide", "<", -5],
  ]);
  expect(plain(comparisonsIn(pascal, "if cars = 3 then load := 4;\nif cars <> 0 then writeln(1);\n"))).toEqual([
    ["cars", "=", 3],
    ["cars", "!=", 0],
  ]);
});

const whole = inputShapeSchema.parse([{ name: "age", kind: "whole", from: 0, to: 120 }]);

test("every kind of test data is proposed, each with its purpose, and no input twice", () => {
  const proposals = proposeInputs(whole, new Map([["age", [15]]]));
  const find = (input: string) => proposals.find((each) => each.input === `${input}\n`);
  expect(find("-1")).toMatchObject({ kind: "erroneous", purpose: "age: just below the least valid value 0" });
  expect(find("0")).toMatchObject({ kind: "boundary" });
  expect(find("120")).toMatchObject({ kind: "boundary", purpose: "age: the greatest valid value 120" });
  expect(find("121")).toMatchObject({ kind: "erroneous" });
  expect(["14", "15", "16"].map((each) => find(each)?.kind)).toEqual(["boundary", "boundary", "boundary"]);
  expect(find("60.5")).toMatchObject({ kind: "erroneous", purpose: "age: between two valid values" });
  for (const [input, words] of [
    ["", "nothing is entered"],
    ["seven", "letters where a number"],
    ["%", "a sign where"],
    ["1207", "far above"],
  ] as const)
    expect(find(input)?.purpose).toContain(words);
  expect(new Set(proposals.map((each) => each.input)).size).toBe(proposals.length);
  // Whoever asks again gets a valid value after what was not valid.
  expect(find("-1")?.askedAgain).toBe("-1\n60\n");
});

test("lists: none, one, the extreme ones first and last; a list that a word ends", () => {
  const shape = inputShapeSchema.parse([
    { name: "cars", kind: "whole", from: 0 },
    { name: "load", kind: "whole", from: 1, to: 40, repeat: "cars" },
  ]);
  const inputs = new Map(proposeInputs(shape, new Map()).map((each) => [each.name, each.input]));
  expect(inputs.get("load: none")).toBe("0\n");
  expect(inputs.get("load: one")).toBe("1\n20\n");
  expect(inputs.get("load: greatest last")).toBe("3\n20\n22\n40\n");
  for (const input of inputs.values()) {
    const [count = "", ...loads] = input.trimEnd().split("\n");
    if (/^\d+$/.test(count)) expect(loads).toHaveLength(Number(count));
  }
  const ended = inputShapeSchema.parse([{ name: "tide", kind: "decimal", repeat: "until end" }]);
  expect(proposeInputs(ended, new Map()).find((each) => each.name === "tide: none")?.input).toBe("end\n");
});

test("each valid value of a short range, each choice, and a choice in other letters", () => {
  const shape = inputShapeSchema.parse([
    { name: "berth", kind: "whole", from: 4, to: 7 },
    { name: "size", kind: "choice", choices: ["S", "L"] },
  ]);
  const proposals = proposeInputs(shape, new Map());
  const firsts = new Set(proposals.map((each) => each.input.split("\n")[0]));
  for (const each of ["4", "5", "6", "7", "3", "8", "5.5"]) expect(firsts).toContain(each);
  const seconds = proposals.map((each) => each.input.split("\n")[1]);
  expect(seconds).toEqual(expect.arrayContaining(["S", "L", "s", "zzz", ""]));
});
