import { expect, test } from "vitest";
import { findLanguage } from "../languages/languages.ts";
import { neverRanStretches } from "./neverRan.ts";

const stretches = (id: string, text: string, ran: readonly number[]) => {
  const language = findLanguage(id);
  if (!language) throw new Error(id);
  return neverRanStretches(language, text, new Set(ran));
};

test.each<[string, string, number[], unknown[]]>([
  [
    "python",
    "def load(cars):\n    total = cars * 2\n    return total\ndef tide():\n    return 3\nif tide() > 4:\n    print(load(3))\n    print('high')\nprint('sail')\n",
    [1, 4, 5, 6, 9],
    [
      { from: 2, to: 3, function: "load" },
      { from: 7, to: 8, function: null },
    ],
  ],
  [
    "java",
    'public class Ferry {\n  static int load(int cars) {\n    return cars * 2;\n  }\n  public static void main(String[] args) {\n    int tide = 3;\n    if (tide > 4) {\n      System.out.println("high");\n    }\n    System.out.println("sail");\n  }\n}\n',
    [6, 7, 10],
    [
      { from: 3, to: 3, function: "load" },
      { from: 8, to: 8, function: null },
    ],
  ],
  [
    "c",
    '#include <stdio.h>\nint load(int cars)\n{\n    return cars * 2;\n}\nint main(void)\n{\n    printf("sail\\n");\n    return 0;\n}\n',
    [8, 9],
    [{ from: 4, to: 4, function: "load" }],
  ],
  [
    "pascal",
    "function load(cars: integer): integer;\nbegin\n  load := cars * 2;\nend;\nbegin\n  writeln('sail');\nend.\n",
    [6],
    [{ from: 3, to: 3, function: "load" }],
  ],
  [
    "octave",
    "1;\nfunction r = load_deck(cars)\n  r = cars * 2;\nend\ndisp('sail')\n",
    [1, 5],
    [{ from: 3, to: 3, function: "load_deck" }],
  ],
  [
    "csharp",
    'using System;\nclass Ferry {\n  static int Load(int cars) {\n    return cars * 2;\n  }\n  static void Main() {\n    Console.WriteLine("sail");\n  }\n}\n',
    [7],
    [{ from: 4, to: 4, function: "Load" }],
  ],
])("in %s functions never called and blocks never entered are told, declarations are not", (id, text, ran, wanted) => {
  expect(stretches(id, text, ran)).toEqual(wanted);
});
