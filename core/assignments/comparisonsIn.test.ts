import { expect, test } from "vitest";
import { readsOfLine } from "../languages/inputReads.ts";
import { findLanguage } from "../languages/languages.ts";
import { comparisonsIn } from "./comparisonsIn.ts";

/** One condition in each language: a load that is at least 5 and below 20, a word that is not "end". */
const conditions: ReadonlyArray<readonly [language: string, program: string]> = [
  ["python", 'if load >= 5 and load < 20 and word != "end":\n    load = 3\n'],
  ["java", 'class A { void a() { if (load >= 5 && load < 20 && word != "end") { load = 3; } } }\n'],
  ["c", 'int main(void) { if (load >= 5 && load < 20 && word != "end") { load = 3; } }\n'],
  ["csharp", 'class A { void B() { if (load >= 5 && load < 20 && word != "end") { load = 3; } } }\n'],
  ["pascal", "begin if (load >= 5) and (load < 20) and (word <> 'end') then load := 3; end.\n"],
  ["octave", 'if load >= 5 && load < 20 && word != "end"\n  load = 3;\nend\n'],
];

test.each(conditions)("%s: what names are compared with, and nothing that is only set", (id, program) => {
  const language = findLanguage(id);
  if (!language) throw new Error(id);
  expect(
    comparisonsIn(language, program).map(({ name, operator, number, text }) => [name, operator, number ?? text]),
  ).toEqual([
    ["load", ">=", 5],
    ["load", "<", 20],
    ["word", "!=", "end"],
  ]);
});

/** Lines that read, with the name and kind that each takes. */
const reads: ReadonlyArray<readonly [language: string, line: string, name: string, kind: string]> = [
  ["python", 'load = int(input("Load: "))', "load", "whole"],
  ["python", "self.load = float(input())", "load", "decimal"],
  ["python", 'loads.append(int(input("Load: ")))', "loads", "whole"],
  ["python", 'total += int(input("Next load: "))', "next load", "whole"],
  ["python", "name = sys.stdin.readline()", "name", "text"],
  ["java", "int load = in.nextInt();", "load", "whole"],
  ["java", "double[] loads; loads[i] = scanner.nextDouble();", "loads", "decimal"],
  ["java", "int load = Integer.parseInt(reader.readLine());", "load", "whole"],
  ["java", "names.add(in.nextLine());", "names", "text"],
  ["c", 'scanf("%d", &load);', "load", "whole"],
  ["c", 'scanf("%lf", &loads[i]);', "loads", "decimal"],
  ["c", 'scanf(" %c", &sign);', "sign", "text"],
  ["c", "fgets(name, 40, stdin);", "name", "text"],
  ["csharp", "int load = Convert.ToInt32(Console.ReadLine());", "load", "whole"],
  ["csharp", "decimal fare = decimal.Parse(Console.ReadLine());", "fare", "decimal"],
  ["csharp", "if (int.TryParse(Console.ReadLine(), out int load)) { }", "load", "whole"],
  ["csharp", "string name = Console.ReadLine();", "name", "text"],
  ["octave", 'load = input("Load: ");', "load", "decimal"],
  ["octave", 'name = input("Name: ", "s");', "name", "text"],
  ["octave", 'loads(k) = str2double(input("Load: ", "s"));', "loads", "decimal"],
];

test.each(reads)("%s: %s", (id, line, name, kind) => {
  const forms = findLanguage(id)?.inputForms;
  if (!forms) throw new Error(id);
  expect(readsOfLine(forms, line, line)[0]).toEqual({ name, kind });
});

test("Pascal takes the kind from the declaration, several names of one call in their order", () => {
  const forms = findLanguage("pascal")?.inputForms;
  if (!forms) throw new Error("no Pascal");
  const program = "var count, other: integer; load: real; name: string[20]; loads: array[1..9] of real;\n";
  const read = (line: string) => readsOfLine(forms, line, program);
  expect(read("  ReadLn(count, load);")).toEqual([
    { name: "count", kind: "whole" },
    { name: "load", kind: "decimal" },
  ]);
  expect(read("  readln(name);")).toEqual([{ name: "name", kind: "text" }]);
  expect(read("  Read(loads[index]);")).toEqual([{ name: "loads", kind: "decimal" }]);
  expect(read("  readln;")).toEqual([]);
  expect(read("  writeln(count);")).toEqual([]);
});

test("pseudocode takes the kind from the declaration or from what a name is compared with, several targets in their order", () => {
  const forms = findLanguage("pseudocode")?.inputForms;
  if (!forms) throw new Error("no pseudocode");
  const program = 'DECLARE load : REAL\nDECLARE names : ARRAY[1:3] OF STRING\nIF card = "yes" THEN\nENDIF\n';
  const read = (line: string) => readsOfLine(forms, line, program);
  expect(read('INPUT "Load, cars? ", load, cars  // both')).toEqual([
    { name: "load", kind: "decimal" },
    { name: "cars", kind: "whole" },
  ]);
  expect(read("input names[place]")).toEqual([{ name: "names", kind: "text" }]);
  expect(read("READ card")).toEqual([{ name: "card", kind: "text" }]);
  expect(read("cars ← USERINPUT")).toEqual([{ name: "cars", kind: "whole" }]);
  expect(read('OUTPUT "INPUT cars"')).toEqual([]);
});

test("a text that is made into a number later is a number", () => {
  for (const [id, line, program] of [
    ["python", "text = input()", "text = input()\nload = int(text)\n"],
    ["java", "String text = in.nextLine();", "String text = in.nextLine();\nint load = Integer.parseInt(text);\n"],
    ["csharp", "string text = Console.ReadLine();", "string text = Console.ReadLine();\nint load = int.Parse(text);\n"],
    ["c", "fgets(text, 20, stdin);", "fgets(text, 20, stdin);\nint load = atoi(text);\n"],
  ] as const) {
    const forms = findLanguage(id)?.inputForms;
    expect(forms && readsOfLine(forms, line, program)).toEqual([{ name: "text", kind: "whole" }]);
  }
});
