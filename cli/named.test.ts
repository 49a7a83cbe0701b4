import { afterAll, beforeAll, expect, test } from "vitest";
import { findLanguage } from "../core/languages/languages.ts";
import { sharedToolchains } from "../server/testToolchains.ts";
import type { Toolchains } from "../server/toolchains/toolchains.ts";
import { todaysShare } from "../tools/share.ts";
import { programFiles } from "./batch.ts";
import { judgeMaterial } from "./judge.ts";

let toolchains: Toolchains;
beforeAll(() => {
  toolchains = sharedToolchains();
});
afterAll(() => toolchains.close());

type Named = {
  says: string;
  language: string;
  program: string;
  input?: string;
  expected?: string;
  /** The line that is to be named first, and the kind of mistake where one is asked for. */
  line: number;
  kind?: string;
  /** Seconds in which a change is looked for; none is, else. */
  search?: number;
};

const inMain = (body: string, before = "") =>
  `import java.util.*;\npublic class Main {\n${before}  public static void main(String[] args) {\n${body}  }\n}\n`;

const cases: readonly Named[] = [
  {
    says: "a function that gives nothing back, before the line that uses it and the one that stops",
    language: "python",
    program:
      'def longest(names):\n    best = ""\n    for name in names:\n        if len(name) > len(best):\n            best = name\n\nresult = longest(["Ada", "Kittiwake"])\nprint("Longest:", result.upper())\n',
    expected: "Longest: KITTIWAKE\n",
    ...{ line: 5, kind: "return-missing" },
  },
  {
    says: "the same with a mending: a step that it does not need is left out of it",
    language: "python",
    program:
      'def longest(names):\n    best = ""\n    for name in names:\n        if len(name) > len(best):\n            best = name\n\nresult = longest(["Ada", "Kittiwake"])\nprint("Longest:", result.upper())\n',
    expected: "Longest: KITTIWAKE\n",
    ...{ line: 5, kind: "return-missing", search: 10 },
  },
  {
    says: "a key that was typed in: the line that looks it up, and not the table",
    language: "python",
    program: 'fares = {"adult": 12.5, "child": 6}\nkind = input("Kind: ")\nprint("Fare:", fares[kind])\n',
    input: "Adult\n",
    expected: "Kind: Fare: 12.5\n",
    ...{ line: 3, kind: "key-not-there" },
  },
  {
    says: "a name that another function keeps for itself is made nowhere here",
    language: "python",
    program:
      'def sail(speed, distance):\n    hours = distance / speed\n    return hours\n\ntime = sail(12, 30)\nprint("It takes", hours)\n',
    expected: "It takes 2.5\n",
    ...{ line: 6, kind: "name-never-defined" },
  },
  {
    says: "a table that is changed while its parts are walked: the loop",
    language: "python",
    program:
      'queue = {"A1": 4, "B2": 0, "C3": 2}\nfor car, length in queue.items():\n    if length == 0:\n        del queue[car]\nprint(len(queue))\n',
    expected: "2\n",
    ...{ line: 2, kind: "list-changed-while-walked", search: 10 },
  },
  {
    says: "two digits the other way round",
    language: "python",
    program: "distance = 30\nspeed = 21\nprint(distance / speed)\n",
    expected: "2.5\n",
    ...{ line: 2, kind: "base-value-wrong", search: 10 },
  },
  {
    says: "what the loop waits for is given to another name",
    language: "python",
    program:
      'water = 10\npumped = 4\nwhile water > 0:\n    print("in the bilge", water)\n    level = water - pumped\nprint("dry")\n',
    expected: "in the bilge 10\nin the bilge 6\nin the bilge 2\ndry\n",
    ...{ line: 5, kind: "loop-variable-never-changes", search: 10 },
  },
  {
    says: "a decision in a loop that gives back in both of its branches",
    language: "python",
    program:
      'def aboard(name, names):\n    for each in names:\n        if each == name:\n            return True\n        else:\n            return False\n\nprint(aboard("Bo", ["Ada", "Bo"]))\nprint(aboard("Cy", ["Ada", "Bo"]))\n',
    expected: "True\nFalse\n",
    ...{ line: 5, kind: "return-inside-loop", search: 10 },
  },
  {
    says: "what is converted is typed in on the very line: not the scanner's line",
    language: "java",
    program: inMain(
      "    Scanner in = new Scanner(System.in);\n    int cars = Integer.parseInt(in.nextLine());\n    System.out.println(cars * 12);\n",
    ),
    input: "four\n",
    expected: "48\n",
    ...{ line: 5, kind: "text-not-a-number" },
  },
  {
    says: "a sum joined to a text, before the lines that its values come from",
    language: "java",
    program: inMain(
      '    int adults = 3;\n    int children = 4;\n    System.out.println("On board: " + adults + children);\n',
    ),
    expected: "On board: 7\n",
    ...{ line: 6, kind: "sum-joined-to-text" },
  },
  {
    says: "a division of whole numbers, before the types of what is divided",
    language: "java",
    program: inMain(
      "    int metres = 45;\n    int cars = 10;\n    double each = metres / cars;\n    System.out.println(each);\n",
    ),
    expected: "4.5\n",
    ...{ line: 6, kind: "whole-number-division" },
  },
  {
    says: "a name of a loop that is over, also where the class is called nearly like its method",
    language: "java",
    program: inMain(
      '    for (int i = 0; i < 3; i++) {\n      System.out.println("crossing " + i);\n    }\n    System.out.println("made " + i);\n',
    ),
    expected: "made 3\n",
    ...{ line: 7, kind: "variable-undeclared" },
  },
  {
    says: "what is declared and never given an object",
    language: "java",
    program: inMain(
      '    queue.add("Ada");\n    System.out.println(queue.size());\n',
      "  static ArrayList<String> queue;\n",
    ),
    expected: "1\n",
    ...{ line: 3, kind: "empty-reference-used" },
  },
  {
    says: "the loop that leaves the first element out of what it fills",
    language: "java",
    program: inMain(
      '    String[] ports = new String[3];\n    for (int i = 1; i < 3; i++) {\n      ports[i] = "Port " + i;\n    }\n    for (String port : ports) {\n      System.out.println(port.length());\n    }\n',
    ),
    ...{ line: 5, kind: "empty-reference-used" },
  },
  {
    says: "the block without its own brace, by how the text is laid out",
    language: "java",
    program:
      'public class Main {\n  public static void main(String[] args) {\n    for (int r = 1; r <= 2; r++) {\n      String row = "";\n      for (int c = 0; c < 2; c++) {\n        row = row + c;\n      }\n      System.out.println(row);\n    System.out.println("done");\n  }\n}\n',
    ...{ line: 3, kind: "brace-missing-or-surplus" },
  },
  {
    says: "a loop that counts away from where it ends and so makes no pass",
    language: "java",
    program: inMain(
      '    int days = 3;\n    for (int i = days; i < 1; i--) {\n      System.out.println(i);\n    }\n    System.out.println("sails");\n',
    ),
    expected: "3\n2\n1\nsails\n",
    ...{ line: 5, kind: "comparison-turned" },
  },
  {
    says: "another name of a file",
    language: "c",
    program:
      '#include <stdio.h>\nint main(void) {\n    FILE *out = fopen("tides.txt", "w");\n    fprintf(out, "31 28\\n");\n    fclose(out);\n    FILE *in = fopen("tide.txt", "r");\n    int height;\n    while (fscanf(in, "%d", &height) == 1)\n        printf("%d\\n", height);\n    fclose(in);\n    return 0;\n}\n',
    expected: "31\n28\n",
    ...{ line: 6, kind: "file-not-there", search: 10 },
  },
  {
    says: "a first value that all calls share",
    language: "python",
    program:
      'def board(name, names=[]):\n    names.append(name)\n    return names\n\nprint(board("Ada"))\nprint(board("Bo"))\n',
    expected: "['Ada']\n['Bo']\n",
    ...{ line: 1, kind: "default-shared" },
  },
  {
    says: "a function that takes a name for its own: the line that uses it",
    language: "python",
    program: "count = 0\n\ndef sell():\n    count = count + 1\n\nsell()\nprint(count)\n",
    expected: "1\n",
    ...{ line: 4, kind: "global-missing", search: 10 },
  },
  {
    says: "one of three lines alike keeps the name of the line above; no loop has to do with it",
    language: "python",
    program:
      'a = int(input())\nb = int(input())\nc = int(input())\nprint("first", a)\nprint("second", b)\nprint("third", b)\n',
    input: "1\n2\n3\n",
    expected: "first 1\nsecond 2\nthird 3\n",
    ...{ line: 6, kind: "copied-line-not-adapted", search: 10 },
  },
  {
    says: "an else that stands below the outer decision and belongs to the inner one",
    language: "c",
    program:
      '#include <stdio.h>\nint main(void) {\n    int wind = 9;\n    int wave = 1;\n    if (wind < 8)\n        if (wave > 3)\n            printf("rough\\n");\n    else\n        printf("stays\\n");\n    return 0;\n}\n',
    expected: "stays\n",
    ...{ line: 5, kind: "else-of-nearer-if" },
  },
  {
    says: "a copy that is changed inside of a function only",
    language: "c",
    program:
      '#include <stdio.h>\nvoid add(int total, int load) {\n    total = total + load;\n}\nint main(void) {\n    int total = 0;\n    add(total, 4);\n    printf("%d\\n", total);\n    return 0;\n}\n',
    expected: "4\n",
    ...{ line: 3, kind: "value-parameter-changed" },
  },
  {
    says: "a copy that is changed to be used afterwards is none of that: what is worked out wrongly is named",
    language: "python",
    program:
      'deck = []\n\ndef board(name, place):\n    name = name.strip()\n    deck.append(name + str(place - 1))\n\nboard(" Ada ", 4)\nboard("Bo", 7)\nprint(deck)\n',
    expected: "['Ada5', 'Bo8']\n",
    ...{ line: 5, search: 10 },
  },
  {
    says: "a second variable with the name of the one that is meant",
    language: "java",
    program: inMain(
      "    add(new int[] {3, 4});\n    System.out.println(total);\n",
      "  static int total = 0;\n  static void add(int[] loads) {\n    for (int load : loads) {\n      int total = load;\n    }\n  }\n",
    ),
    expected: "7\n",
    ...{ line: 6, kind: "variable-shadowed" },
  },
  {
    says: "what belongs to an object is kept in a variable of the function",
    language: "python",
    program:
      'class Crew:\n    def __init__(self, name):\n        self.name = name\n        trips = []\n\n    def add(self, port):\n        self.trips.append(port)\n\nada = Crew("Ada")\nada.add("Gull Rock")\nprint(len(ada.trips))\n',
    expected: "1\n",
    ...{ line: 4, kind: "member-misspelt" },
  },
  {
    says: "a function of a class that does not take the object",
    language: "python",
    program:
      'class Crew:\n    def __init__(self):\n        self.trips = []\n\n    def add(port):\n        print("to", port)\n\nada = Crew()\nada.add("Gull Rock")\n',
    expected: "to Gull Rock\n",
    ...{ line: 5, kind: "argument-count-wrong", search: 10 },
  },
  {
    says: "one list in all rows",
    language: "python",
    program: "deck = [[0] * 3] * 2\ndeck[0][1] = 1\nfor row in deck:\n    print(row)\n",
    expected: "[0, 1, 0]\n[0, 0, 0]\n",
    ...{ line: 1, kind: "list-shared-by-alias", search: 10 },
  },
  {
    says: "what is worked out is used nowhere: the line that should use it",
    language: "python",
    program:
      'cars = int(input("Cars: "))\npeople = int(input("People: "))\ntotal = cars * 20 + people * 4\noff = 0\nif people > 9:\n    off = 10\nprint("Pay", total)\n',
    input: "2\n12\n",
    expected: "Cars: People: Pay 78\n",
    ...{ line: 7, kind: "step-missing", search: 10 },
  },
  {
    says: "a count by which everything goes into one place",
    language: "java",
    program: inMain(
      "    add(4);\n    add(9);\n    for (int i = 0; i < 2; i++) System.out.println(loads[i]);\n",
      "  static int[] loads = new int[5];\n  static int count = 0;\n  static void add(int load) {\n    loads[count] = load;\n  }\n",
    ),
    expected: "4\n9\n",
    ...{ line: 6, kind: "step-missing" },
  },
  {
    says: "an element kept where its place is meant",
    language: "c",
    program:
      '#include <stdio.h>\nint main(void) {\n    int loads[4] = {3, 1, 2, 1};\n    int best = 3;\n    for (int i = 0; i < 4; i++) {\n        if (loads[i] > loads[best]) {\n            best = loads[i];\n        }\n    }\n    printf("Heaviest: car %d\\n", best);\n    return 0;\n}\n',
    expected: "Heaviest: car 0\n",
    ...{ line: 7, kind: "stored-position-stale" },
  },
  {
    says: "a mark that nothing sets, and no character that is taken for a text",
    language: "c",
    program:
      '#include <stdio.h>\nint main(void) {\n    char text[] = "gull rock";\n    int words = 0, inside = 0;\n    for (int i = 0; text[i] != 0; i++) {\n        if (text[i] == \' \') {\n            inside = 0;\n        } else if (!inside) {\n            words++;\n        }\n    }\n    printf("%d\\n", words);\n    return 0;\n}\n',
    expected: "2\n",
    ...{ line: 8, kind: "flag-not-set" },
  },
  {
    says: "a table that is handed over as a copy",
    language: "pascal",
    program:
      "program Deck;\ntype TLoads = array[1..2] of integer;\nvar loads: TLoads;\nprocedure Add(loads: TLoads);\nbegin\n  loads[1] := loads[1] + 5;\nend;\nbegin\n  loads[1] := 1;\n  Add(loads);\n  writeln(loads[1]);\nend.\n",
    expected: "6\n",
    // The word that hands the table itself is missing in the header.
    ...{ line: 4, kind: "value-parameter-changed" },
  },
  {
    says: "a part of the object that is given to itself",
    language: "csharp",
    program:
      "using System;\nclass Car\n{\n    public int load;\n    public Car(int load)\n    {\n        load = load;\n    }\n}\nclass Program\n{\n    static void Main()\n    {\n        Console.WriteLine(new Car(4).load);\n    }\n}\n",
    expected: "4\n",
    ...{ line: 7, kind: "variable-shadowed" },
  },
];

test.each(todaysShare(cases, 4))(
  "$says ($language)",
  async ({ language: id, program, input, expected, line, kind, search }) => {
    const language = findLanguage(id);
    if (!language) throw new Error(id);
    const judged = await judgeMaterial(toolchains, language, {
      files: programFiles(program, language),
      ...{ input, expected, closely: true, search: search ?? 0 },
    });
    expect(
      [judged.leads[0]?.line, kind && judged.patterns[0]?.id],
      JSON.stringify([judged.leads, judged.patterns]),
    ).toEqual([line, kind]);
  },
);
