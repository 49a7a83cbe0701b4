import { expect, test } from "vitest";
import { findLanguage } from "../languages/languages.ts";
import { findPattern } from "./patterns.ts";
import { adviceFor } from "./prevention.ts";

const advised = (id: string, program: string) => {
  const language = findLanguage(id);
  if (!language) throw new Error(id);
  return adviceFor(language, program);
};
const kinds = (id: string, program: string) => advised(id, program).map(({ line, pattern }) => `${line} ${pattern}`);

test("names that differ by case or one letter are listed, not those that are numbered or of a list and its elements", () => {
  expect(kinds("python", "total = 1\nTotal = 2\nprint(total, Total)\n")).toEqual(["2 name-letter-case"]);
  expect(kinds("python", "fares = 1\nfores = 2\n")).toEqual(["2 own-name-misspelt"]);
  expect(kinds("python", "load1 = 1\nload2 = 2\nloads = [1]\nfor load in loads:\n    print(load)\n")).toEqual([]);
  expect(kinds("pascal", "var total: integer;\nbegin\n  Total := 1;\n  writeln(total);\nend.\n")).toEqual([]);
});

test("a header without marks is listed with what it governs; one with marks is not", () => {
  const java = (body: string) =>
    `public class Main {\n    public static void main(String[] args) {\n        int a = 1;\n${body}    }\n}\n`;
  const [place] = advised(
    "java",
    java('        if (a > 2)\n            System.out.println("x");\n            System.out.println("y");\n'),
  );
  expect(place).toMatchObject({
    line: 4,
    pattern: "statement-outside-block",
    says: expect.stringContaining('System.out.println("x");'),
  });
  expect(kinds("java", java('        if (a > 2) {\n            System.out.println("x");\n        }\n'))).toEqual([]);
  expect(kinds("python", "a = 1\nif a > 2:\n    print(a)\n")).toEqual([]);
});

test("and with or without brackets is listed; with brackets it is not", () => {
  expect(kinds("python", "a = b = c = True\nif a or b and c:\n    print(1)\n")).toContain("2 and-or-without-brackets");
  expect(kinds("python", "a = b = c = True\nif (a or b) and c:\n    print(1)\n")).not.toContain(
    "2 and-or-without-brackets",
  );
  expect(kinds("c", "int f(int a, int b, int c) {\n  if (a || b && c) { return 1; }\n  return 0;\n}\n")).toContain(
    "2 and-or-without-brackets",
  );
});

test("of lines that count on, the one that does not is named", () => {
  expect(advised("octave", "first = tides(1);\n")).toEqual([]);
  const rows = (numbers: number[]) => numbers.map((number) => `show(tides(${number}));\n`).join("");
  expect(kinds("octave", rows([1, 2, 2, 4]))).toEqual(["3 copied-line-not-adapted"]);
  expect(kinds("octave", rows([1, 2, 3]))).toEqual([]);
  expect(kinds("octave", rows([1, 1, 3, 4]))).toEqual(["2 copied-line-not-adapted"]);
  expect(kinds("octave", rows([5, 5, 5]))).toEqual([]);
});

test("divisors that are no numbers are asked for; loops without change and reads without conversion are named", () => {
  expect(kinds("python", "trips = int(input())\nprint(40 / trips)\nprint(40 / 2)\n")).toEqual(["2 zero-divisor"]);
  expect(kinds("python", "trip = 1\nwhile trip < 3:\n    print(trip)\n")).toContain("2 loop-variable-never-changes");
  expect(kinds("python", "load = input()\nprint(load * 2 + 1)\n").join()).toContain("input-kept-as-text");
});

test("each piece of advice leads to a kind of mistake that is known, and no program breaks it", () => {
  for (const program of ["", "if", "}{", "print((", "for a in"])
    for (const id of ["python", "java", "c", "csharp", "pascal", "octave", "steps"])
      for (const { pattern } of advised(id, program)) expect(findPattern(pattern)).toBeDefined();
});
