import { describe, expect, test } from "vitest";
import { findLanguage } from "../languages/languages.ts";
import { repairsOf } from "./repairs.ts";

type Case = {
  language: string;
  what: string;
  before: string;
  after: string;
  refused?: boolean;
  passed?: Array<{ input: string; expected?: string }>;
};

const two = [
  { input: "3\n4\n", expected: "Total: 7\n" },
  { input: "5\n6\n", expected: "Total: 11\n" },
];
const alone = [{ input: "", expected: "Crossings: 3\nLoad: 18\n" }];

function said({ language, before, after, refused = false, passed = two }: Case) {
  const found = findLanguage(language);
  if (!found) throw new Error(language);
  return repairsOf({ language: found, before, after, refused, passed });
}

const readTwo = "a = int(input())\nb = int(input())\n";
const loads =
  'loads = [4, 5, 9]\ntotal = 0\nfor place in range(4):\n    total += loads[place]\nprint("Load:", total)\n';
const javaBody = (body: string) =>
  `import java.util.*;\nclass Main {\n  public static void main(String[] args) {\n    Scanner in = new Scanner(System.in);\n${body}  }\n}\n`;
const csharpBody = (body: string) => `using System;\nclass P {\n  static void Main() {\n${body}  }\n}\n`;

/** Changes after which the fault does not show and is there all the same. */
const hiding: readonly Case[] = [
  {
    language: "python",
    what: "everything is caught",
    before: `${readTwo}print("Total:", a / (b - b))\n`,
    after: `${readTwo}try:\n    print("Total:", a / (b - b))\nexcept Exception:\n    pass\n`,
  },
  {
    language: "python",
    what: "everything is caught without a name",
    before: `${readTwo}print("Total:", a[b])\n`,
    after: `${readTwo}try:\n    print("Total:", a[b])\nexcept:\n    print("Total:", 7)\n`,
  },
  {
    language: "python",
    what: "the very fault is caught and passed over",
    before: loads,
    after: `loads = [4, 5, 9]\ntotal = 0\nfor place in range(4):\n    try:\n        total += loads[place]\n    except IndexError:\n        pass\nprint("Load:", total)\n`,
    passed: alone,
  },
  {
    language: "python",
    what: "a printed value is fixed",
    before: `${readTwo}print("Total:", a - b)\n`,
    after: `${readTwo}print("Total:", 7)\n`,
  },
  {
    language: "python",
    what: "a printed value is fixed, nothing is read",
    before: 'crossings = 0\nfor boat in [1, 2, 3]:\n    crossings = 1\nprint("Crossings:", crossings)\n',
    after: 'crossings = 0\nfor boat in [1, 2, 3]:\n    crossings = 1\nprint("Crossings:", 3)\n',
    passed: [{ input: "", expected: "Crossings: 3\n" }],
  },
  {
    language: "python",
    what: "the whole line is fixed",
    before: `${readTwo}print("Total:", a - b)\n`,
    after: `${readTwo}print("Total: 7")\n`,
  },
  {
    language: "python",
    what: "a result is fixed",
    before: `${readTwo}total = a - b\nprint("Total:", total)\n`,
    after: `${readTwo}total = 7\nprint("Total:", total)\n`,
  },
  {
    language: "python",
    what: "a returned value is fixed",
    before: `def add(a, b):\n    return a - b\n${readTwo}print("Total:", add(a, b))\n`,
    after: `def add(a, b):\n    return 7\n${readTwo}print("Total:", add(a, b))\n`,
  },
  {
    language: "python",
    what: "a result is put in behind",
    before: `${readTwo}total = a - b\nprint("Total:", total)\n`,
    after: `${readTwo}total = a - b\ntotal = 7\nprint("Total:", total)\n`,
  },
  {
    language: "python",
    what: "the list is made longer",
    before: loads,
    after: loads.replace("[4, 5, 9]", "[4, 5, 9, 0]"),
    passed: alone,
  },
  {
    language: "python",
    what: "the list is made shorter",
    before: 'loads = [4, 5, 9, 8]\nprint("Load:", sum(loads))\n',
    after: 'loads = [4, 5, 9]\nprint("Load:", sum(loads))\n',
    passed: alone,
  },
  {
    language: "python",
    what: "a value is appended",
    before: loads,
    after: loads.replace("total = 0\n", "total = 0\nloads.append(0)\n"),
    passed: alone,
  },
  {
    language: "python",
    what: "a read is left out",
    before: `${readTwo}print("Total:", a - b)\n`,
    after: 'a = int(input())\nb = 4\nprint("Total:", a + b)\n',
  },
  {
    language: "python",
    what: "the program ends before the fault",
    before: `import sys\n${readTwo}print("Total:", a / 0)\n`,
    after: `import sys\n${readTwo}sys.exit()\nprint("Total:", a / 0)\n`,
  },
  {
    language: "python",
    what: "what failed is taken out and nothing says what should come",
    before: 'names = ["Skua"]\nprint(names[3])\nprint("done")\n',
    after: 'names = ["Skua"]\nprint("done")\n',
    passed: [{ input: "" }],
  },
  {
    language: "python",
    what: "what failed becomes a remark",
    before: 'names = ["Skua"]\nprint(names[3])\nprint("done")\n',
    after: 'names = ["Skua"]\n# print(names[3])\nprint("done")\n',
    passed: [{ input: "" }],
  },
  {
    language: "python",
    what: "an input is answered by a fixed value",
    before: `${readTwo}print("Total:", a - b)\n`,
    after: `${readTwo}if a == 3:\n    print("Total:", 7)\nelse:\n    print("Total:", a - b)\n`,
  },
  {
    language: "java",
    what: "an empty catch",
    before: javaBody('    int n = in.nextInt();\n    System.out.println("Total: " + 7 / (n - n));\n'),
    after: javaBody(
      '    int n = in.nextInt();\n    try {\n      System.out.println("Total: " + 7 / (n - n));\n    } catch (ArithmeticException e) {\n    }\n',
    ),
  },
  {
    language: "java",
    what: "everything is caught",
    before: javaBody("    int n = in.nextInt();\n    f(n);\n"),
    after: javaBody(
      '    int n = in.nextInt();\n    try {\n      f(n);\n    } catch (Exception e) {\n      System.out.println("Total: 7");\n    }\n',
    ),
  },
  {
    language: "java",
    what: "a printed value is fixed",
    before: javaBody(
      '    int a = in.nextInt();\n    int b = in.nextInt();\n    System.out.println("Total: " + (a - b));\n',
    ),
    after: javaBody('    int a = in.nextInt();\n    int b = in.nextInt();\n    System.out.println("Total: " + 7);\n'),
  },
  {
    language: "java",
    what: "an array has one more value",
    before: javaBody("    int[] a = {4, 5, 9};\n    System.out.println(a[3]);\n"),
    after: javaBody("    int[] a = {4, 5, 9, 0};\n    System.out.println(a[3]);\n"),
    passed: alone,
  },
  {
    language: "java",
    what: "it leaves before the fault",
    before: javaBody("    String s = null;\n    System.out.println(s.length());\n"),
    after: javaBody("    String s = null;\n    System.exit(0);\n    System.out.println(s.length());\n"),
    passed: [{ input: "" }],
  },
  {
    language: "java",
    what: "a read is left out",
    before: javaBody(
      '    int a = in.nextInt();\n    int b = in.nextInt();\n    System.out.println("Total: " + (a - b));\n',
    ),
    after: javaBody('    int a = in.nextInt();\n    int b = 4;\n    System.out.println("Total: " + (a + b));\n'),
  },
  {
    language: "c",
    what: "a printed value is fixed",
    before:
      '#include <stdio.h>\nint main(void) {\n  int a, b;\n  scanf("%d %d", &a, &b);\n  printf("Total: %d\\n", a - b);\n}\n',
    after:
      '#include <stdio.h>\nint main(void) {\n  int a, b;\n  scanf("%d %d", &a, &b);\n  printf("Total: %d\\n", 7);\n}\n',
  },
  {
    language: "c",
    what: "the whole text is fixed",
    before:
      '#include <stdio.h>\nint main(void) {\n  int a, b;\n  scanf("%d %d", &a, &b);\n  printf("Total: %d\\n", a - b);\n}\n',
    after:
      '#include <stdio.h>\nint main(void) {\n  int a, b;\n  scanf("%d %d", &a, &b);\n  printf("Total: 7\\n");\n}\n',
  },
  {
    language: "c",
    what: "it exits before the fault",
    before: "#include <stdlib.h>\nint main(void) {\n  int *p = 0;\n  *p = 3;\n}\n",
    after: "#include <stdlib.h>\nint main(void) {\n  int *p = 0;\n  exit(0);\n  *p = 3;\n}\n",
    passed: [{ input: "" }],
  },
  {
    language: "c",
    what: "an array has one more value",
    before: '#include <stdio.h>\nint main(void) {\n  int a[] = {4, 5, 9};\n  printf("Load: %d\\n", a[3]);\n}\n',
    after: '#include <stdio.h>\nint main(void) {\n  int a[] = {4, 5, 9, 18};\n  printf("Load: %d\\n", a[3]);\n}\n',
    passed: alone,
  },
  {
    language: "c",
    what: "a read is left out",
    before:
      '#include <stdio.h>\nint main(void) {\n  int a, b;\n  scanf("%d", a);\n  scanf("%d", &b);\n  printf("Total: %d\\n", a + b);\n}\n',
    after:
      '#include <stdio.h>\nint main(void) {\n  int a = 3, b;\n  scanf("%d", &b);\n  printf("Total: %d\\n", a + b);\n}\n',
  },
  {
    language: "csharp",
    what: "an empty catch",
    before: csharpBody("    int n = int.Parse(Console.ReadLine());\n    Console.WriteLine(7 / (n - n));\n"),
    after: csharpBody(
      "    int n = int.Parse(Console.ReadLine());\n    try {\n      Console.WriteLine(7 / (n - n));\n    } catch {\n    }\n",
    ),
  },
  {
    language: "csharp",
    what: "everything is caught",
    before: csharpBody("    int n = int.Parse(Console.ReadLine());\n    F(n);\n"),
    after: csharpBody(
      '    int n = int.Parse(Console.ReadLine());\n    try {\n      F(n);\n    } catch (Exception e) {\n      Console.WriteLine("Total: 7");\n    }\n',
    ),
  },
  {
    language: "csharp",
    what: "a printed value is fixed",
    before: csharpBody(
      '    int a = int.Parse(Console.ReadLine());\n    int b = int.Parse(Console.ReadLine());\n    Console.WriteLine("Total: " + (a - b));\n',
    ),
    after: csharpBody(
      '    int a = int.Parse(Console.ReadLine());\n    int b = int.Parse(Console.ReadLine());\n    Console.WriteLine("Total: " + 7);\n',
    ),
  },
  {
    language: "pascal",
    what: "a printed value is fixed",
    before: "var a, b: integer;\nbegin\n  readln(a);\n  readln(b);\n  writeln('Total: ', a - b);\nend.\n",
    after: "var a, b: integer;\nbegin\n  readln(a);\n  readln(b);\n  writeln('Total: ', 7);\nend.\n",
  },
  {
    language: "pascal",
    what: "everything is caught",
    before: "uses SysUtils;\nvar a: integer;\nbegin\n  readln(a);\n  writeln('Total: ', 7 div (a - a));\nend.\n",
    after:
      "uses SysUtils;\nvar a: integer;\nbegin\n  readln(a);\n  try\n    writeln('Total: ', 7 div (a - a));\n  except\n  end;\nend.\n",
  },
  {
    language: "pascal",
    what: "it halts before the fault",
    before: "var a: integer;\nbegin\n  readln(a);\n  writeln(7 div (a - a));\nend.\n",
    after: "var a: integer;\nbegin\n  readln(a);\n  halt;\n  writeln(7 div (a - a));\nend.\n",
    passed: [{ input: "3\n" }, { input: "4\n" }],
  },
  {
    language: "octave",
    what: "everything is caught",
    before: 'a = input("");\nprintf("Total: %d\\n", b);\n',
    after: 'a = input("");\ntry\n  printf("Total: %d\\n", b);\ncatch\nend\n',
  },
  {
    language: "octave",
    what: "a printed value is fixed",
    before: 'a = input("");\nb = input("");\nprintf("Total: %d\\n", a - b);\n',
    after: 'a = input("");\nb = input("");\nprintf("Total: %d\\n", 7);\n',
  },
  {
    language: "octave",
    what: "the list is made longer",
    before: 'loads = [4 5 9];\nprintf("Load: %d\\n", loads(4));\n',
    after: 'loads = [4 5 9 18];\nprintf("Load: %d\\n", loads(4));\n',
    passed: alone,
  },
  {
    language: "octave",
    what: "a result is fixed",
    before: 'a = input("");\nb = input("");\ntotal = a - b;\nprintf("Total: %d\\n", total);\n',
    after: 'a = input("");\nb = input("");\ntotal = 7;\nprintf("Total: %d\\n", total);\n',
  },
  {
    language: "python",
    what: "a count is fixed to what one input needs",
    before: `n = int(input())\ntotal = 0\nfor place in range(n + 1):\n    total += int(input())\nprint("Total:", total)\n`,
    after: `n = int(input())\ntotal = 0\nfor place in range(3):\n    total += int(input())\nprint("Total:", total)\n`,
  },
  {
    language: "python",
    what: "a text of the intended output in place of a name",
    before: `${readTwo}state = "x"\nprint(state)\n`,
    after: `${readTwo}state = "x"\nprint("May sail")\n`,
    passed: [
      { input: "3\n4\n", expected: "May sail\n" },
      { input: "5\n6\n", expected: "May sail\n" },
    ],
  },
];

