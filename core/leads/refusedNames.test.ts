import { expect, test } from "vitest";
import { findLanguage } from "../languages/languages.ts";
import { judge } from "../verdict/judge.ts";

/** The leads of a program that its translator refuses with this message. */
function leadsOf(id: string, mainName: string, program: string, pastedText: string) {
  const language = findLanguage(id);
  if (!language) throw new Error(id);
  return judge({ language, mainName, files: { [mainName]: program }, pastedText }).leads.map(({ line }) => line);
}

const unset = (line: number) =>
  `Ferry.java:${line}: error: variable word might not have been initialized\n        System.out.println(word);\n                           ^\n1 error\n`;
const chain = (last: string) =>
  `class Ferry {\n    static void f(int load) {\n        String word;\n        if (load > 9) {\n            word = "full";\n        } else if (load > 4) {\n            word = "half";\n        }${last}\n        System.out.println(word);\n    }\n}\n`;

test("a name that some branches give a value: the end of their decision comes before the line that reads it", () => {
  expect(leadsOf("java", "Ferry.java", chain(""), unset(9))[0]).toBe(8);
  expect(leadsOf("java", "Ferry.java", chain(" else {\n            load = 0;\n        }"), unset(11))[0]).toBe(10);
});

test("a decision in a branch of another one is a part of it: the whole one ends where the step is missing", () => {
  const inner = chain(' else {\n            if (load > 2) {\n                word = "low";\n            }\n        }');
  expect(leadsOf("java", "Ferry.java", inner, unset(13))[0]).toBe(12);
});

test("a name that all branches give a value, or none, leads nowhere else", () => {
  expect(leadsOf("java", "Ferry.java", chain(' else {\n            word = "low";\n        }'), unset(11))[0]).toBe(11);
  expect(leadsOf("java", "Ferry.java", chain("").replaceAll("word = ", "load += 1; // "), unset(9))[0]).toBe(9);
});

test("a value that a name's kind does not take: where the name is declared comes behind the line itself", () => {
  const program = "program ferry;\nvar\n  mean: integer;\nbegin\n  mean := 7 / 2;\n  writeln(mean);\nend.\n";
  const message = 'ferry.pas(5,13) Error: Incompatible types: got "Real" expected "SmallInt"\n';
  expect(leadsOf("pascal", "ferry.pas", program, message).slice(0, 2)).toEqual([5, 3]);
});

test("a function that gives nothing back on some way, told of its head: its end comes first", () => {
  const program =
    'class P\n{\n    static string Find(int load)\n    {\n        if (load > 9)\n            return "full";\n    }\n}\n';
  const message = "Program.cs(3,19): error CS0161: `P.Find(int)': not all code paths return a value\n";
  expect(leadsOf("csharp", "Program.cs", program, message).slice(0, 2)).toEqual([7, 3]);
});

test("what a field is given at its declaration may be nothing; a line that gives its part something counts", () => {
  const told = (body: string) => {
    const program = `class Ferry {\n    static String owner = null;\n    static int f(Ferry ferry) {\n        ${body}\n        return owner.length();\n    }\n}\n`;
    const message =
      'Exception in thread "main" java.lang.NullPointerException: Cannot invoke "String.length()" because "Ferry.owner" is null\n\tat Ferry.f(Ferry.java:5)\n';
    const language = findLanguage("java");
    if (!language) throw new Error("java");
    const { leads } = judge({
      language,
      mainName: "Ferry.java",
      files: { "Ferry.java": program },
      pastedText: message,
    });
    return leads.filter(({ why }) => why.includes("no line ever gives it")).map(({ line }) => line);
  };
  expect(told("int n = 0;")).toEqual([2]);
  expect(told('Ferry.owner = "Ann";')).toEqual([]);
});

test("a name that is declared without a value and added to: its declaration comes before the line that adds", () => {
  const program = (use: string) =>
    `class Ferry {\n    public static void main(String[] args) {\n        int extra;\n        for (int i = 0; i < 3; i++) {\n            ${use}\n        }\n    }\n}\n`;
  const told = (line: number) =>
    `Ferry.java:${line}: error: variable extra might not have been initialized\n            extra += i;\n            ^\n1 error\n`;
  for (const use of ["extra += i;", "extra++;", "extra = extra + i;"])
    expect(leadsOf("java", "Ferry.java", program(use), told(5))[0], use).toBe(3);
  // Where it is only read, the line that reads it stands first.
  const read = leadsOf("java", "Ferry.java", program("System.out.println(extra);"), told(5));
  expect([read[0], read.includes(3)]).toEqual([5, true]);
});

test("a brace too many at the end is the end of what a header without its own heads", () => {
  const program = (head: string) =>
    `class Ferry {\n    public static void main(String[] args) {\n        int load = 4;\n        if (load > 3)${head}\n            System.out.println("heavy");\n        }\n        System.out.println(load);\n    }\n}\n`;
  const message = "Ferry.java:9: error: class, interface, enum, or record expected\n}\n^\n1 error\n";
  expect(leadsOf("java", "Ferry.java", program(""), message)[0]).toBe(4);
  // Without any header that lacks one the line stays where the tool names it.
  const whole = `${program(" {")}}\n`;
  expect(leadsOf("java", "Ferry.java", whole, message.replace(":9:", ":10:"))[0]).toBe(10);
});
