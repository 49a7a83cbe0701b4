import { expect, test } from "vitest";
import { findLanguage } from "../languages/languages.ts";
import type { Diagnostic } from "../outcome/outcome.ts";
import { guardOf } from "./guards.ts";

function guard(language: string, text: string, line: number, message: string, errorName = "") {
  const found = findLanguage(language);
  if (!found) throw new Error(language);
  const diagnostic: Diagnostic = { severity: "error", line, message, errorName, stage: "run", primary: true };
  return guardOf(found, text, diagnostic);
}

test("A division is asked for its divisor first, in the way of each language", () => {
  const python = guard(
    "python",
    "def share(load, cars):\n    return load / cars\n",
    2,
    "division by zero",
    "ZeroDivisionError",
  );
  expect(python).toMatchObject({ operation: "division", condition: "cars != 0", handler: { fits: false } });
  expect(python?.text).toBe("def share(load, cars):\n    if cars != 0:\n        return load / cars\n");
  const java = guard(
    "java",
    "class M {\n  static void f(int a, int b) {\n    a = a / b;\n  }\n}\n",
    3,
    "/ by zero",
    "java.lang.ArithmeticException",
  );
  expect(java?.text).toContain("    if (b != 0)\n      a = a / b;\n");
  const pascal = guard("pascal", "begin\n  a := a div b;\nend.\n", 2, "Runtime error 200: Division by zero");
  expect(pascal?.text).toBe("begin\n  if b <> 0 then\n    a := a div b;\nend.\n");
  const octave = guard("octave", "if a\n  b = a / c;\nend\n", 2, "division by zero");
  expect(octave?.text).toBe("if a\n  if c != 0\n    b = a / c;\n  end\nend\n");
});

test("A place in a list is asked for, and what may be nothing", () => {
  const place = guard("python", "loads = [1]\nn = 4\nprint(loads[n])\n", 3, "list index out of range", "IndexError");
  expect(place?.condition).toBe("(n >= 0) and (n < len(loads))");
  expect(place?.text).toBe("loads = [1]\nn = 4\nif (n >= 0) and (n < len(loads)):\n    print(loads[n])\n");
  const nothing = guard(
    "csharp",
    "class P {\n  static void F(Deck d) {\n    d.load = 3;\n  }\n}\n",
    3,
    "Object reference not set",
    "System.NullReferenceException",
  );
  expect(nothing).toMatchObject({ operation: "nothing there", condition: "d != null" });
});

test("A handler fits what comes from outside, and masks what the program can know", () => {
  const typed = guard(
    "python",
    "cars = int(input())\n",
    1,
    "invalid literal for int() with base 10: 'x'",
    "ValueError",
  );
  expect(typed).toMatchObject({ operation: "conversion", text: null, handler: { fits: true } });
  const about = (language: string, message: string, errorName: string) =>
    guard(language, "x\n", 1, message, errorName)?.operation;
  expect(about("python", "[Errno 2] No such file or directory: 'tides.txt'", "FileNotFoundError")).toBe("file");
  expect(about("java", 'For input string: "x"', "java.lang.NumberFormatException")).toBe("conversion");
  expect(about("python", "'Tern'", "KeyError")).toBe("key");
  expect(about("python", "unsupported operand type(s) for +: 'int' and 'str'", "TypeError")).toBe("other");
});

test("A header, a declaration and a line with more on it are left as they are: there words alone are said", () => {
  expect(guard("python", "while a / b > 3:\n    a = 1\n", 1, "division by zero", "ZeroDivisionError")?.text).toBeNull();
  expect(
    guard(
      "java",
      "class M { void f(int b) {\n  int a = 3 / b;\n} }\n",
      2,
      "/ by zero",
      "java.lang.ArithmeticException",
    ),
  ).toMatchObject({ condition: "b != 0", text: null });
  expect(guard("python", "a = 1; c = a / b\n", 1, "division by zero", "ZeroDivisionError")?.text).toBeNull();
  expect(guard("steps", "x", 1, "by zero")?.text).toBeNull();
});