/** Changes that mend what is wrong. */
const honest: readonly Case[] = [
  {
    language: "python",
    what: "an operator",
    before: `${readTwo}print("Total:", a - b)\n`,
    after: `${readTwo}print("Total:", a + b)\n`,
  },
  { language: "python", what: "a limit", before: loads, after: loads.replace("range(4)", "range(3)"), passed: alone },
  {
    language: "python",
    what: "a limit by the list",
    before: loads,
    after: loads.replace("range(4)", "range(len(loads))"),
    passed: alone,
  },
  {
    language: "python",
    what: "a conversion",
    before: `a = input()\n${"b = int(input())\n"}print("Total:", a + b)\n`,
    after: `a = int(input())\nb = int(input())\nprint("Total:", a + b)\n`,
  },
  {
    language: "python",
    what: "a conversion of what is read again",
    before: 'a = int(input())\nb = int(input())\nprint("Total:", a + b)\n',
    after: 'a = float(input())\nb = float(input())\nprint("Total:", a + b)\n',
  },
  {
    language: "python",
    what: "a name",
    before: `${readTwo}total = a + b\nprint("Total:", totl)\n`,
    after: `${readTwo}total = a + b\nprint("Total:", total)\n`,
  },
  {
    language: "python",
    what: "a start value",
    before: 'total = 1\nfor x in [3, 4]:\n    total += x\nprint("Total:", total)\n',
    after: 'total = 0\nfor x in [3, 4]:\n    total += x\nprint("Total:", total)\n',
    passed: [{ input: "", expected: "Total: 7\n" }],
  },
  {
    language: "python",
    what: "a start value that was missing",
    before: 'for x in [3, 4]:\n    total += x\nprint("Total:", total)\n',
    after: 'total = 0\nfor x in [3, 4]:\n    total += x\nprint("Total:", total)\n',
    passed: [{ input: "", expected: "Total: 7\n" }],
  },
  {
    language: "python",
    what: "a statement moved out of a loop",
    before: 'for x in [3, 4]:\n    total = 0\n    total += x\nprint("Total:", total)\n',
    after: 'total = 0\nfor x in [3, 4]:\n    total += x\nprint("Total:", total)\n',
  },
  {
    language: "python",
    what: "asked again until it is a number",
    before: 'a = int(input())\nprint("Total:", a)\n',
    after:
      'while True:\n    try:\n        a = int(input())\n        break\n    except ValueError:\n        print("A number, please")\nprint("Total:", a)\n',
  },
  {
    language: "python",
    what: "a guard",
    before: `${readTwo}print("Total:", a // b)\n`,
    after: `${readTwo}if b != 0:\n    print("Total:", a // b)\nelse:\n    print("No boats")\n`,
  },
  {
    language: "python",
    what: "brackets",
    before: `${readTwo}print("Total:", a + b / 2)\n`,
    after: `${readTwo}print("Total:", (a + b) / 2)\n`,
  },
  {
    language: "python",
    what: "a return",
    before: `def add(a, b):\n    c = a + b\n${readTwo}print("Total:", add(a, b))\n`,
    after: `def add(a, b):\n    c = a + b\n    return c\n${readTwo}print("Total:", add(a, b))\n`,
  },
  {
    language: "python",
    what: "a branch that was missing",
    before: `${readTwo}if a > b:\n    print("May sail")\n`,
    after: `${readTwo}if a > b:\n    print("May sail")\nelse:\n    print("Too heavy")\n`,
    passed: [
      { input: "3\n4\n", expected: "Too heavy\n" },
      { input: "4\n3\n", expected: "May sail\n" },
    ],
  },
  {
    language: "python",
    what: "a colon",
    before: "if 1\n    print(1)\n",
    after: "if 1:\n    print(1)\n",
    refused: true,
  },
  { language: "python", what: "a quote", before: 'print("Total)\n', after: 'print("Total")\n', refused: true },
  {
    language: "python",
    what: "a text that was misspelt",
    before: `${readTwo}print("Totl:", a + b)\n`,
    after: `${readTwo}print("Total:", a + b)\n`,
  },
  {
    language: "python",
    what: "a limit written as a number",
    before: `${readTwo}limit = 41\nprint("Total:", a + b if a + b < limit else 0)\n`,
    after: `${readTwo}limit = 40\nprint("Total:", a + b if a + b < limit else 0)\n`,
  },
  {
    language: "python",
    what: "a name of a file",
    before: 'print(open("lod.txt").read())\n',
    after: 'print(open("load.txt").read())\n',
  },
  {
    language: "java",
    what: "a terminator",
    before: javaBody("    int n = 3\n"),
    after: javaBody("    int n = 3;\n"),
    refused: true,
  },
  {
    language: "java",
    what: "equal texts",
    before: javaBody('    String s = in.next();\n    if (s == "go") System.out.println("Total: 7");\n'),
    after: javaBody('    String s = in.next();\n    if (s.equals("go")) System.out.println("Total: 7");\n'),
  },
  {
    language: "java",
    what: "a line read away",
    before: javaBody("    int n = in.nextInt();\n    String s = in.nextLine();\n    System.out.println(s);\n"),
    after: javaBody(
      "    int n = in.nextInt();\n    in.nextLine();\n    String s = in.nextLine();\n    System.out.println(s);\n",
    ),
  },
  {
    language: "java",
    what: "a cast",
    before: javaBody("    int a = in.nextInt();\n    System.out.println(a / 2);\n"),
    after: javaBody("    int a = in.nextInt();\n    System.out.println((double) a / 2);\n"),
  },
  {
    language: "java",
    what: "an object",
    before: javaBody("    ArrayList<String> names = null;\n    names.add(in.next());\n"),
    after: javaBody("    ArrayList<String> names = new ArrayList<>();\n    names.add(in.next());\n"),
  },
  {
    language: "java",
    what: "a limit",
    before: javaBody("    int[] a = {3, 4};\n    for (int i = 0; i <= a.length; i++) System.out.println(a[i]);\n"),
    after: javaBody("    int[] a = {3, 4};\n    for (int i = 0; i < a.length; i++) System.out.println(a[i]);\n"),
  },
  {
    language: "java",
    what: "a break",
    before: javaBody("    switch (in.nextInt()) {\n      case 1: f(); \n      case 2: g();\n    }\n"),
    after: javaBody("    switch (in.nextInt()) {\n      case 1: f(); break;\n      case 2: g();\n    }\n"),
  },
  {
    language: "c",
    what: "an address",
    before: 'int main(void) {\n  int a;\n  scanf("%d", a);\n  printf("Total: %d\\n", a);\n}\n',
    after: 'int main(void) {\n  int a;\n  scanf("%d", &a);\n  printf("Total: %d\\n", a);\n}\n',
  },
  {
    language: "c",
    what: "a comparison",
    before: "int f(int a) {\n  if (a = 3) return 1;\n  return 0;\n}\n",
    after: "int f(int a) {\n  if (a == 3) return 1;\n  return 0;\n}\n",
  },
  {
    language: "c",
    what: "a format",
    before: 'int main(void) {\n  double x = 2;\n  printf("%d\\n", x);\n}\n',
    after: 'int main(void) {\n  double x = 2;\n  printf("%.2f\\n", x);\n}\n',
  },
  {
    language: "c",
    what: "a first value",
    before: "int f(void) {\n  int s;\n  return s;\n}\n",
    after: "int f(void) {\n  int s = 0;\n  return s;\n}\n",
  },
  {
    language: "c",
    what: "room for a text",
    before: 'char *name;\nint main(void) {\n  strcpy(name, "x");\n}\n',
    after: 'char name[100];\nint main(void) {\n  strcpy(name, "x");\n}\n',
  },
  {
    language: "csharp",
    what: "a conversion",
    before: csharpBody("    int n = Console.ReadLine();\n"),
    after: csharpBody("    int n = int.Parse(Console.ReadLine());\n"),
    refused: true,
  },
  {
    language: "csharp",
    what: "a limit",
    before: csharpBody("    for (int i = 0; i < 3; i++) Console.WriteLine(i);\n"),
    after: csharpBody("    for (int i = 0; i <= 3; i++) Console.WriteLine(i);\n"),
  },
  {
    language: "csharp",
    what: "arguments",
    before: csharpBody("    Console.WriteLine(F(b, a));\n"),
    after: csharpBody("    Console.WriteLine(F(a, b));\n"),
  },
  {
    language: "pascal",
    what: "an assignment",
    before: "var a: integer;\nbegin\n  a = 3;\nend.\n",
    after: "var a: integer;\nbegin\n  a := 3;\nend.\n",
    refused: true,
  },
  {
    language: "pascal",
    what: "a direction",
    before: "var i: integer;\nbegin\n  for i := 3 to 1 do writeln(i);\nend.\n",
    after: "var i: integer;\nbegin\n  for i := 3 downto 1 do writeln(i);\nend.\n",
  },
  {
    language: "pascal",
    what: "marks of a block",
    before: "var a: integer;\nbegin\n  readln(a);\n  if a > 3 then a := 1; writeln(a);\nend.\n",
    after: "var a: integer;\nbegin\n  readln(a);\n  if a > 3 then begin a := 1; writeln(a); end;\nend.\n",
  },
  {
    language: "octave",
    what: "an operator by element",
    before: "a = [1 2];\nb = [3 4];\ndisp(a * b)\n",
    after: "a = [1 2];\nb = [3 4];\ndisp(a .* b)\n",
  },
  { language: "octave", what: "a name", before: "total = 3;\ndisp(totl)\n", after: "total = 3;\ndisp(total)\n" },
  { language: "octave", what: "an end", before: "if a\n  b = 1;\n", after: "if a\n  b = 1;\nend\n", refused: true },
];

describe("changes that hide a fault are told", () => {
  test.each(hiding.map((each) => [`${each.language}: ${each.what}`, each] as const))("%s", (_, each) => {
    const found = said(each);
    expect(found).toMatchObject({ repairs: "hides", because: expect.stringMatching(/\.$/) });
  });
});

describe("changes that mend are not taken for such", () => {
  test.each(honest.map((each) => [`${each.language}: ${each.what}`, each] as const))("%s", (_, each) => {
    expect(said(each).repairs).not.toBe("hides");
  });
});

test("what is enough to say that it repairs: starting after a refusal, else two inputs", () => {
  const [first] = honest;
  if (!first) throw new Error("none");
  expect(said(first).repairs).toBe("repairs");
  expect(said({ ...first, passed: two.slice(0, 1) })).toEqual({
    repairs: "open",
    because: "It passes its only check; another input would tell more.",
  });
  expect(said({ ...first, refused: true, passed: [] }).repairs).toBe("repairs");
});
